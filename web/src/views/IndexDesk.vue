<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, pictureOf, tell, type Box, type Schema } from '../api/client'
import { isDoubt, useBatch, type FieldValue } from '../composables/useBatch'
import { useKeys } from '../composables/useKeys'
import BatchLine from '../parts/BatchLine.vue'
import IndexField from '../parts/IndexField.vue'
import PageViewer from '../parts/PageViewer.vue'
import type { Shape } from '../parts/shapes'
import KeyButton from '../parts/base/KeyButton.vue'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const router = useRouter()
const { batch, loading, documents, pageByNo, decide, undo, redo, moveTo } = useBatch(props.no, true)

const documentNo = ref(1)
const field = ref<string | null>(null)
const draft = ref('')
/** Where the draft was taken from on the page, when it was clicked or dragged. */
const taken = ref<{ page: number; box: Box } | null>(null)
const pageNo = ref(0)
const message = ref('')
const viewer = ref<InstanceType<typeof PageViewer>>()
const column = ref<HTMLElement>()

const document = computed(() => documents.value.find((d) => d.no === documentNo.value))
const type = computed(() => batch.value?.types.find((x) => x.type === document.value?.type.type))
const fields = computed(() => type.value?.fields ?? [])
const value = computed<FieldValue | undefined>(() =>
  field.value ? document.value?.fields[field.value] : undefined,
)
const page = computed(() => pageByNo.value.get(pageNo.value))
const doubts = computed(() =>
  documents.value.flatMap((d) => {
    const order = batch.value?.types.find((x) => x.type === d.type.type)?.fields ?? []
    return order
      .filter((f) => d.fields[f.field] && isDoubt(d.fields[f.field]))
      .map((f) => ({ document: d.no, field: f.field }))
  }),
)
const locked = computed(() => !batch.value || batch.value.filed)

let started = false
watch(documents, (all) => {
  if (started || !all.length) return
  started = true
  if (doubts.value.length) void nextDoubt()
  else void enter(all[0].no, null)
})

async function enter(document: number, name: string | null) {
  documentNo.value = document
  field.value = name
  message.value = ''
  taken.value = null
  const d = documents.value.find((x) => x.no === document)
  const v = name ? d?.fields[name] : undefined
  draft.value = v?.value ?? ''
  pageNo.value = v?.page || (d?.pages.includes(pageNo.value) ? pageNo.value : (d?.pages[0] ?? 0))
  await nextTick()
  const input = column.value?.querySelector<HTMLInputElement>('input.value')
  input?.focus()
  input?.select()
  input?.closest('.field')?.scrollIntoView({ block: 'nearest' })
  if (!name) viewer.value?.fit('whole')
}

/** The next doubt after here, from the beginning again when there is none after. */
async function nextDoubt() {
  const order = (d: number, f: string | null) => {
    const list =
      batch.value?.types.find((x) => x.type === documents.value.find((o) => o.no === d)?.type.type)?.fields ??
      []
    return d * 1000 + (f ? list.findIndex((x) => x.field === f) : -1)
  }
  const here = order(documentNo.value, field.value)
  const next = doubts.value.find((x) => order(x.document, x.field) > here) ?? doubts.value[0]
  if (next) await enter(next.document, next.field)
  else await enter(documentNo.value, null)
}
async function settle(text: string | null) {
  const d = document.value
  if (!d || !field.value || locked.value) return
  const info = fields.value.find((f) => f.field === field.value)
  if (text !== null && !text.trim() && info?.required) {
    message.value = t(info.mayBeAbsent ? 'indexDesk.needed' : 'indexDesk.neededHere', { field: info.title })
    return
  }
  const from =
    taken.value ??
    (value.value?.boxMm && text === value.value.value
      ? { page: value.value.page, box: value.value.boxMm }
      : null)
  await decide({
    act: 'settle',
    page: d.pages[0],
    field: field.value,
    value: text,
    valuePage: from?.page ?? value.value?.page ?? 0,
    box: from?.box ?? value.value?.boxMm ?? null,
  })
  await nextDoubt()
}
function take(n: number) {
  const candidate = value.value?.candidates[n - 1]
  if (candidate) void settle(candidate)
}
function stepField(by: number) {
  const list = fields.value
  const i = list.findIndex((f) => f.field === field.value)
  const to = list[i + by]
  if (to) void enter(documentNo.value, to.field)
  else stepDocument(by, by > 0 ? 0 : -1)
}
function stepDocument(by: number, at?: number) {
  const d = documents.value[documentNo.value - 1 + by]
  if (!d) return
  const list = batch.value?.types.find((x) => x.type === d.type.type)?.fields ?? []
  void enter(d.no, at === undefined ? null : (list.at(at)?.field ?? null))
}
function otherPage() {
  const d = document.value
  if (d) pageNo.value = d.pages[(d.pages.indexOf(pageNo.value) + 1) % d.pages.length]
}

