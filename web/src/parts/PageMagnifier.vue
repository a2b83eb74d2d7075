<script setup lang="ts">
import { computed } from 'vue'

/** A part of a page, much larger, under the mouse. */
const props = defineProps<{
  src: string
  widthMm: number
  heightMm: number
  /** Where the mouse is, in millimetres of the page. */
  at: { x: number; y: number }
  /** Of the page around it, in pixels per millimetre. */
  scale: number
}>()
/** A millimetre is this many pixels in here. */
const LENS = 14
const [WIDTH, HEIGHT] = [300, 220]
const style = computed(() => ({
  width: `${WIDTH}px`,
  height: `${HEIGHT}px`,
  left: `${props.at.x * props.scale - WIDTH / 2}px`,
  top: `${props.at.y * props.scale - HEIGHT / 2}px`,
  backgroundImage: `url("${props.src}")`,
  backgroundSize: `${props.widthMm * LENS}px ${props.heightMm * LENS}px`,
  backgroundPosition: `${WIDTH / 2 - props.at.x * LENS}px ${HEIGHT / 2 - props.at.y * LENS}px`,
}))
</script>

<template><div class="lens" :style="style" /></template>

<style scoped>
/* It must not take the pointer from the page under it. */
.lens {
  position: absolute;
  border: 2px solid var(--ink);
  background-color: #fff;
  background-repeat: no-repeat;
  pointer-events: none;
  box-shadow: 0 2px 10px rgb(29 39 51 / 50%);
  z-index: 3;
}
</style>
