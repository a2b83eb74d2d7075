<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import { nameFor, type Draft } from './draft'

/** One question about a box drawn on a sample page: what is this? */
const props = defineProps<{
  drawn: Schema['DrawnBox']
  type: string
  change: (how: (draft: Draft) => void) => void
}>()
const emit = defineEmits<{ done: [field: string | null]; close: [] }>()
const { t } = useI18n()
const what = ref<'value' | 'label' | 'first'>('value')
const title = ref(props.drawn.text.replace(/[:\s]+$/, ''))
const options = computed(() =>
  (['value', 'label', 'first'] as const).map((value) => ({ value, label: t(`workbench.box.${value}`) })),
)
function save() {
  let made: string | null = null
  props.change((d) => {
    if (what.value === 'first') {
      const rule = { by: 'words' as const, must: [props.drawn.text] }
      d.cut = { ...d.cut, rules: [...(d.cut?.rules ?? []), rule] }
      return
    }
    const type = d.types?.find((x) => x.type === props.type)
    if (!type) return
    const called = title.value.trim() || t('workbench.newField')
    made = nameFor(called, type)
    const finder =
      what.value === 'label'
        ? { by: 'label', labels: [title.value.trim()] }
        : { by: 'zone', boxMm: props.drawn.boxMm }
    if (what.value === 'value' && !type.layout && props.drawn.anchors.length)
      type.layout = { anchors: props.drawn.anchors }
    type.fields = [...(type.fields ?? []), { field: made, title: called, finders: [finder] }]
  })
  emit('done', made)
}
</script>

<template>
  <form class="form" @submit.prevent="save">
    <h3>{{ t('workbench.box.ask') }}</h3>
    <p class="mono" dir="auto">{{ drawn.text || t('workbench.box.nothing') }}</p>
    <PickOne v-model="what" :options="options" :aria-label="t('workbench.box.ask')" />
    <FieldBox v-if="what !== 'first'" :label="t(`workbench.box.title.${what}`)">
      <ElInput v-model="title" maxlength="80" autofocus />
    </FieldBox>
    <div class="row">
      <KeyButton main submit k="Enter" :disabled="what !== 'value' && !drawn.text">
        {{ t('workbench.box.save') }}
      </KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  padding: 10px;
  margin-bottom: 10px;
  border: 1px solid var(--petrol);
  background: var(--petrol-pale);
}
p {
  margin: 0;
}
</style>
