<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useBoardFilter } from '../composables/useBoardFilter'
import { useEvents } from '../composables/useEvents'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import { useOpenBatch } from '../composables/useOpenBatch'
import BoardFilters from '../parts/BoardFilters.vue'
import BoardTable from '../parts/BoardTable.vue'
import NextForMe from '../parts/NextForMe.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { byUrgency, nextFor } from '../parts/late'
import { useSession } from '../session'

// Asked for now and then: the board does not wait for it.
const BatchCard = defineAsyncComponent(() => import('../parts/BatchCard.vue'))
const { t } = useI18n()
const session = useSession()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/board'))
// A batch being read tells of every page; once a second is often enough to look.
useEvents(useDebounceFn(() => load(), 400, { maxWait: 1000 }))

const rows = computed(() => [...(data.value?.batches ?? [])].sort(byUrgency))
const now = computed(() => (data.value ? new Date(data.value.now).getTime() : Date.now()))
const narrowed = useBoardFilter(rows, now)
const { shown } = narrowed
const empty = computed(() => (rows.value.length ? t('board.noneSuch') : t('board.empty')))
const at = ref(0)
const card = ref(false)
watch(shown, (s) => (at.value = Math.min(at.value, Math.max(0, s.length - 1))))
const next = computed(() => nextFor(rows.value))
const open = useOpenBatch()
function openAt(index: number) {
  at.value = index
  void open(shown.value[index])
}
function about(index: number) {
  at.value = index
  card.value = true
}

/** Until a row was moved to, Enter is for what comes next. */
const moved = ref(false)
function step(by: number) {
  at.value = Math.max(0, Math.min(shown.value.length - 1, at.value + (moved.value || by < 0 ? by : 0)))
  moved.value = true
}
function toggleCard() {
  moved.value = true
  card.value = !card.value
}
useKeys([
  { key: '↑', on: ['ArrowUp'], label: t('board.up'), run: () => step(-1) },
  { key: '↓', on: ['ArrowDown'], label: t('board.down'), run: () => step(1) },
  {
    key: 'Enter',
    on: ['Enter'],
    label: t('board.open'),
    run: () => void open(moved.value ? shown.value[at.value] : next.value),
  },
  { key: 'I', on: ['i', 'I'], label: t('board.about'), run: toggleCard },
  { key: 'Esc', on: ['Escape'], label: t('app.close'), run: () => (card.value = false) },
])
</script>

<template>
  <div class="board">
    <NextForMe :next="next" :now="now" :loaded="!!data" @start="open(next)" />
    <div class="below">
      <section class="list panel" :aria-label="t('nav.board')">
        <BoardFilters :filter="narrowed" :rows="rows" />
        <WaitingFor v-if="!data" v-bind="{ loading, problem }" @again="load" />
        <ElAutoResizer v-else class="stretch">
          <template #default="{ width, height }">
            <BoardTable v-bind="{ at, now, width, height }" :rows="shown" @open="openAt" @about="about">
              <ElEmpty :image-size="1" :description="empty" />
            </BoardTable>
          </template>
        </ElAutoResizer>
      </section>
      <BatchCard
        v-if="card && shown[at]"
        :key="shown[at].no"
        :row="shown[at]"
        :supervisor="session.me?.role === 'supervisor'"
        @changed="load"
        @close="card = false"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  gap: 12px;
  height: 100%;
  padding: 14px 16px;
  max-width: 1500px;
  margin: 0 auto;
}
.below {
  flex: 1;
  min-height: 0;
  display: flex;
  gap: 12px;
}
.list {
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: var(--field);
}
@media (max-width: 900px), (max-height: 560px) {
  .board {
    height: auto;
  }
  .below {
    flex-wrap: wrap;
  }
  .below > * {
    flex: 1 1 100%;
  }
  .list {
    height: 340px;
  }
}
</style>
