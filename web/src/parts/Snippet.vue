<script setup lang="ts">
import { computed } from 'vue'
import type { Box } from '../api/client'
import { snippetStyle } from './snippet'

/** The very piece of paper a value was read from, at reading size. */
const props = withDefaults(
  defineProps<{
    src: string
    /** What the piece is of, for whom cannot see it. */
    alt: string
    box: Box
    pageWidth: number
    pageHeight: number
    width?: number
    height?: number
  }>(),
  { width: 330, height: 34 },
)
const style = computed(() =>
  snippetStyle(props.box, props.pageWidth, props.pageHeight, props.width, props.height, props.src),
)
</script>

<template><div class="snippet" :style="style" role="img" :aria-label="alt" /></template>

<style scoped>
.snippet {
  background-color: #fff;
  background-repeat: no-repeat;
  border: 1px solid var(--line);
  max-width: 100%;
}
</style>
