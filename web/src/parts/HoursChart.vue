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
const COLOURS = ['#0b5563', '#6f8f3a', '#8a6fa8', '#b0782f', '#4f7fb5', '#7a7f85']
const HOURS = Array.from({ length: 24 }, (_, h) => h)
const option = computed(() => {
  const of = (stream: string, hour: number) =>
    props.hours
      .filter((h) => h.stream === stream && new Date(h.at).getHours() === hour)
      .reduce((n, h) => n + h.pages, 0)
  return {
    animation: false,
    color: COLOURS,
    grid: { left: 44, right: 8, top: 30, bottom: 24 },
    legend: { top: 0, left: 0, itemWidth: 14, type: 'scroll', textStyle: { fontFamily: 'inherit' } },
    tooltip: { trigger: 'axis' },
    xAxis: { type: 'category', data: HOURS.map(String) },
    yAxis: { type: 'value', minInterval: 1 },
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
