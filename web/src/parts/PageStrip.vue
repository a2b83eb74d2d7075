<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { Schema } from '../api/client'
import StripPage from './StripPage.vue'

/** Pages standing on the ground line in reading order, wrapping like text, with a stake where a document begins. */
const props = defineProps<{
  batch: Schema['BatchDetail']
  pages: Schema['DeskPage'][]
  current: number
  chosen: number[]
  size: number
  locked: boolean
}>()
const emit = defineEmits<{ select: [no: number, extend: boolean]; drop: [dragged: number, before: number] }>()

const scroller = ref<HTMLElement | null>(null)
const { width } = useElementSize(scroller)
const thumb = computed(() => [72, 108, 170][props.size] ?? 108)
const room = computed(() => width.value - 20)
const columns = computed(() => Math.max(1, Math.floor(room.value / (thumb.value + 22))))
/** The line is as long as there is room: what is left over is shared out between its pages. */
const cell = computed(() => Math.floor(room.value / columns.value))
const rowHeight = computed(() => Math.round(thumb.value * Math.SQRT2) + 50)
const rows = computed(() => {
  const all: Schema['DeskPage'][][] = []
  for (let i = 0; i < props.pages.length; i += columns.value)
    all.push(props.pages.slice(i, i + columns.value))
  return all
})
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => rowHeight.value,
    overscan: 3,
    paddingStart: 8,
  })),
)
const first = computed(() => new Map(props.batch.documents.map((d) => [d.pages[0], d])))
const maybe = computed(() => new Set(props.batch.places.map((p) => p.page)))
/** Pages after which something is still to come. */
const gaps = computed(() => new Set(props.batch.gaps.filter((g) => g.open).map((g) => g.page)))
const dragged = ref(0)
const over = ref(0)
function dropOn(no: number) {
  if (dragged.value && dragged.value !== no) emit('drop', dragged.value, no)
  dragged.value = over.value = 0
}
function show(no: number) {
  const i = props.pages.findIndex((p) => p.no === no)
  if (i >= 0) virtual.value.scrollToIndex(Math.floor(i / columns.value))
}
// How many pages stand in a row is known only once the strip has its width.
watch([columns, () => width.value > 0], () => void nextTick(() => show(props.current)))
defineExpose({ columns, show })
</script>

<template>
  <div ref="scroller" class="strip" role="listbox" aria-multiselectable="true" :aria-label="batch.no">
    <div :style="{ height: virtual.getTotalSize() + 'px', position: 'relative' }">
      <div
        v-for="v in virtual.getVirtualItems()"
        :key="v.index"
        class="ground"
        :style="{ height: rowHeight + 'px', transform: `translateY(${v.start}px)` }"
      >
        <StripPage
          v-for="p in rows[v.index]"
          :key="p.no"
          :batch="batch"
          :page="p"
          :begins="first.get(p.no)"
          :maybe="maybe.has(p.no)"
          :gap="gaps.has(p.no)"
          :width="thumb"
          :class="{ current: p.no === current, chosen: chosen.includes(p.no), over: over === p.no }"
          :style="{ width: cell + 'px' }"
          :aria-selected="chosen.includes(p.no)"
          :draggable="!locked"
          @click="emit('select', p.no, $event.shiftKey)"
          @dragstart="dragged = p.no"
          @dragover.prevent="over = p.no"
          @dragend="over = 0"
          @drop.prevent="dropOn(p.no)"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.strip {
  flex: 1;
  min-height: 0;
  overflow: auto;
  background: var(--ground);
  padding: 0 8px;
}
.ground {
  position: absolute;
  left: 0;
  right: 0;
  top: 0;
  display: flex;
}
</style>
