<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import { vFocus } from './base/focus'
import { asRead, type Paper } from './papers'

/** What is right on a sample paper: as it is read, or as it was said, to be put right. */
const props = defineProps<{ paper: Paper; titles: { name: string; title: string }[] }>()
const emit = defineEmits<{ say: [values: Record<string, string | null>]; forget: []; close: [] }>()
const { t } = useI18n()
const said: Record<string, string | null> = { ...asRead(props.paper), ...props.paper.right }
const values = ref(Object.fromEntries(props.titles.map((f) => [f.name, said[f.name] ?? ''])))
const save = () =>
  emit('say', Object.fromEntries(Object.entries(values.value).map(([field, v]) => [field, v.trim() || null])))
</script>

<template>
  <form class="form" @submit.prevent="save" @keydown.esc.stop="emit('close')">
    <h3>{{ t('workbench.right.ask', { pages: paper.pages.join(', ') }, paper.pages.length) }}</h3>
    <FieldBox v-for="(f, i) in titles" :key="f.name" :label="f.title">
      <ElInput v-model="values[f.name]" v-focus="i === 0" class="mono" />
    </FieldBox>
    <div class="row">
      <KeyButton main submit k="Enter">{{ t('workbench.right.save') }}</KeyButton>
      <KeyButton v-if="paper.right" @click="emit('forget')">{{ t('workbench.right.forget') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 8px;
  padding: 10px;
  margin-bottom: 10px;
  border: 1px solid var(--petrol);
  background: var(--petrol-pale);
}
h3 {
  margin: 0;
}
</style>
