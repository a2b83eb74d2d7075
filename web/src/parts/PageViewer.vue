<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { Box } from '../api/client'
import type { Shape } from './shapes'

/** A page as large as can be: scrolls, zooms, shows shapes on itself, takes clicked words and dragged boxes. */
const props = defineProps<{
  src: string
  alt: string
  widthMm: number
  heightMm: number
  shapes?: Shape[]
  words?: { box: Box; text: string }[]
  /** What to come to, with some paper around it. */
  focus?: Box | null
  dim?: boolean
  drag?: boolean
  /** The same page with more pixels, for the magnifier. */
  fine?: string
  /** A small picture of the page, shown until the large one is here. */
  thumb?: string
  /** Degrees clockwise by which shapes are turned about the page's middle: the picture was straightened. */
  turn?: number
  /** Degrees clockwise by which the print leans on the page as received. */
  lean?: number
  lens?: boolean
}>()
const emit = defineEmits<{ word: [index: number]; box: [box: Box] }>()

const frame = ref<HTMLElement>()
const { width, height } = useElementSize(frame)
const mode = ref<'whole' | 'width' | 'free'>('whole')
const free = ref(3)
/** Pixels per millimetre. */
const scale = computed(() => {
  const w = Math.max(50, width.value - 16)
  const h = Math.max(50, height.value - 16)
  if (mode.value === 'width') return w / props.widthMm
  if (mode.value === 'whole') return Math.min(w / props.widthMm, h / props.heightMm)
  return free.value
})

function zoom(factor: number) {
  const f = frame.value
  const before = scale.value
  const cx = f ? (f.scrollLeft + f.clientWidth / 2) / before : 0
  const cy = f ? (f.scrollTop + f.clientHeight / 2) / before : 0
  free.value = Math.min(16, Math.max(1, before * factor))
  mode.value = 'free'
  void nextTick(() =>
    f?.scrollTo(cx * scale.value - f.clientWidth / 2, cy * scale.value - f.clientHeight / 2),
  )
}
function fit(to: 'whole' | 'width') {
  mode.value = to
}
/** As large as the paper is, at 96 pixels to the inch. */
function real() {
  zoom(96 / 25.4 / scale.value)
}
/** A box as large as it fits. */
function zoomTo(box: Box) {
  const f = frame.value
  if (!f) return
  free.value = Math.min(16, (f.clientWidth - 24) / box[2], (f.clientHeight - 24) / box[3])
  mode.value = 'free'
  void nextTick(() =>
    f.scrollTo(
      (box[0] + box[2] / 2) * scale.value - f.clientWidth / 2,
      (box[1] + box[3] / 2) * scale.value - f.clientHeight / 2,
    ),
  )
}
/** Comes to a box: its line readable, what is around it still there. */
function goTo(box: Box) {
  const f = frame.value
  if (!f || !f.clientWidth) return
  free.value = Math.min(
    7,
    Math.max(
      f.clientWidth / props.widthMm,
      Math.min((f.clientWidth * 0.7) / box[2], 34 / Math.max(box[3], 2.5)),
    ),
  )
  mode.value = 'free'
  void nextTick(() => {
    const s = scale.value
    f.scrollTo({
      left: (box[0] + box[2] / 2) * s - f.clientWidth / 2,
      top: (box[1] + box[3] / 2) * s - f.clientHeight / 3,
    })
  })
}
watch(
  () => [props.focus?.join(), props.src, width.value] as const,
  () => {
    if (props.focus) goTo(props.focus)
  },
  { immediate: true, flush: 'post' },
)
defineExpose({ zoom, fit, real, goTo })

const under = computed(() =>
  props.thumb ? { background: `#fff url("${props.thumb}") 0 0 / 100% 100%` } : undefined,
)

function placed(shape: Shape) {
  const [x, y, w, h] = shape.box
  const turned = props.turn ? `rotate(${props.turn} ${props.widthMm / 2} ${props.heightMm / 2}) ` : ''
  return (
    turned + (shape.print && props.lean ? `rotate(${props.lean} ${x + w / 2} ${y + h / 2})` : '') || undefined
  )
}