const words = ref<Schema['Word'][]>([])
watch([pageNo, () => page.value?.rotation], async () => {
  words.value = []
  if (!page.value) return
  const wanted = pageNo.value
  const { data } = await api.GET('/api/batches/{no}/pages/{page}/words', {
    params: { path: { no: props.no, page: wanted } },
  })
  if (data && wanted === pageNo.value) words.value = data
})
// The pages that come next are fetched while this one is looked at.
watch([documentNo, batch], () => {
  for (const d of documents.value.slice(documentNo.value - 1, documentNo.value + 2)) {
    const p = pageByNo.value.get(d.pages[0])
    if (p) new Image().src = pictureOf(props.no, p, 1700)
  }
})

function takeWord(i: number) {
  const w = words.value[i]
  if (!w || !field.value) return
  put(w.text, w.box)
}
async function takeBox(box: Box) {
  if (!field.value) return
  message.value = t('indexDesk.reading')
  const { data, error } = await api.POST('/api/batches/{no}/pages/{page}/read', {
    params: { path: { no: props.no, page: pageNo.value } },
    body: { box },
  })
  if (!data) return tell(error)
  message.value = data.text ? '' : t('indexDesk.nothingRead')
  if (data.text) put(data.text, box)
}
function put(text: string, box: Box) {
  draft.value = text
  taken.value = { page: pageNo.value, box }
  column.value?.querySelector<HTMLInputElement>('input.value')?.focus()
}
const shapes = computed<Shape[]>(() => {
  const own =
    taken.value?.page === pageNo.value
      ? taken.value.box
      : value.value?.page === pageNo.value
        ? value.value.boxMm
        : undefined
  const all: Shape[] = []
  for (const [name, v] of Object.entries(document.value?.fields ?? {})) {
    if (v.boxMm && v.page === pageNo.value && name !== field.value) all.push({ box: v.boxMm, kind: 'other' })
  }
  if (own) all.push({ box: own, kind: 'field' })
  return all
})
const focus = computed(() => (field.value && value.value?.page === pageNo.value ? value.value.boxMm : null))

async function toFiling() {
  if (!locked.value) await moveTo('filing')
  void router.push({ name: 'filing', params: { no: props.no } })
}
async function toPages() {
  if (!locked.value) await moveTo('pages')
  void router.push({ name: 'pages', params: { no: props.no } })
}
function leaveField() {
  ;(window.document.activeElement as HTMLElement | null)?.blur()
}
useKeys([
  {
    key: 'Enter',
    on: ['Enter'],
    typing: true,
    label: t('indexDesk.settle'),
    run: () =>
      field.value && !locked.value && window.document.activeElement?.matches('input.value')
        ? void settle(draft.value)
        : doubts.value.length
          ? void nextDoubt()
          : void toFiling(),
  },
  {
    key: 'Tab',
    on: ['Tab'],
    typing: true,
    label: t('indexDesk.fieldNext'),
    run: (e) => stepField(e.shiftKey ? -1 : 1),
  },
  { key: 'Esc', on: ['Escape'], typing: true, label: t('indexDesk.leave'), run: leaveField },
  {
    key: 'Ctrl+1–9',
    on: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
    ctrl: true,
    typing: true,
    label: t('indexDesk.candidate'),
    run: (e) => take(Number(e.key)),
  },
  {
    key: 'Ctrl+0',
    on: ['0'],
    ctrl: true,
    typing: true,
    label: t('indexDesk.absent'),
    run: () => void (fields.value.find((f) => f.field === field.value)?.mayBeAbsent && settle(null)),
  },
  { key: 'N', on: ['n', 'N'], label: t('indexDesk.next'), run: () => void nextDoubt() },
  { key: 'Z', on: ['z'], shift: false, label: t('pageDesk.undo'), run: () => void undo() },
  { key: 'Shift+Z', on: ['Z'], shift: true, label: t('pageDesk.redo'), run: () => void redo() },
  { key: '[', on: ['['], label: t('pageDesk.prevDoc'), run: () => stepDocument(-1) },
  { key: ']', on: [']'], label: t('pageDesk.nextDoc'), run: () => stepDocument(1) },
  { key: 'P', on: ['p', 'P'], label: t('indexDesk.otherPage'), run: otherPage },
  { key: '+', on: ['+', '='], label: t('indexDesk.zoomIn'), run: () => viewer.value?.zoom(1.25) },
  { key: '-', on: ['-'], label: t('indexDesk.zoomOut'), run: () => viewer.value?.zoom(0.8) },
  { key: 'H', on: ['h', 'H'], label: t('indexDesk.whole'), run: () => viewer.value?.fit('whole') },
  { key: 'W', on: ['w', 'W'], label: t('indexDesk.width'), run: () => viewer.value?.fit('width') },
  {
    key: 'F',
    on: ['f', 'F'],
    label: t('indexDesk.follow'),
    run: () => focus.value && viewer.value?.goTo(focus.value),
  },
  { key: 'B', on: ['b', 'B'], label: t('indexDesk.toPages'), run: () => void toPages() },
])
</script>

