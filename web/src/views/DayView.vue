<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { BarChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, ref, watch } from 'vue'
import VChart from 'vue-echarts'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import SignInWaits from '../parts/SignInWaits.vue'
import { locale } from '../place'
import KeyButton from '../parts/base/KeyButton.vue'

use([BarChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer])

/** The supervisor's day: what came in, what was filed, what is open, and how much of it needed a hand. */
const { t } = useI18n()
const back = ref(0)
const day = ref<Schema['Day'] | null>(null)
const begin = computed(() => {
  const d = new Date()
  d.setHours(0, 0, 0, 0)
  d.setDate(d.getDate() - back.value)
  return d
})
async function load() {
  const to = new Date(begin.value)
  to.setDate(to.getDate() + 1)
  const { data, error } = await api.GET('/api/day', {
    params: { query: { from: begin.value.toISOString(), to: to.toISOString() } },
  })
  if (data) day.value = data
  else tell(error)
}
watch(back, load, { immediate: true })
useIntervalFn(load, 30_000)

const COLOURS = ['#0b5563', '#6f8f3a', '#8a6fa8', '#b0782f', '#4f7fb5', '#7a7f85']
const streams = computed(() =>
  [...new Set([...(day.value?.received ?? []), ...(day.value?.filed ?? [])].map((h) => h.stream))].sort(),
)
const title = (s: string) => day.value?.titles[s] ?? s
function bars(hours: Schema['Hour'][]) {
  const of = (stream: string, hour: number) =>
    hours
      .filter((h) => h.stream === stream && new Date(h.at).getHours() === hour)
      .reduce((n, h) => n + h.pages, 0)
  return {
    animation: false,
    color: COLOURS,
    grid: { left: 44, right: 8, top: 30, bottom: 24 },
    legend: { top: 0, left: 0, itemWidth: 14, textStyle: { fontFamily: 'inherit' } },
    tooltip: { trigger: 'axis' },
    xAxis: { type: 'category', data: Array.from({ length: 24 }, (_, h) => `${h}`) },
    yAxis: { type: 'value', minInterval: 1 },
    series: streams.value.map((s) => ({
      name: title(s),
      type: 'bar',
      stack: 'pages',
      data: Array.from({ length: 24 }, (_, h) => of(s, h)),
    })),
  }
}
const sum = (hours: Schema['Hour'][] | undefined, stream?: string) =>
  (hours ?? []).filter((h) => !stream || h.stream === stream).reduce((n, h) => n + h.pages, 0)
const sheets = computed(() => (day.value?.received ?? []).reduce((n, h) => n + h.sheets, 0))
const rows = computed(() =>
  (day.value?.streams ?? []).map((s) => ({
    ...s,
    received: sum(day.value?.received, s.stream),
    filed: sum(day.value?.filed, s.stream),
  })),
)
const share = (part: number, all: number) => (all ? `${Math.round((100 * part) / all)} %` : '–')
</script>

<template>
  <div class="day">
    <div class="row">
      <h1>{{ t('day.title') }}</h1>
      <KeyButton @click="back++">◂ {{ t('day.before') }}</KeyButton>
      <b>{{ begin.toLocaleDateString(locale(), { weekday: 'long', day: 'numeric', month: 'long' }) }}</b>
      <KeyButton :disabled="!back" @click="back--">{{ t('day.after') }} ▸</KeyButton>
    </div>
    <div v-if="day" class="charts">
      <figure class="panel">
        <figcaption>
          {{ t('day.received', { n: sum(day.received) }, sum(day.received)) }}
          <template v-if="sheets">{{ t('day.sheets', { n: sheets }, sheets) }}</template>
        </figcaption>
        <VChart v-if="day.received.length" class="chart" :option="bars(day.received)" autoresize />
        <p v-else class="soft">{{ t('day.nothingIn') }}</p>
      </figure>
      <figure class="panel">
        <figcaption>{{ t('day.filed', { n: sum(day.filed) }, sum(day.filed)) }}</figcaption>
        <VChart v-if="day.filed.length" class="chart" :option="bars(day.filed)" autoresize />
        <p v-else class="soft">{{ t('day.nothingOut') }}</p>
      </figure>
    </div>
    <table v-if="day" class="panel">
      <thead>
        <tr>
          <th>{{ t('board.stream') }}</th>
          <th>{{ t('day.in') }}</th>
          <th>{{ t('day.out') }}</th>
          <th>{{ t('day.open') }}</th>
          <th>{{ t('day.batches') }}</th>
          <th>{{ t('day.untouched') }}</th>
          <th>{{ t('day.doubts') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.stream">
          <td>{{ title(r.stream) }}</td>
          <td>{{ r.received }}</td>
          <td>{{ r.filed }}</td>
          <td>{{ r.open }}</td>
          <td>{{ r.openBatches }}</td>
          <td>
            {{ share(r.untouched, r.documents) }}
            <span class="soft">{{ t('day.of', { n: r.documents }) }}</span>
          </td>
          <td>
            {{ r.fields ? ((100 * r.doubts) / r.fields).toFixed(1) : '–' }}
            <span class="soft">{{ t('day.of', { n: r.fields }) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft">{{ t('day.note') }}</p>
    <SignInWaits />
  </div>
</template>

<style scoped>
.day {
  padding: 14px 16px;
  max-width: 1500px;
  margin: 0 auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
h1 {
  margin: 0 12px 0 0;
}
.charts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
figure {
  margin: 0;
  padding: 10px 14px;
  background: var(--field);
}
figcaption {
  font-weight: 650;
  margin-bottom: 6px;
}
.chart {
  height: 240px;
}
table {
  border-collapse: collapse;
  width: 100%;
  background: var(--field);
}
th,
td {
  padding: 7px 12px;
  text-align: right;
  border-bottom: 1px solid var(--line);
  font-variant-numeric: tabular-nums;
}
th {
  font-weight: 500;
  color: var(--ink-soft);
  font-size: 13.5px;
}
th:first-child,
td:first-child {
  text-align: left;
}
</style>
