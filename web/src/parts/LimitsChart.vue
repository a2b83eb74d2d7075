<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { measured } from './figures'

export interface OfPage {
  no: number
  rotation: number
  figure: number
  said: string
}
/** A figure of many pages on one line, from nothing to the most, and where its limit cuts it. */
const props = defineProps<{
  measure: Schema['MeasureInfo']
  figures: OfPage[]
  beyond: (figure: number) => boolean
  limit: number | null
  most: number
}>()
const { t } = useI18n()
const x = (v: number) => 10 + (580 * v) / props.most
const out = computed(() => props.figures.filter((f) => props.beyond(f.figure)).length)
</script>

<template>
  <svg viewBox="0 0 600 60" role="img" :aria-label="t('limits.chart', { n: out, of: figures.length })">
    <line x1="10" x2="590" y1="42" y2="42" class="axis" />
    <template v-for="(f, i) in figures" :key="f.no">
      <path v-if="beyond(f.figure)" class="out" :d="`M${x(f.figure) - 5} ${38 - (i % 3) * 9}l5 -9l5 9z`">
        <title>{{ f.no }}: {{ f.said }}</title>
      </path>
      <circle v-else class="in" :cx="x(f.figure)" :cy="34 - (i % 3) * 9" r="3.5">
        <title>{{ f.no }}: {{ f.said }}</title>
      </circle>
    </template>
    <line v-if="limit != null" class="limit" :x1="x(limit)" :x2="x(limit)" y1="2" y2="50" />
    <text x="10" y="57">0</text>
    <text x="590" y="57" text-anchor="end">{{ measured(most) }} {{ measure.unit }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 90px;
}
.axis {
  stroke: #8895a0;
}
.limit {
  stroke: var(--ink);
  stroke-width: 2;
}
.in {
  fill: var(--petrol);
  opacity: 0.75;
}
.out {
  fill: var(--doubt);
}
text {
  font-size: 10px;
  fill: var(--ink-soft);
}
</style>
