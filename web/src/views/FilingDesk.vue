<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { act, api, isStale, pictureOf, repairsOf, tell, type Schema } from '../api/client'
import { useBatch } from '../composables/useBatch'
import { useEvents } from '../composables/useEvents'
import { useKeys } from '../composables/useKeys'
import BatchLine from '../parts/BatchLine.vue'
import DeliveryFate from '../parts/DeliveryFate.vue'
import NotReadList from '../parts/NotReadList.vue'
import { tree } from '../parts/tree'
import PageViewer from '../parts/PageViewer.vue'
import { useWords } from '../composables/useWords'
import KeyButton from '../parts/base/KeyButton.vue'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const { ledger } = useWords()
const router = useRouter()
const { batch, documents, pageByNo, load } = useBatch(props.no, true)
const plan = ref<Schema['Plan'] | null>(null)
const current = ref(1)
const busy = ref(false)

async function look() {
  const { data, error } = await api.GET('/api/batches/{no}/filing', { params: { path: { no: props.no } } })
  if (data) plan.value = data
  else tell(error)
}
void look()
const soon = useDebounceFn(look, 200)
useEvents((changed) => {
  if (changed === props.no || changed === '') void soon()
})
watch(
  () => batch.value?.cutDoubts,
  () => void look(),
)

const doubts = computed(() => (batch.value ? batch.value.cutDoubts + batch.value.fieldDoubts : 0))
const done = computed(() => batch.value?.stage === 'done')
const rows = computed(() => tree(plan.value?.deliveries ?? []))
const page = computed(() =>
  pageByNo.value.get(documents.value.find((d) => d.no === current.value)?.pages[0] ?? 0),
)

async function file() {
  if (busy.value || doubts.value || plan.value?.begun) return
  busy.value = true
  const { data, error } = await act(batch.value, (header) =>
    api.POST('/api/batches/{no}/filing', { params: { path: { no: props.no }, header } }),
  )
  busy.value = false
  if (data) plan.value = data
  else tell(error)
  if (data || isStale(error)) await load()
}
const STATES: Record<Schema['DeskDelivery']['state'], string> = {
  planned: 'empty',
  running: 'empty',
  retrying: 'doubtful',
  refused: 'wrong',
  done: 'settled',
  leftOut: 'empty',
}
const refused = computed(() => plan.value?.deliveries.filter((d) => d.state === 'refused').length ?? 0)
async function decide(
  d: Schema['DeskDelivery'],
  fate: Schema['DeskDelivery']['remedies'][number],
  name?: string,
) {
  if (busy.value || !d.id) return
  busy.value = true
  const { data, error } = await api.POST('/api/batches/{no}/deliveries/{id}', {
    params: { path: { no: props.no, id: d.id } },
    body: { fate, name: name ?? '' },
  })
  busy.value = false
  if (data) plan.value = data
  else tell(error)
}
function toDoubts() {
  void router.push({ name: batch.value?.cutDoubts ? 'pages' : 'index', params: { no: props.no } })
}
const step = (by: number) =>
  (current.value = Math.max(1, Math.min(documents.value.length, current.value + by)))
useKeys([
  {
    key: 'Enter',
    on: ['Enter'],
    label: t('filing.file'),
    run: () =>
      plan.value?.begun ? void router.push({ name: 'board' }) : doubts.value ? toDoubts() : void file(),
  },
  { key: '↑', on: ['ArrowUp', '['], label: t('filing.up'), run: () => step(-1) },
  { key: '↓', on: ['ArrowDown', ']'], label: t('filing.down'), run: () => step(1) },
  {
    key: 'B',
    on: ['b', 'B'],
    label: t('indexDesk.toPages'),
    run: () => void router.push({ name: 'pages', params: { no: props.no } }),
  },
])
</script>

