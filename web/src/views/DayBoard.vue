<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, tell, type Schema } from '../api/client'
import { useBoardFilter } from '../composables/useBoardFilter'
import { useEvents } from '../composables/useEvents'
import { useKeys } from '../composables/useKeys'
import BatchCard from '../parts/BatchCard.vue'
import BoardFilters from '../parts/BoardFilters.vue'
import { byUrgency, dueAt, lateness, workable } from '../parts/late'
import { stretch } from '../parts/times'
import StageRail from '../parts/StageRail.vue'
import { useSession } from '../session'
import KeyButton from '../parts/base/KeyButton.vue'

const { t } = useI18n()
const router = useRouter()
const session = useSession()
const rows = ref<Schema['Row'][]>([])
const card = ref(false)
const now = ref(Date.now())
const loaded = ref(false)
const at = ref(0)

async function load() {
  const { data, error } = await api.GET('/api/board')
  if (data) {
    rows.value = data.batches.sort(byUrgency)
    now.value = new Date(data.now).getTime()
  } else tell(error)
  loaded.value = true
}
// A batch being read tells of every page; once a second is often enough to look.
useEvents(useDebounceFn(() => load(), 400, { maxWait: 1000 }))
void load()

const narrowed = useBoardFilter(rows, now)
const { shown } = narrowed
watch(shown, (s) => (at.value = Math.min(at.value, Math.max(0, s.length - 1))))
const next = computed(
  () =>
    rows.value.find((r) => workable(r) && r.mine) ??
    rows.value.find((r) => workable(r) && !r.with) ??
    rows.value.find(workable) ??
    null,
)

async function open(r: Schema['Row'] | null | undefined) {
  if (!r || r.withdrawn) return
  const name = r.stage === 'intake' ? null : r.stage === 'done' ? 'filing' : r.stage
  if (!name) return
  // Whoever opens a batch to work on it has it from then on.
  if (workable(r) && !r.mine)
    await api.POST('/api/batches/{no}/take', { params: { path: { no: r.no } }, body: { over: false } })
  void router.push({ name, params: { no: r.no } })
}
function due(r: Schema['Row']) {
  if (r.withdrawn) return t('board.withdrawn')
  if (r.stage === 'done') return t('board.doneAt')
  const left = dueAt(r) - now.value
  return left < 0 ? t('board.late', { time: stretch(-left) }) : t('board.dueIn', { time: stretch(left) })
}
/** Who has it, or for whom and why it waits. */
function whose(r: Schema['Row']) {
  if (r.onHold) return t('board.onHold', { why: r.onHold })
  if (r.byItself) return t('board.byItself')
  if (r.with) return r.with
  return r.stage === 'intake' || r.stage === 'done' || r.filing || r.withdrawn
    ? '–'
    : t(`board.waits.${r.stage}`)
}
/** How much of its stage is done, as far as it is known: pages read, or that no doubt is left. */
const share = (r: Schema['Row']) =>
  r.stage === 'intake' ? (r.pages ? r.read / r.pages : 0) : r.doubts || r.filing ? 0 : 1

const body = ref<HTMLElement | null>(null)
const virtual = useVirtualizer(
  computed(() => ({
    count: shown.value.length,
    getScrollElement: () => body.value,
    estimateSize: () => 38,
    overscan: 12,
  })),
)
function step(by: number) {
  at.value = Math.max(0, Math.min(shown.value.length - 1, at.value + by))
  virtual.value.scrollToIndex(at.value)
}
let moved = false
useKeys([
  {
    key: '↑',
    on: ['ArrowUp'],
    label: t('board.up'),
    run: () => {
      moved = true
      step(-1)
    },
  },
  {
    key: '↓',
    on: ['ArrowDown'],
    label: t('board.down'),
    run: () => {
      step(moved ? 1 : 0)
      moved = true
    },
  },
  {
    key: 'Enter',
    on: ['Enter'],
    label: t('board.open'),
    run: () => void open(moved ? shown.value[at.value] : next.value),
  },
  {
    key: 'I',
    on: ['i', 'I'],
    label: t('board.about'),
    run: () => {
      moved = true
      card.value = !card.value
    },
  },
  { key: 'Esc', on: ['Escape'], label: t('app.close'), run: () => (card.value = false) },
])

function openAt(index: number) {
  at.value = index
  open(shown.value[index])
}
function about(index: number) {
  at.value = index
  card.value = true
}
</script>

