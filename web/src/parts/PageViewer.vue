<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Box, Schema } from '../api/client'
import { useZoom } from '../composables/useZoom'
import PageMagnifier from './PageMagnifier.vue'
import PageShapes from './PageShapes.vue'
import PageText from './PageText.vue'
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
  /** A smaller picture of the page, shown until the large one is here. */
  thumb?: string
  /** See PageShapes. */
  turn?: number
  lean?: number
  lens?: boolean
  /** What is printed, to be selected; words and boxes are not taken then. */
  text?: Schema['TextLine'][]
}>()
const emit = defineEmits<{ word: [index: number, more: boolean]; box: [box: Box, more: boolean] }>()

const frame = ref<HTMLElement>()
const { scale, width, zoom, fit, real, zoomTo, goTo } = useZoom(frame, props)
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

/** A drag shorter than this, in millimetres, is a click. */
const CLICK = 1.5
const start = ref<{ x: number; y: number } | null>(null)
const dragged = ref<Box | null>(null)
const spot = ref<{ x: number; y: number } | null>(null)
function at(e: PointerEvent) {
  const r = (e.currentTarget as Element).getBoundingClientRect()
  return { x: (e.clientX - r.left) / scale.value, y: (e.clientY - r.top) / scale.value }
}
function down(e: PointerEvent) {
  if (e.button === 0) start.value = at(e)
}
function move(e: PointerEvent) {
  spot.value = props.lens ? at(e) : null
  const s = start.value
  if (!s) return
  const p = at(e)
  if (Math.hypot(p.x - s.x, p.y - s.y) < CLICK) return
  dragged.value = [Math.min(p.x, s.x), Math.min(p.y, s.y), Math.abs(p.x - s.x), Math.abs(p.y - s.y)]
}
function up(e: PointerEvent) {
  const box = dragged.value
  const begun = start.value
  leave()
  if (!begun) return
  if (box && box[2] > CLICK && box[3] > CLICK) {
    if (props.drag) emit('box', box, e.shiftKey)
    else zoomTo(box)
    return
  }
  const p = at(e)
  const i = (props.words ?? []).findIndex(
    ({ box: [x, y, w, h] }) => p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h,
  )
  if (i >= 0) emit('word', i, e.shiftKey)
}
function leave() {
  start.value = dragged.value = spot.value = null
}
function wheel(e: WheelEvent) {
  if (!e.ctrlKey) return
  e.preventDefault()
  zoom(e.deltaY < 0 ? 1.2 : 1 / 1.2)
}
</script>

<template>
  <div ref="frame" class="frame" tabindex="0" role="region" :aria-label="alt" @wheel="wheel">
    <div class="page on-paper" :style="{ width: widthMm * scale + 'px', height: heightMm * scale + 'px' }">
      <img :key="alt" :src="src" :alt="alt" draggable="false" :style="under" />
      <PageShapes
        v-bind="{ widthMm, heightMm, shapes, words, dragged, drag, turn, lean }"
        :lit="dim ? focus : null"
        @pointerdown="down"
        @pointermove="move"
        @pointerup="up"
        @pointerleave="leave"
      />
      <PageText v-if="text" v-bind="{ scale, turn, lean }" :lines="text" />
      <PageMagnifier v-if="spot" v-bind="{ widthMm, heightMm, scale }" :src="fine ?? src" :at="spot" />
    </div>
  </div>
</template>

<style scoped>
.frame {
  overflow: auto;
  width: 100%;
  flex: 1;
  min-height: 0;
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
</style>