<template>
  <div class="desk">
    <BatchLine v-if="batch" :batch="batch" :current="current" @go="(n) => (current = n)" />
    <div v-if="batch && plan" class="halves">
      <section class="tree">
        <h1>{{ plan.begun ? t('filing.made') : t('filing.tree') }}</h1>
        <NotReadList :no="no" :items="batch.rejected" :locked="plan.begun" @changed="load" />
        <p v-if="!plan.deliveries.length" class="soft">{{ t('filing.none') }}</p>
        <template v-for="(r, i) in rows" :key="i">
          <div v-if="r.kind === 'destination'" class="destination">{{ r.name }}</div>
          <div v-else-if="r.kind === 'folder'" class="folder" :style="{ paddingLeft: r.depth * 18 + 'px' }">
            {{ r.name }}/
          </div>
          <template v-else>
            <button
              class="file"
              :class="{ current: r.delivery.document === current }"
              :style="{ paddingLeft: r.depth * 18 + 'px' }"
              @click="current = r.delivery.document"
            >
              <span class="mono name">{{ r.name }}</span>
              <span class="formats">{{ r.delivery.formats.join(' ') }}</span>
              <span class="state" :class="STATES[r.delivery.state]">
                {{
                  t(
                    `filing.${r.delivery.state}`,
                    { by: r.delivery.leftOutBy, n: r.delivery.tries },
                    r.delivery.tries,
                  )
                }}
              </span>
            </button>
            <DeliveryFate
              v-if="r.delivery.remedies.length"
              :style="{ paddingLeft: r.depth * 18 + 'px' }"
              :delivery="r.delivery"
              :busy="busy"
              @fate="(fate, name) => decide(r.delivery, fate, name)"
            />
          </template>
        </template>
      </section>
      <section class="preview">
        <PageViewer
          v-if="page"
          :src="pictureOf(no, page, 900, batch?.repairedForFiling ? repairsOf(page) : [])"
          :alt="t('pageDesk.page', { no: page.no })"
          :width-mm="page.widthMm"
          :height-mm="page.heightMm"
        />
      </section>
    </div>
    <footer v-if="batch && plan" class="row">
      <span>
        <span class="soft after">{{ t('filing.ledger') }}:</span>
        <strong class="ledger">{{ ledger(plan.ledger, plan.setAsideBy) }}</strong>
      </span>
      <span class="stretch" />
      <template v-if="plan.begun">
        <span v-if="refused" class="state wrong">{{ t('filing.needsYou', refused) }}</span>
        <span v-else class="state" :class="done ? 'settled' : 'empty'">
          {{ done ? t('filing.filed') : t('filing.underWay') }}
        </span>
        <KeyButton main k="Enter" @click="router.push({ name: 'board' })">
          {{ t('filing.toBoard') }}
        </KeyButton>
      </template>
      <template v-else-if="doubts">
        <span class="state doubtful">{{ t('filing.doubts', doubts) }}</span>
        <KeyButton main k="Enter" @click="toDoubts">
          {{ t('filing.toDoubts') }}
        </KeyButton>
      </template>
      <KeyButton v-else :disabled="busy || !plan.deliveries.length" main k="Enter" @click="file">
        {{ t('filing.file') }}
      </KeyButton>
    </footer>
    <p v-else class="soft note">{{ t('app.loading') }}</p>
  </div>
</template>

<style scoped>
.desk {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.halves {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
}
.tree {
  overflow: auto;
  padding: 14px 18px;
  background: var(--field);
  border-right: 1px solid var(--line);
}
.destination {
  margin-top: 14px;
  font-weight: 650;
  border-bottom: 1px solid var(--line);
  padding-bottom: 2px;
}
.folder {
  color: var(--ink-soft);
  padding-top: 5px;
}
.file {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  width: 100%;
  text-align: left;
  font: inherit;
  border: 0;
  background: none;
  padding: 3px 6px;
  cursor: pointer;
  align-items: baseline;
  color: var(--ink);
}
.file:hover {
  background: var(--hover);
}
.file.current {
  background: var(--petrol-pale);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.name {
  overflow-wrap: anywhere;
}
.formats {
  font-size: 12.5px;
  color: var(--ink-soft);
}
.preview {
  min-width: 0;
  min-height: 0;
}
footer {
  padding: 8px 16px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  min-height: 50px;
}
.ledger {
  font-variant-numeric: tabular-nums;
}
.note {
  padding: 30px;
}
</style>