const start = ref<{ x: number; y: number } | null>(null)
const dragged = ref<Box | null>(null)
function at(e: PointerEvent) {
  const r = (e.currentTarget as Element).getBoundingClientRect()
  return { x: (e.clientX - r.left) / scale.value, y: (e.clientY - r.top) / scale.value }
}
function down(e: PointerEvent) {
  if (e.button !== 0) return
  start.value = at(e)
}
const spot = ref<{ x: number; y: number } | null>(null)
/** How much larger the magnifier shows than 100 %: a millimetre is this many pixels. */
const LENS = 14
const lensStyle = computed(
  () =>
    spot.value && {
      left: `${spot.value.x * scale.value - 150}px`,
      top: `${spot.value.y * scale.value - 110}px`,
      backgroundImage: `url("${props.fine ?? props.src}")`,
      backgroundSize: `${props.widthMm * LENS}px ${props.heightMm * LENS}px`,
      backgroundPosition: `${150 - spot.value.x * LENS}px ${110 - spot.value.y * LENS}px`,
    },
)
function move(e: PointerEvent) {
  spot.value = props.lens ? at(e) : null
  if (!start.value) return
  const p = at(e)
  const s = start.value
  if (Math.hypot(p.x - s.x, p.y - s.y) < 1.5) return
  dragged.value = [Math.min(p.x, s.x), Math.min(p.y, s.y), Math.abs(p.x - s.x), Math.abs(p.y - s.y)]
}
function up(e: PointerEvent) {
  const box = dragged.value
  const from = start.value
  start.value = null
  dragged.value = null
  if (!from) return
  if (box && box[2] > 1.5 && box[3] > 1.5) {
    if (props.drag) emit('box', box)
    else zoomTo(box)
    return
  }
  const p = at(e)
  const i = (props.words ?? []).findIndex(
    ({ box: [x, y, w, h] }) => p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h,
  )
  if (i >= 0) emit('word', i)
}
function wheel(e: WheelEvent) {
  if (!e.ctrlKey) return
  e.preventDefault()
  zoom(e.deltaY < 0 ? 1.2 : 1 / 1.2)
}

/** The page's outline with a hole around a place. */
function allBut([x, y, w, h]: Box) {
  return `M0 0H${props.widthMm}V${props.heightMm}H0Z M${x - 2} ${y - 2}h${w + 4}v${h + 4}h${-w - 4}Z`
}

function leave() {
  start.value = null
  dragged.value = null
  spot.value = null
}
</script>

<template>
  <div ref="frame" class="frame" tabindex="0" role="region" :aria-label="alt" @wheel="wheel">
    <div class="page on-paper" :style="{ width: widthMm * scale + 'px', height: heightMm * scale + 'px' }">
      <img :key="alt" :src="src" :alt="alt" draggable="false" :style="under" />
      <svg
        :viewBox="`0 0 ${widthMm} ${heightMm}`"
        :class="{ drag }"
        @pointerdown="down"
        @pointermove="move"
        @pointerup="up"
        @pointerleave="leave"
      >
        <path v-if="dim && focus" class="dim" fill-rule="evenodd" :d="allBut(focus)" />
        <g v-for="(s, i) in shapes ?? []" :key="i" :class="['shape', s.kind]" :transform="placed(s)">
          <rect :x="s.box[0]" :y="s.box[1]" :width="s.box[2]" :height="s.box[3]" />
          <text v-if="s.label" :x="Math.max(2, s.box[0])" :y="Math.max(4, s.box[1] - 1)">{{ s.label }}</text>
        </g>
        <template v-if="drag">
          <rect
            v-for="(w, i) in words ?? []"
            :key="'w' + i"
            class="word"
            :x="w.box[0]"
            :y="w.box[1]"
            :width="w.box[2]"
            :height="w.box[3]"
          >
            <title>{{ w.text }}</title>
          </rect>
        </template>
        <rect
          v-if="dragged"
          class="dragged"
          :x="dragged[0]"
          :y="dragged[1]"
          :width="dragged[2]"
          :height="dragged[3]"
        />
      </svg>
      <div v-if="lens && lensStyle" class="lens" :style="lensStyle" />
    </div>
  </div>
</template>

<style scoped>
.frame {
  overflow: auto;
  width: 100%;
  height: 100%;
  background: var(--viewer);
  display: flex;
  scrollbar-gutter: stable;
}
.page {
  position: relative;
  margin: auto;
  flex: none;
  background: #fff;
  box-shadow: 0 1px 5px rgb(29 39 51 / 45%);
}
img {
  width: 100%;
  height: 100%;
  display: block;
  user-select: none;
}
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
  stroke-width: 0.5;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.shape rect {
  stroke-width: 2px;
}
.shape.mark rect {
  stroke: var(--petrol);
  stroke-dasharray: 6 3;
}
/* The magnifier must not take the pointer from the page under it. */
.lens {
  position: absolute;
  width: 300px;
  height: 220px;
  border: 2px solid var(--ink);
  background-color: #fff;
  background-repeat: no-repeat;
  pointer-events: none;
  box-shadow: 0 2px 10px rgb(29 39 51 / 50%);
  z-index: 3;
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
