<script setup lang="ts">
import { nextTick, useTemplateRef, watch } from 'vue'
import type { Schema } from '../api/client'

/** What is printed on a page, to be selected and copied where it stands; it is not seen itself. */
const props = defineProps<{
  lines: Schema['TextLine'][]
  /** Pixels to a millimetre. */
  scale: number
  /** See PageShapes. */
  turn?: number
  lean?: number
}>()
const drawn = useTemplateRef<HTMLElement[]>('drawn')

/** Letters of a screen font are as high as a line, but not as wide: each line is made so. */
function fit() {
  drawn.value?.forEach((line, i) => {
    line.style.transform = ''
    const wide = (props.lines[i]?.box[2] ?? 0) * props.scale
    const lean = props.lean ? `rotate(${props.lean}deg) ` : ''
    if (line.offsetWidth) line.style.transform = `${lean}scaleX(${wide / line.offsetWidth})`
  })
}
watch(
  () => [props.lines, props.scale] as const,
  () => nextTick(fit),
  { immediate: true },
)
const place = ([x, y, , h]: number[]) => ({
  left: `${x! * props.scale}px`,
  top: `${y! * props.scale}px`,
  fontSize: `${h! * props.scale * 0.9}px`,
  height: `${h! * props.scale}px`,
})
</script>

<template>
  <div class="text" :style="turn ? { transform: `rotate(${turn}deg)` } : undefined">
    <div v-for="(l, i) in lines" :key="i" ref="drawn" :style="place(l.box)" dir="auto">{{ l.text }}</div>
  </div>
</template>

<style scoped>
.text {
  position: absolute;
  inset: 0;
}
.text > div {
  position: absolute;
  line-height: 1;
  white-space: pre;
  transform-origin: 0 50%;
  color: transparent;
  cursor: text;
}
.text > div::selection {
  color: transparent;
  background: rgb(11 85 99 / 30%);
}
</style>
