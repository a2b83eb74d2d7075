<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import AskBox from './base/AskBox.vue'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import { addWay, fieldCalled, type Draft } from './draft'
import { formOf } from './fieldParts'
import type { Rule } from './rules'
import { vFocus } from './base/focus'

/** One question about a box drawn on a sample page: what is this? The way that does best on all papers is chosen. */
const props = defineProps<{
  drawn: Schema['DrawnBox']
  type: string
  /** That a person named, of the paper that it was drawn on. */
  layout?: string
  draft: Draft
  change: (how: (draft: Draft) => void) => void
}>()
const emit = defineEmits<{ done: [field: string | null]; close: [] }>()
const { t } = useI18n()
type What = Schema['WayToFind']['how'] | 'first'
const what = ref<What>(props.drawn.ways[0]?.how ?? 'place')
const way = computed(() => props.drawn.ways.find((w) => w.how === what.value))
const title = ref('')
/** What stands before a value says what it is, however it is found. */
const label = props.drawn.ways.find((w) => w.title)?.title
watch(way, (now) => (title.value ||= now?.title ?? label ?? ''), { immediate: true })
const itsType = computed(() => props.draft.types?.find((x) => x.type === props.type))
const known = computed(() => itsType.value && fieldCalled(itsType.value, title.value))
function sentence(w: Schema['WayToFind']) {
  const form = { ...formOf(w.part), text: props.drawn.text.replace(/[\s.,;:]+$/, '') }
  return t(`workbench.box.${w.how === 'form' && form.near ? 'formNear' : w.how}`, form)
}
function save() {
  let made: string | null = null
  props.change((d) => {
    if (what.value === 'first') {
      const rule: Rule = { by: 'words', must: [props.drawn.text] }
      d.cut = { ...d.cut, rules: [...(d.cut?.rules ?? []), rule] }
      return
    }
    const type = d.types?.find((x) => x.type === props.type)
    if (type && way.value)
      made = addWay(
        type,
        title.value.trim() || t('workbench.newField'),
        way.value,
        props.drawn.place,
        props.layout,
      )
  })
  emit('done', made)
}
</script>

<template>
  <AskBox :title="t('workbench.box.ask')" @submit="save" @close="emit('close')">
    <p class="mono" dir="auto">{{ drawn.text || t('workbench.box.nothing') }}</p>
    <p class="soft">{{ t('workbench.box.more') }}</p>
    <ElRadioGroup v-model="what" class="ways" :aria-label="t('workbench.box.ask')">
      <ElRadio v-for="w in drawn.ways" :key="w.how" :value="w.how">
        {{ sentence(w) }}
        <span class="soft">{{ t('workbench.box.clear', { clear: w.clear, of: w.of }, w.of) }}</span>
      </ElRadio>
      <ElRadio v-if="drawn.text" value="first">{{ t('workbench.box.first') }}</ElRadio>
    </ElRadioGroup>
    <template v-if="way">
      <p class="mono values" dir="auto">{{ way.values.join(' · ') }}</p>
      <FieldBox :label="t('workbench.box.title')">
        <ElInput v-model="title" v-focus maxlength="80" />
      </FieldBox>
      <p v-if="layout && ['place', 'tick'].includes(way.how)" class="soft">
        {{ t('workbench.box.onLayout', { layout }) }}
      </p>
      <p v-if="known" class="soft" role="status">
        {{ t('workbench.box.known', { title: known.title ?? known.field }) }}
      </p>
    </template>
    <template #acts>
      <KeyButton main submit k="Enter">{{ t('workbench.box.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
  </AskBox>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 4px;
}
.ways :deep(.el-radio) {
  height: auto;
  white-space: normal;
  margin: 0;
}
.values {
  max-height: 4.2em;
  overflow: auto;
}
</style>
