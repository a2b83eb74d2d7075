<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import SentenceBlanks from './SentenceBlanks.vue'
import type { Draft } from './draft'
import { STREAM } from './streamParts'

/** What is said of a stream as a whole, of one matter: a sentence for each part. */
const props = defineProps<{
  draft: Draft
  change: (how: (draft: Draft) => void) => void
  of: keyof typeof STREAM
}>()
const { t } = useI18n()
/** Above which sentence a heading stands. */
const HEADS: Record<string, string> = {
  called: 'papers',
  limits: 'images',
  due: 'comes',
  cut: 'doubts',
  groups: 'groups',
  by: 'filed',
  destinations: 'goes',
}
const put = (other: object) =>
  props.change((d) => {
    for (const name of Object.keys(d)) delete d[name]
    Object.assign(d, other)
  })
</script>

<template>
  <template v-for="(blanks, name) in STREAM[of]" :key="name">
    <h3 v-if="HEADS[name]">{{ t(`streamParts.section.${HEADS[name]}`) }}</h3>
    <SentenceBlanks
      :model-value="draft"
      v-bind="{ blanks }"
      :sentence="`streamParts.${of}.${name}`"
      words="streamParts"
      @update:model-value="put"
    />
  </template>
</template>

<style scoped>
h3 {
  margin: 14px 0 4px;
}
</style>