<template>
  <div class="board">
    <section class="next panel">
      <h2>{{ t('board.next') }}</h2>
      <template v-if="next">
        <strong class="mono">{{ next.no }}</strong>
        <span>{{ next.title }}</span>
        <span class="soft">{{ t('intake.sent', { pages: next.pages }, next.pages) }}</span>
        <span v-if="next.doubts">
          {{ t('board.doubtsIn', { n: next.doubts, stage: t(`stages.${next.stage}`) }, next.doubts) }}
        </span>
        <span v-else>{{ t('board.noDoubts') }}</span>
        <span :class="lateness(next, now)">{{ due(next) }}</span>
        <span class="stretch" />
        <KeyButton main k="Enter" @click="open(next)">
          {{ t('board.start') }}
        </KeyButton>
      </template>
      <span v-else-if="loaded" class="soft">{{ t('board.nothing') }}</span>
    </section>

    <div class="below">
      <section class="list panel">
        <BoardFilters :filter="narrowed" :rows="rows" />
        <div class="head grid" aria-hidden="true">
          <span>{{ t('board.batch') }}</span>
          <span>{{ t('board.stream') }}</span>
          <span class="num">{{ t('board.pages') }}</span>
          <span>{{ t('board.stage') }}</span>
          <span class="num">{{ t('board.doubts') }}</span>
          <span>{{ t('board.waiting') }}</span>
          <span>{{ t('board.due') }}</span>
          <span>{{ t('board.with') }}</span>
        </div>
        <div ref="body" class="body" role="listbox" :aria-label="t('nav.board')" tabindex="0">
          <div :style="{ height: virtual.getTotalSize() + 'px', position: 'relative' }">
            <div
              v-for="v in virtual.getVirtualItems()"
              :key="shown[v.index].no"
              class="grid line"
              :class="{ at: v.index === at }"
              role="option"
              :aria-selected="v.index === at"
              :style="{
                position: 'absolute',
                top: 0,
                left: 0,
                right: 0,
                height: v.size + 'px',
                transform: `translateY(${v.start}px)`,
              }"
              @click="openAt(v.index)"
            >
              <span class="mono no">
                <span
                  v-if="shown[v.index].priority !== 'normal'"
                  class="urgent"
                  :title="t(`card.p.${shown[v.index].priority}`)"
                >
                  {{ shown[v.index].priority === 'urgent' ? '!!' : '!' }}
                </span>
                {{ shown[v.index].no }}
              </span>
              <span class="cut">{{ shown[v.index].title }}</span>
              <span class="num">{{ shown[v.index].pages }}</span>
              <StageRail :stage="shown[v.index].stage" :share="share(shown[v.index])" />
              <span class="num">
                {{ shown[v.index].stage === 'done' ? '' : shown[v.index].doubts || '–' }}
              </span>
              <span class="soft">
                {{
                  shown[v.index].stage === 'intake'
                    ? t('board.read', { read: shown[v.index].read, pages: shown[v.index].pages })
                    : stretch(now - new Date(shown[v.index].since).getTime())
                }}
              </span>
              <span class="due" :class="lateness(shown[v.index], now)">{{ due(shown[v.index]) }}</span>
              <span class="cut" :class="{ mine: shown[v.index].mine }">{{ whose(shown[v.index]) }}</span>
              <button
                class="about"
                :aria-label="t('board.about') + ' ' + shown[v.index].no"
                :title="t('board.about')"
                @click.stop="about(v.index)"
              >
                ⋯
              </button>
            </div>
          </div>
          <p v-if="loaded && !rows.length" class="empty soft">{{ t('board.empty') }}</p>
          <p v-else-if="loaded && !shown.length" class="empty soft">{{ t('board.noneSuch') }}</p>
        </div>
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
.next {
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 12px 16px;
  min-height: 58px;
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
.due {
  white-space: nowrap;
}
.grid {
  display: grid;
  grid-template-columns: 84px minmax(130px, 1.2fr) 52px 240px 56px 112px 118px minmax(80px, 0.8fr) 28px;
  gap: 12px;
  align-items: center;
  padding: 0 14px;
}
.head {
  padding: 8px 14px;
  font-size: 13px;
  color: var(--ink-soft);
  border-bottom: 1px solid var(--line);
}
.num {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.body {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.line {
  border-bottom: 1px solid var(--line-faint);
  cursor: pointer;
}
.line:hover {
  background: var(--hover);
}
.line.at {
  background: var(--petrol-pale);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.no {
  font-weight: 600;
}
.cut {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.late {
  font-weight: 650;
  color: var(--wrong);
}
.late::before {
  content: '⚑ ';
}
.near {
  font-weight: 600;
}
.near::before {
  content: '◔ ';
}
.urgent {
  font-weight: 700;
  color: var(--wrong);
  margin-right: 3px;
}
.mine {
  font-weight: 650;
}
.about {
  border: 0;
  background: none;
  font: inherit;
  cursor: pointer;
  padding: 0 4px;
}
.empty {
  padding: 40px;
  text-align: center;
}
.list {
  container-type: inline-size;
}
@container (max-width: 960px) {
  .grid {
    grid-template-columns: 84px minmax(110px, 1.2fr) 44px 224px 48px 126px minmax(60px, 0.8fr) 24px;
  }
  .grid > :nth-child(6) {
    display: none;
  }
}
</style>
