<script setup lang="ts">
import { BarChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Schema } from '../api/client'

use([BarChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer])

/** Pages by the hour, a colour for each stream. */
const props = defineProps<{ hours: Schema['Hour'][]; streams: string[]; title: (stream: string) => string }>()
/** Told from each other and from light and dim surroundings alike. */
const COLOURS = ['#2a8596', '#7d9f45', '#9a80b8', '#c0873c', '#5f8fc5', '#8a9095']
/** A colour of the surroundings, as they are now. */
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const HOURS = Array.from({ length: 24 }, (_, h) => h)
const option = computed(() => {
  const of = (stream: string, hour: number) =>
    props.hours
      .filter((h) => h.stream === stream && new Date(h.at).getHours() === hour)
      .reduce((n, h) => n + h.pages, 0)
  const ink = { color: token('--ink-soft'), fontFamily: getComputedStyle(document.body).fontFamily }
  const lines = { lineStyle: { color: token('--line-faint') } }
  return {
    animation: false,
    color: COLOURS,
    grid: { left: 44, right: 8, top: 30, bottom: 24 },
    legend: { top: 0, left: 0, itemWidth: 14, type: 'scroll', textStyle: ink },
    tooltip: { trigger: 'axis' },
    xAxis: { type: 'category', data: HOURS.map(String), axisLabel: ink },
    yAxis: { type: 'value', minInterval: 1, axisLabel: ink, splitLine: lines },
    series: props.streams.map((s) => ({
      name: props.title(s),
      type: 'bar',
      stack: 'pages',
      data: HOURS.map((h) => of(s, h)),
    })),
  }
})
</script>

<template><VChart class="chart" :option="option" autoresize /></template>

<style scoped>
.chart {
  height: 240px;
}
</style>
