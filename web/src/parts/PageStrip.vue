<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { useWords } from '../composables/useWords'

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
const { t } = useI18n()
const words = useWords()

const scroller = ref<HTMLElement | null>(null)
const { width } = useElementSize(scroller)
const thumb = computed(() => [72, 108, 170][props.size] ?? 108)
const room = computed(() => width.value - 20)
const columns = computed(() => Math.max(1, Math.floor(room.value / (thumb.value + 22))))
/** The line is as long as there is room: what is left over is shared out between its pages. */
const cell = computed(() => Math.floor(room.value / columns.value))
const rowHeight = computed(() => Math.round(thumb.value * 1.414) + 50)
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
const title = (type: string) => props.batch.types.find((x) => x.type === type)?.title ?? type
const reason = (d: Schema['DocumentView']) =>
  d.stake.by ? t('pageDesk.byHand', { by: d.stake.by }) : words.inShort(d.stake.evidence[0]?.why)
const label = (p: Schema['DeskPage']) => {
  const word =
    p.role === 'content'
      ? ''
      : p.role === 'separator'
        ? t('pageDesk.separator')
        : p.role === 'blank'
          ? t('pageDesk.blank')
          : t('pageDesk.setAside', { by: p.by ?? '' })
  return `${t('pageDesk.page', { no: p.no })}${word ? ', ' + word : ''}`
}
const short = (p: Schema['DeskPage']) =>
  p.role === 'separator'
    ? t('pageDesk.separatorShort')
    : p.role === 'blank'
      ? t('pageDesk.blankShort')
      : p.role === 'setAside'
        ? t('pageDesk.asideShort')
        : ''

/** One mark for the state of a page's image: a shape and a word. */
function badge(p: Schema['DeskPage']) {
  if (p.role !== 'content') return null
  const [f, ...more] = p.image.findings
  if (p.image.askedBecause) return { mark: '↻', word: t('image.again'), eye: true }
  if (p.needsEye && f)
    return {
      mark: '▲',
      word: t(`image.short.${f.kind}`) + (more.length ? ` +${more.length}` : ''),
      eye: true,
    }
  if (p.image.repairedBy) return { mark: '✓', word: t('image.repaired'), eye: false }
  if (f && p.image.acceptedBy) return { mark: '✓', word: t('image.kept'), eye: false }
  if (p.flag) return { mark: '◆', word: t('pageDesk.flagged'), eye: true }
  return null
}
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
        <div
          v-for="p in rows[v.index]"
          :key="p.no"
          class="cell"
          :class="[p.role, { current: p.no === current, chosen: chosen.includes(p.no), over: over === p.no }]"
          :style="{ width: cell + 'px' }"
          role="option"
          :aria-selected="chosen.includes(p.no)"
          :aria-label="label(p)"
          :draggable="!locked"
          @click="emit('select', p.no, $event.shiftKey)"
          @dragstart="dragged = p.no"
          @dragover.prevent="over = p.no"
          @dragend="over = 0"
          @drop.prevent="dropOn(p.no)"
        >
          <div
            v-if="first.get(p.no)"
            class="stake"
            :class="{ broken: first.get(p.no)!.stake.doubtful }"
            :style="{ height: thumb * 1.414 + 7 + 'px' }"
          />
          <div class="sheet" :style="{ width: thumb + 'px', height: thumb * 1.414 + 'px' }">
            <img :src="pictureOf(batch.no, p, 200)" loading="lazy" draggable="false" alt="" />
            <span v-if="badge(p)" class="badge" :class="{ eye: badge(p)!.eye }">
              {{ badge(p)!.mark }} {{ badge(p)!.word }}
            </span>
          </div>
          <div v-if="gaps.has(p.no)" class="gap" :style="{ height: thumb * 1.414 + 'px' }">
            <span>{{ t('gap.mark') }}</span>
          </div>
          <div class="foot" :title="first.get(p.no) && words.reason(first.get(p.no)!.stake.evidence[0]?.why)">
            <span class="mono after">{{ p.no }}</span>
            <template v-if="first.get(p.no)">
              {{ title(first.get(p.no)!.type.type) }}
              <div class="tag" :class="{ doubt: first.get(p.no)!.stake.doubtful }">
                {{ first.get(p.no)!.stake.doubtful ? t('pageDesk.doubt') : reason(first.get(p.no)!) }}
              </div>
            </template>
            <span v-else class="soft">{{ short(p) }}</span>
          </div>
        </div>
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
.cell {
  position: relative;
  padding-left: 15px;
  cursor: pointer;
  flex: none;
}
.sheet {
  position: relative;
  background: #fff;
  border: 1px solid #a9b3bb;
  display: grid;
  place-items: center;
  overflow: hidden;
}
.sheet img {
  max-width: 100%;
  max-height: 100%;
  display: block;
}
.stake {
  position: absolute;
  left: 5px;
  top: -4px;
  width: 6px;
  background: repeating-linear-gradient(var(--stake) 0 14px, #fff 14px 28px);
  outline: 1.5px solid var(--stake);
  z-index: 2;
}
.stake.broken {
  background: repeating-linear-gradient(
    var(--stake) 0 9px,
    transparent 9px 14px,
    #fff 14px 23px,
    transparent 23px 28px
  );
  outline-style: dashed;
  outline-width: 1px;
}
.gap {
  position: absolute;
  right: -3px;
  top: 0;
  width: 15px;
  border: 1.5px dashed var(--doubt);
  background: var(--doubt-pale);
  color: var(--doubt);
  font-size: 12px;
  display: grid;
  place-items: center;
  z-index: 1;
}
.gap span {
  writing-mode: vertical-rl;
}

.badge {
  position: absolute;
  left: 0;
  bottom: 0;
  max-width: 100%;
  padding: 1px 5px;
  font-size: 12px;
  line-height: 1.3;
  background: #fff;
  border-top: 1px solid #a9b3bb;
  border-right: 1px solid #a9b3bb;
  color: var(--ink-soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.badge.eye {
  background: var(--doubt-pale);
  color: var(--doubt);
  font-weight: 650;
  border-color: var(--doubt);
}
.foot {
  font-size: 12.5px;
  line-height: 1.25;
  margin: 3px 0 0 -15px;
  padding: 4px 4px 0 6px;
  height: 40px;
  overflow: hidden;
  border-top: 2px solid #8895a0;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.foot .mono {
  color: var(--ink-soft);
}
.tag {
  overflow: hidden;
  text-overflow: ellipsis;
}
.tag.doubt {
  color: var(--doubt);
  font-weight: 650;
}
.cell:not(.content) .sheet {
  opacity: 0.5;
  transform: translateY(7px) scale(0.94);
  border-style: dashed;
}
.cell:not(.content) .foot {
  border-top-style: dotted;
}
.cell.chosen {
  background: rgb(11 85 99 / 7%);
  box-shadow: inset 0 0 0 1px rgb(11 85 99 / 40%);
}
.cell.current .sheet {
  outline: 3px solid var(--petrol);
  outline-offset: 0;
  opacity: 1;
}
.cell.over {
  box-shadow: inset 4px 0 0 var(--petrol);
}
</style>