<template>
  <div class="desk">
    <BatchLine v-if="batch" :batch="batch" :current="documentNo" @go="(n) => enter(n, null)" />
    <div v-if="batch && document && page" class="halves">
      <div class="left">
        <PageViewer
          ref="viewer"
          :src="pictureOf(no, page, 1700)"
          :alt="t('pageDesk.page', { no: page.no })"
          :width-mm="page.widthMm"
          :height-mm="page.heightMm"
          :shapes="shapes"
          :words="words"
          :focus="focus"
          :dim="!!field"
          drag
          @word="takeWord"
          @box="takeBox"
        />
        <div class="under row">
          <KeyButton v-if="document.pages.length > 1" k="P" @click="otherPage">
            {{ t('pageDesk.page', { no: page.no }) }}
          </KeyButton>
          <span class="soft hint">{{ message || t('indexDesk.hint') }}</span>
          <span class="stretch" />
          <KeyButton :title="t('indexDesk.whole')" k="H" @click="viewer?.fit('whole')">
            {{ t('indexDesk.whole') }}
          </KeyButton>
          <KeyButton :title="t('indexDesk.width')" k="W" @click="viewer?.fit('width')">
            {{ t('indexDesk.width') }}
          </KeyButton>
          <KeyButton :disabled="!batch.canUndo" k="Z" @click="undo">
            {{ t('pageDesk.undo') }}
          </KeyButton>
        </div>
      </div>
      <div ref="column" class="column">
        <header class="row">
          <h1 class="stretch">{{ type?.title }}</h1>
          <span class="soft">{{ t('indexDesk.document', { no: documentNo, n: documents.length }) }}</span>
        </header>
        <p v-if="!fields.length" class="soft">{{ t('indexDesk.noFields') }}</p>
        <IndexField
          v-for="f in fields"
          :key="f.field"
          v-model="draft"
          :field="f"
          :value="document.fields[f.field]"
          :current="f.field === field"
          :locked="locked"
          :taken="f.field === field ? taken : null"
          :batch-no="no"
          :pages="pageByNo"
          @enter="enter(documentNo, f.field)"
          @settle="settle"
        />
        <footer>
          <template v-if="!doubts.length">
            <strong class="state settled">{{ t('indexDesk.allSettled') }}</strong>
            <span class="stretch" />
            <KeyButton k="B" @click="toPages">
              {{ t('indexDesk.toPages') }}
            </KeyButton>
            <KeyButton main k="Enter" @click="toFiling">
              {{ t('indexDesk.fileIt') }}
            </KeyButton>
          </template>
          <template v-else>
            <span class="soft stretch">{{ t('indexDesk.left', doubts.length) }}</span>
            <KeyButton k="B" @click="toPages">
              {{ t('indexDesk.toPages') }}
            </KeyButton>
            <KeyButton k="N" @click="nextDoubt">
              {{ t('indexDesk.next') }}
            </KeyButton>
          </template>
        </footer>
      </div>
    </div>
    <p v-else-if="loading" class="soft note">{{ t('app.loading') }}</p>
    <p v-else-if="batch" class="soft note">{{ t('filing.none') }}</p>
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
  grid-template-columns: minmax(0, 1fr) 440px;
}
.left {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.left > .frame {
  flex: 1;
  min-height: 0;
  height: auto;
}
.under {
  padding: 5px 12px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  min-height: 40px;
}
.hint {
  font-size: 13px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.column {
  display: flex;
  flex-direction: column;
  overflow: auto;
  background: var(--panel);
  border-left: 1px solid var(--line);
  padding: 12px 16px 0;
  gap: 2px;
}
header {
  padding-bottom: 6px;
}
footer {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: auto -16px 0;
  padding: 8px 16px;
  position: sticky;
  bottom: 0;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.note {
  padding: 30px;
}
</style>
