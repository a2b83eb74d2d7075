<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import type { useBoardFilter } from '../composables/useBoardFilter'
import PickOne from './base/PickOne.vue'

/** What the board is narrowed to: three lists that say how many each of their choices has, and a search. */
const props = defineProps<{ filter: ReturnType<typeof useBoardFilter>; rows: Schema['Row'][] }>()
const { t } = useI18n()
const { stream, stage, only, words } = props.filter

const counted = (value: string, what: string, has: (r: Schema['Row']) => boolean) => ({
  value,
  label: t('board.some', { what, n: props.rows.filter(has).length }),
})
const ofStreams = computed(() => [
  counted('', t('board.all'), () => true),
  ...props.filter.streams.value.map(([name, title]) => counted(name, title, (r) => r.stream === name)),
])
const ofKinds = computed(() => [
  counted('', t('board.whoever'), () => true),
  ...Object.entries(props.filter.kinds).map(([name, has]) => counted(name, t(`board.only.${name}`), has)),
])
const ofStages = computed(() => [
  counted('', t('board.anyStage'), () => true),
  ...['intake', 'pages', 'index', 'filing', 'done'].map((s) =>
    counted(s, t(`stages.${s}`), (r) => r.stage === s),
  ),
])
</script>

<template>
  <div class="filters row" role="search" :aria-label="t('board.narrow')">
    <PickOne v-model="stream" :options="ofStreams" :aria-label="t('board.stream')" />
    <PickOne v-model="only" :options="ofKinds" :aria-label="t('board.with')" />
    <PickOne v-model="stage" :options="ofStages" :aria-label="t('board.stage')" />
    <ElInput v-model="words" clearable :placeholder="t('board.find')" :aria-label="t('board.find')" />
  </div>
</template>

<style scoped>
.filters {
  flex-wrap: wrap;
  padding: 8px 12px;
  border-bottom: 1px solid var(--line);
}
.filters > * {
  flex: 1 1 170px;
  max-width: 260px;
}
</style>
