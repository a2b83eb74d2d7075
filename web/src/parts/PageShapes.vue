<script setup lang="ts">
import type { Box } from '../api/client'
import type { Shape } from './shapes'

/** What is drawn over a page, in its millimetres: shapes, words that can be taken, and the box being dragged. */
const props = defineProps<{
  widthMm: number
  heightMm: number
  shapes?: Shape[]
  words?: { box: Box; text: string }[]
  /** All but this place is dimmed. */
  lit?: Box | null
  dragged: Box | null
  drag?: boolean
  /** Degrees clockwise by which shapes are turned about the page's middle: the picture was straightened. */
  turn?: number
  /** Degrees clockwise by which the print leans on the page as received. */
  lean?: number
}>()

function placed(shape: Shape) {
  const [x, y, w, h] = shape.box
  const turned = props.turn ? `rotate(${props.turn} ${props.widthMm / 2} ${props.heightMm / 2}) ` : ''
  return (
    turned + (shape.print && props.lean ? `rotate(${props.lean} ${x + w / 2} ${y + h / 2})` : '') || undefined
  )
}
/** The page's outline with a hole around a place. */
const allBut = ([x, y, w, h]: Box) =>
  `M0 0H${props.widthMm}V${props.heightMm}H0Z M${x - 2} ${y - 2}h${w + 4}v${h + 4}h${-w - 4}Z`
const rect = ([x, y, width, height]: Box) => ({ x, y, width, height })
</script>

<template>
  <svg :viewBox="`0 0 ${widthMm} ${heightMm}`" :class="{ drag }">
    <path v-if="lit" class="dim" fill-rule="evenodd" :d="allBut(lit)" />
    <g v-for="(s, i) in shapes ?? []" :key="i" :class="['shape', s.kind]" :transform="placed(s)">
      <rect v-bind="rect(s.box)" />
      <text v-if="s.label" :x="Math.max(2, s.box[0])" :y="Math.max(4, s.box[1] - 1)">{{ s.label }}</text>
    </g>
    <template v-if="drag">
      <rect v-for="(w, i) in words ?? []" :key="'w' + i" class="word" v-bind="rect(w.box)">
        <title>{{ w.text }}</title>
      </rect>
    </template>
    <rect v-if="dragged" class="dragged" v-bind="rect(dragged)" />
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
svg.drag {
  cursor: crosshair;
}
.dim {
  fill: rgb(195 202 208 / 45%);
  pointer-events: none;
}
.shape rect {
  fill: none;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.shape.mark rect {
  stroke: var(--petrol);
  stroke-dasharray: 6 3;
}
.shape.finding rect {
  stroke: var(--doubt);
  stroke-dasharray: 3 3;
  fill: rgb(250 204 60 / 18%);
}
.shape.stake rect {
  stroke: var(--stake);
}
.shape.field rect {
  stroke: var(--petrol);
}
.shape.hit rect {
  fill: rgb(250 204 60 / 40%);
  stroke: #8a6a00;
  stroke-width: 1px;
}
.shape.hitNow rect {
  fill: rgb(250 204 60 / 55%);
  stroke: var(--petrol);
}
.shape.other rect {
  stroke: #8795a0;
  stroke-width: 1px;
}
.shape text {
  font-size: 3.6px;
  fill: var(--petrol-dark);
  font-family: var(--mono);
  paint-order: stroke;
  stroke: #fff;
  stroke-width: 1.2px;
}
.word {
  fill: transparent;
}
.word:hover {
  fill: rgb(11 85 99 / 16%);
}
.dragged {
  fill: rgb(11 85 99 / 14%);
  stroke: var(--petrol);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
</style>
