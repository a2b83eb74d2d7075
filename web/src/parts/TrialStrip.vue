<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { useWords } from '../composables/useWords'
import NoteBanner from './base/NoteBanner.vue'
import { certain } from './figures'

/**
 * The pages of a batch with their stakes as they are and as they would be; where that differs is marked, unless there
 * is no version yet that it could differ from.
 */
const props = defineProps<{ no: string; trial: Schema['Trial']; page?: number; first?: boolean }>()
const emit = defineEmits<{ show: [page: number] }>()
const { t } = useI18n()
const words = useWords()
const onlyOther = ref(false)
type Page = Schema['TriedPage']
const change = (p: Page) =>
  props.first ? '' : p.drafted && !p.saved ? 'new' : p.saved && !p.drafted ? 'gone' : ''
const others = computed(() => props.trial.pages.filter((p) => change(p)).length)
const shown = computed(() =>
  onlyOther.value ? props.trial.pages.filter((p) => change(p)) : props.trial.pages,
)
const inFlow = computed(() => props.trial.pages.filter((p) => p.content).length)
const MANY = 5
/** What is nearly always a mistake in the rules. */
const odd = computed(() =>
  inFlow.value < MANY
    ? ''
    : props.trial.wouldBe >= inFlow.value
      ? 'everyPage'
      : props.trial.wouldBe < 2
        ? 'nowhere'
        : '',
)
const strip = ref<HTMLElement>()
watch(
  [() => props.page, strip],
  () => strip.value?.querySelector('.now')?.scrollIntoView({ block: 'nearest' }),
  { flush: 'post' },
)
const told = (p: Page) => {
  const begins = p.drafted ?? p.saved
  return begins ? `${begins.type} · ${certain(begins.certainty)} · ${words.reasons(begins.evidence)}` : ''
}
</script>

<template>
  <p v-if="first" class="sum" role="status">
    {{ t('rules.wouldBe', { n: trial.wouldBe, doubts: trial.doubtsWouldBe }) }}
  </p>
  <p v-else class="row sum" role="status">
    <b>{{ t('rules.documents', { now: trial.documents, then: trial.wouldBe }) }}</b>
    <span>{{ t('rules.doubts', { now: trial.doubts, then: trial.doubtsWouldBe }) }}</span>
    <span>{{ t('rules.others', others) }}</span>
    <ElCheckbox v-model="onlyOther" :disabled="!others">{{ t('rules.onlyOthers') }}</ElCheckbox>
  </p>
  <NoteBanner v-if="odd && !first" kind="doubt">{{ t(`rules.odd.${odd}`) }}</NoteBanner>
  <ol ref="strip" class="strip">
    <li
      v-for="p in shown"
      :key="p.no"
      :class="[change(p), { out: !p.content, now: p.no === page }]"
      :title="told(p)"
    >
      <i v-if="p.saved" class="pole saved" :class="{ broken: p.saved.doubtful }" />
      <i v-if="p.drafted" class="pole drafted" :class="{ broken: p.drafted.doubtful }" />
      <img
        :src="pictureOf(no, p, 200)"
        loading="lazy"
        :alt="t('pageDesk.page', { no: p.no })"
        @click="emit('show', p.no)"
      />
      <span class="mono">{{ p.no }}</span>
      <b v-if="change(p)" class="change">{{ t(`rules.change.${change(p)}`) }}</b>
      <span v-else-if="p.drafted" class="type">{{ p.drafted.type }}</span>
    </li>
  </ol>
</template>

<style scoped>
.sum {
  gap: 14px;
  flex-wrap: wrap;
}
.strip {
  list-style: none;
  margin: 0;
  padding: 8px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 8px;
  max-height: 420px;
  overflow: auto;
  background: var(--ground);
}
li {
  position: relative;
  width: 84px;
  padding-inline-start: 14px;
  font-size: 12px;
  line-height: 1.2;
}
li.now img {
  outline: 3px solid var(--petrol);
}
li.out {
  opacity: 0.45;
}
img {
  width: 70px;
  height: 99px;
  object-fit: contain;
  background: #fff;
  border: 1px solid #a9b3bb;
  display: block;
}
.pole {
  position: absolute;
  top: 0;
  width: 5px;
  height: 99px;
  background: repeating-linear-gradient(var(--stake) 0 12px, #fff 12px 24px);
  border: 1px solid var(--stake);
}
.pole.saved {
  left: 0;
  opacity: 0.4;
}
.pole.drafted {
  left: 7px;
}
.pole.broken {
  border-style: dashed;
}
.change {
  background: var(--doubt-pale);
  padding: 0 3px;
}
.type {
  display: block;
  color: var(--ink-soft);
}
</style>
