<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { groupBegunBy } from './groups'
import { useWords } from '../composables/useWords'

/** A page standing on the ground line: its stake where a document begins, the state of its image, a gap after it. */
const props = defineProps<{
  batch: Schema['BatchDetail']
  page: Schema['DeskPage']
  /** The document that begins here. */
  begins: Schema['DocumentView'] | undefined
  /** Whether a stake may be missing before it. */
  maybe: boolean
  /** Of its picture, in pixels. */
  width: number
  gap: boolean
}>()
const { t } = useI18n()
const words = useWords()
/** Sheets are drawn upright: as high as paper of the A sizes. */
const height = computed(() => props.width * Math.SQRT2)

/** What a page is that is in no document: in one word for its foot, and in full. */
const OUT = { separator: 'separator', blank: 'blank', setAside: 'aside', content: '' } as const
const out = computed(() => OUT[props.page.role])
const type = computed(
  () =>
    props.batch.types.find((x) => x.type === props.begins?.type.type)?.title ?? props.begins?.type.type ?? '',
)
/** The number of the group that begins with this page's document. */
const group = computed(() => groupBegunBy(props.batch, props.begins)?.no)
const reason = computed(() => {
  const stake = props.begins?.stake
  if (!stake) return ''
  if (stake.doubtful) return t('pageDesk.doubt')
  return stake.by ? t('pageDesk.byHand', { by: stake.by }) : words.inShort(stake.evidence[0]?.why)
})
/** One mark for the state of a page's image: a shape and a word. */
const badge = computed(() => {
  const { role, image, needsEye, flag, file } = props.page
  if (!file) return { mark: '∅', word: t('retention.done'), eye: false }
  const [f, ...more] = image.findings
  if (role !== 'content') return null
  if (image.askedBecause) return { mark: '↻', word: t('image.again'), eye: true }
  if (needsEye && f) {
    const others = more.length ? ` +${more.length}` : ''
    return { mark: '▲', word: t(`image.short.${f.kind}`) + others, eye: true }
  }
  if (image.repairedBy) return { mark: '✓', word: t('image.repaired'), eye: false }
  if (f && image.acceptedBy) return { mark: '✓', word: t('image.kept'), eye: false }
  return flag ? { mark: '◆', word: t('pageDesk.flagged'), eye: true } : null
})
/** All that the picture of it says, for whom cannot see it. */
const label = computed(() =>
  [
    t('pageDesk.page', { no: props.page.no }),
    out.value && t(`pageDesk.out.${out.value}`),
    type.value && t('pageDesk.begins', { type: type.value, reason: reason.value }),
    badge.value?.word,
    props.maybe && t('pageDesk.doubtPlace'),
    props.gap && t('gap.mark'),
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <div class="cell" :class="page.role" role="option" :aria-label="label">
    <div
      v-if="begins"
      class="stake"
      :class="{ broken: begins.stake.doubtful }"
      :style="{ height: height + 7 + 'px' }"
    />
    <div v-else-if="maybe" class="stake maybe" :style="{ height: height + 7 + 'px' }" />
    <div class="sheet" :style="{ width: width + 'px', height: height + 'px' }">
      <img :src="pictureOf(batch.no, page, 200)" loading="lazy" draggable="false" alt="" />
      <span v-if="badge" class="badge" :class="{ eye: badge.eye }">{{ badge.mark }} {{ badge.word }}</span>
    </div>
    <div v-if="gap" class="gap" :style="{ height: height + 'px' }">
      <span>{{ t('gap.mark') }}</span>
    </div>
    <div class="foot" :title="begins && words.reason(begins.stake.evidence[0]?.why)">
      <span class="mono after">{{ page.no }}</span>
      <template v-if="begins">
        <b v-if="group" class="group">{{ batch.groupTitle }} {{ group }}</b>
        {{ type }}
        <div class="tag" :class="{ doubt: begins.stake.doubtful }">{{ reason }}</div>
      </template>
      <div v-else-if="maybe" class="tag doubt">{{ t('pageDesk.placeInShort') }}</div>
      <span v-else-if="out" class="soft">{{ t(`pageDesk.out.${out}`) }}</span>
    </div>
  </div>
</template>

<style scoped>
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
.group {
  padding: 0 4px;
  border: 1.5px solid var(--stake);
  border-radius: 2px;
  font-size: 11.5px;
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
.stake.maybe {
  background: none;
  outline-style: dotted;
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
