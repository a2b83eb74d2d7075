<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, pictureOf, repairsOf, type Schema } from '../api/client'
import { useBatch } from '../composables/useBatch'
import { useEvents } from '../composables/useEvents'
import { useFates } from '../composables/useFates'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import BatchHeld from '../parts/BatchHeld.vue'
import BatchLine from '../parts/BatchLine.vue'
import FiledFoot from '../parts/FiledFoot.vue'
import HoldBack from '../parts/HoldBack.vue'
import FilingTree from '../parts/FilingTree.vue'
import NotReadList from '../parts/NotReadList.vue'
import PageViewer from '../parts/PageViewer.vue'
import { useWords } from '../composables/useWords'
import KeyButton from '../parts/base/KeyButton.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const { ledger } = useWords()
const router = useRouter()
const { batch, loading, problem, documents, pageByNo, load } = useBatch(props.no, true)
const planned = useLoad(() => api.GET('/api/batches/{no}/filing', { params: { path: { no: props.no } } }))
const plan = planned.data
const current = ref(1)

const soon = useDebounceFn(planned.load, 200)
useEvents((changed) => {
  if (changed === props.no || changed === '') void soon()
})
watch(
  () => batch.value?.cutDoubts,
  (_, before) => before !== undefined && void planned.load(),
)

const doubts = computed(() => (batch.value ? batch.value.cutDoubts + batch.value.fieldDoubts : 0))
const reading = computed(() => batch.value?.stage === 'intake')
const done = computed(() => batch.value?.stage === 'done')
const refused = computed(() => plan.value?.deliveries.filter((d) => d.state === 'refused').length ?? 0)
const page = computed(() =>
  pageByNo.value.get(documents.value.find((d) => d.no === current.value)?.pages[0] ?? 0),
)

const { busy, decide, ...fates } = useFates(props.no, plan, batch, load)
function file() {
  if (!reading.value && !doubts.value && !plan.value?.begun) void fates.file()
}
function takenBack(now: Schema['Plan']) {
  plan.value = now
  void load()
}
const toBoard = () => void router.push({ name: 'board' })
const toPages = () => void router.push({ name: 'pages', params: { no: props.no } })
function toDoubts() {
  void router.push({ name: batch.value?.cutDoubts ? 'pages' : 'index', params: { no: props.no } })
}
const onwards = () => (plan.value?.begun ? toBoard() : doubts.value ? toDoubts() : file())
const step = (by: number) =>
  (current.value = Math.max(1, Math.min(documents.value.length, current.value + by)))
useKeys([
  { key: 'Enter', on: ['Enter'], label: t('filing.file'), run: onwards },
  { key: '↑', on: ['ArrowUp', '['], label: t('filing.up'), run: () => step(-1) },
  { key: '↓', on: ['ArrowDown', ']'], label: t('filing.down'), run: () => step(1) },
  { key: 'B', on: ['b', 'B'], label: t('indexDesk.toPages'), run: toPages },
])
</script>

<template>
  <div class="desk-frame">
    <BatchLine v-if="batch" :batch="batch" :current="current" @go="(n) => (current = n)" />
    <BatchHeld v-if="batch && !plan?.begun" :batch="batch" @changed="load" />
    <template v-if="batch && plan">
      <div class="halves row-of">
        <section class="tree">
          <h1>{{ plan.begun ? t('filing.made') : t('filing.tree') }}</h1>
          <NotReadList :no="no" :items="batch.rejected" :locked="plan.begun" @changed="load" />
          <WaitingFor :empty="!plan.deliveries.length && t('filing.none')" />
          <FilingTree
            v-if="plan.deliveries.length"
            v-model="current"
            v-bind="{ deliveries: plan.deliveries, lists: plan.lists, begun: plan.begun, busy }"
            @fate="decide"
          />
        </section>
        <section class="preview">
          <HoldBack
            v-if="documents.length"
            :no="no"
            :document="current"
            :held="plan.heldBack.find((h) => h.document === current)"
            :begun="plan.begun"
            @planned="(now) => (plan = now)"
          />
          <PageViewer
            v-if="page"
            class="page"
            :src="pictureOf(no, page, 900, batch.repairedForFiling ? repairsOf(page) : [])"
            :alt="t('pageDesk.page', { no: page.no })"
            :width-mm="page.widthMm"
            :height-mm="page.heightMm"
          />
        </section>
      </div>
      <footer class="row">
        <span>
          <span class="soft after">{{ t('filing.ledger') }}:</span>
          <strong class="ledger">{{ ledger(plan.ledger, plan.setAsideBy) }}</strong>
        </span>
        <span class="stretch" />
        <FiledFoot
          v-if="plan.begun"
          :no="no"
          :refused="refused"
          :done="done"
          @taken="takenBack"
          @board="toBoard"
        />
        <template v-else-if="doubts">
          <span class="state doubtful">{{ t('filing.doubts', doubts) }}</span>
          <KeyButton main k="Enter" @click="toDoubts">{{ t('filing.toDoubts') }}</KeyButton>
        </template>
        <KeyButton v-else :disabled="busy || reading || !plan.deliveries.length" main k="Enter" @click="file">
          {{ t('filing.file') }}
        </KeyButton>
      </footer>
    </template>
    <WaitingFor
      v-else
      :loading="loading || planned.loading.value"
      :problem="problem ?? planned.problem.value"
      @again="(load(), planned.load())"
    />
  </div>
</template>

<style scoped>
.tree {
  flex: 1.15;
  min-width: 0;
  overflow: auto;
  padding: 14px 18px;
  background: var(--field);
  border-inline-end: 1px solid var(--line);
}
.preview {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.preview .page {
  flex: 1;
  min-height: 0;
}
footer {
  flex-wrap: wrap;
  padding: 8px 16px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  min-height: 50px;
}
.ledger {
  font-variant-numeric: tabular-nums;
}
</style>
