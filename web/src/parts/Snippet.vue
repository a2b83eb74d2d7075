<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Box } from '../api/client'
import { snippetStyle } from './snippet'

/** The very piece of paper a value was read from, at reading size. Its picture is fetched once it comes into sight. */
const props = withDefaults(
  defineProps<{
    src: string
    /** The same page with fewer pixels, that is there at once. */
    quick: string
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
const piece = ref<HTMLElement>()
const inSight = ref(false)
const { stop, isSupported } = useIntersectionObserver(piece, ([entry]) => {
  if (!entry.isIntersecting) return
  inSight.value = true
  stop()
})
const style = computed(() =>
  snippetStyle(
    props.box,
    props.pageWidth,
    props.pageHeight,
    props.width,
    props.height,
    inSight.value || !isSupported.value ? [props.src, props.quick] : [],
  ),
)
</script>

<template><div ref="piece" class="snippet" :style="style" role="img" :aria-label="alt" /></template>

<style scoped>
.snippet {
  background-color: #fff;
  background-repeat: no-repeat;
  border: 1px solid var(--line);
  max-width: 100%;
}
</style>
