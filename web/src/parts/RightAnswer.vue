<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import AskBox from './base/AskBox.vue'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import { vFocus } from './base/focus'
import PickOne from './base/PickOne.vue'
import { titlesOf, type Draft } from './draft'
import { asRead, type Paper } from './papers'

/** What is right on a sample paper: as it is read, or as it was said, to be put right. */
const props = defineProps<{ paper: Paper; draft: Draft }>()
const emit = defineEmits<{
  say: [values: Record<string, string | null>, type: string]
  forget: []
  close: []
}>()
const { t } = useI18n()
const said: Record<string, string | null> = { ...asRead(props.paper), ...props.paper.right }
const type = ref(props.paper.type)
const types = computed(() =>
  (props.draft.types ?? []).map((x) => ({ value: x.type, label: x.title ?? x.type })),
)
const titles = computed(() => titlesOf(props.draft, type.value))
const values = ref<Record<string, string>>({})
watch(titles, (all) => all.forEach((f) => (values.value[f.name] ??= said[f.name] ?? '')), { immediate: true })
const save = () =>
  emit(
    'say',
    Object.fromEntries(titles.value.map((f) => [f.name, values.value[f.name].trim() || null])),
    type.value,
  )
</script>

<template>
  <AskBox
    :title="t('workbench.right.ask', { pages: paper.pages.join(', ') }, paper.pages.length)"
    @submit="save"
    @close="emit('close')"
  >
    <FieldBox v-if="types.length > 1" :label="t('workbench.what.type')">
      <PickOne v-model="type" :options="types" />
    </FieldBox>
    <FieldBox v-for="(f, i) in titles" :key="f.name" :label="f.title">
      <ElInput v-model="values[f.name]" v-focus="i === 0" class="mono" />
    </FieldBox>
    <template #acts>
      <KeyButton main submit k="Enter">{{ t('workbench.right.save') }}</KeyButton>
      <KeyButton v-if="paper.right" @click="emit('forget')">{{ t('workbench.right.forget') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
  </AskBox>
</template>
