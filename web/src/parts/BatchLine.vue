<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { segmentsOf, type Segment } from './segments'

/** The batch as one thin line: a segment for each document, as long as its pages, its stake left, doubts above. */
const props = defineProps<{ batch: Schema['BatchDetail']; current: number | null }>()
const emit = defineEmits<{ go: [document: number] }>()
const { t } = useI18n()

/** With more of them there is no room for stakes: what is left to see is where the doubts are. */
const DENSE = 200
const segments = computed(() => segmentsOf(props.batch))
/** Worded once and not for each of a thousand segments. */
const words = computed(() => t('line.segment', { no: '\u0001', pages: '\u0002', doubts: '\u0003' }))
const title = (s: Segment) =>
  s.kind === 'aside'
    ? ''
    : (s.group ? `${props.batch.groupTitle} ${s.group}: ` : '') +
      words.value
        .replace('\u0001', String(s.no))
        .replace('\u0002', String(s.length))
        .replace('\u0003', String(s.doubts))
const aside = computed(() => props.batch.pages.filter((p) => p.document == null).length)
const sheets = computed(() => new Set(props.batch.pages.map((p) => p.sheet).filter(Boolean)).size)
/** The same figure as on the board. */
const doubts = computed(() => props.batch.cutDoubts + props.batch.fieldDoubts + props.batch.rejected.length)
const summary = computed(() => {
  const pages = t('line.pages', props.batch.pages.length)
  const documents = t('line.documents', props.batch.documents.length)
  return [
    sheets.value ? `${pages} ${t('line.sheets', sheets.value)}` : pages,
    documents,
    t('line.doubts', doubts.value),
    t('line.aside', { n: aside.value }),
  ].join(', ')
})
/** The single keys are the desk's again after a click with the mouse: a segment would take space for itself. */
function go(e: MouseEvent, no: number) {
  if (e.detail) (e.currentTarget as HTMLElement).blur()
  emit('go', no)
}
</script>

<template>
  <div class="batch-line">
    <strong class="no">{{ batch.no }}</strong>
    <span class="stream">
      {{ batch.streamTitle }}
      <template v-if="batch.continues">· {{ t('line.continues', { ...batch.continues }) }}</template>
    </span>
    <div class="line" :class="{ dense: segments.length > DENSE }" role="list">
      <button
        v-for="(s, i) in segments"
        :key="i"
        v-memo="[s, s.no === current]"
        class="segment"
        :class="[s.kind, { current: s.no === current && s.kind === 'document' }]"
        :style="{ flexGrow: s.length }"
        :disabled="s.kind === 'aside'"
        role="listitem"
        :title="title(s)"
        @click="go($event, s.no)"
      >
        <i v-if="s.first" class="pole" :class="{ broken: s.doubtfulStake, group: s.group }" />
        <i v-for="d in Math.min(s.doubts, 6)" :key="d" class="tick" :style="{ left: 6 + d * 5 + 'px' }" />
      </button>
    </div>
    <span class="summary">
      {{ summary }}
    </span>
  </div>
</template>

<style scoped>
.batch-line {
  display: flex;
  align-items: center;
  gap: 12px;
  height: 40px;
  padding: 0 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
.no {
  font-family: var(--mono);
}
.stream {
  white-space: nowrap;
}
.line {
  flex: 1;
  display: flex;
  align-items: flex-end;
  height: 30px;
  min-width: 80px;
  padding-bottom: 5px;
  overflow: hidden;
}
.segment {
  position: relative;
  flex: 1 1 0;
  min-width: 2px;
  height: 22px;
  padding: 0;
  border: 0;
  background: none;
  border-bottom: 4px solid #7f8d97;
  cursor: pointer;
}
.dense .segment {
  min-width: 0;
}
.dense .segment.current {
  min-width: 3px;
}
.dense .pole {
  display: none;
}
.dense .tick {
  left: 0 !important;
  width: 1px;
}
.segment.aside {
  border-bottom: 3px dotted #a6b0b8;
  cursor: default;
}
.segment.current {
  border-bottom-color: var(--petrol);
  background: var(--petrol-pale);
}
.pole {
  position: absolute;
  left: 0;
  bottom: -4px;
  width: 3px;
  height: 18px;
  background: repeating-linear-gradient(var(--stake) 0 4px, #fff 4px 8px);
  outline: 1px solid var(--stake);
  outline-offset: -0.5px;
}
.pole.group::after {
  content: '';
  position: absolute;
  left: 2px;
  top: -4px;
  width: 6px;
  height: 6px;
  border: 1.5px solid var(--stake);
  background: #fff;
}
.pole.broken {
  outline-style: dashed;
  background: repeating-linear-gradient(var(--stake) 0 3px, transparent 3px 8px);
}
.tick {
  position: absolute;
  bottom: 2px;
  width: 3px;
  height: 9px;
  background: var(--doubt);
}
.summary {
  font-size: 13px;
  color: var(--ink-soft);
  white-space: nowrap;
}
</style>
