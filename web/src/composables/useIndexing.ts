import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LocationQuery } from 'vue-router'
import { api, pictureOf, tell, type Box, type Schema } from '../api/client'
import { useClaim } from './useClaim'
import { usePageWords } from './usePageWords'
import { useTyped } from './useTyped'
import { isDoubt, type FieldValue, type useBatch } from './useBatch'

/** Where a draft was taken from on a page, when it was clicked or dragged. */
export interface Taken {
  page: number
  box: Box
}

/** The box around two. */
function around(a: Box, b: Box): Box {
  const [x, y] = [Math.min(a[0], b[0]), Math.min(a[1], b[1])]
  return [x, y, Math.max(a[0] + a[2], b[0] + b[2]) - x, Math.max(a[1] + a[3], b[1] + b[3]) - y]
}

/** Where a desk begins, as its address says it: with this document, at this field. */
export interface Start {
  document?: number
  field?: string
}
export const startOf = (query: LocationQuery): Start => ({
  document: Number(query.document) || undefined,
  field: query.field?.toString(),
})

/** Indexing a batch: the document and field looked at, what is typed and settled, and where the next doubt is. */
export function useIndexing(
  no: string,
  desk: ReturnType<typeof useBatch>,
  arrived: (field: string | null) => void,
  start: Start = {},
) {
  const { batch, documents, pageByNo, decide } = desk
  const { t } = useI18n()
  const documentNo = ref(1)
  const field = ref<string | null>(null)
  const draft = ref('')
  const taken = ref<Taken | null>(null)
  const pageNo = ref(0)
  const message = ref('')
  const typed = useTyped(no)

  const document = computed(() => documents.value.find((d) => d.no === documentNo.value))
  const typeOf = (d: Schema['DocumentView'] | undefined) =>
    batch.value?.types.find((x) => x.type === d?.type.type)
  const fieldsOf = (d: Schema['DocumentView'] | undefined) => typeOf(d)?.fields ?? []
  const type = computed(() => typeOf(document.value))
  const fields = computed(() => fieldsOf(document.value))
  const info = computed(() => fields.value.find((f) => f.field === field.value))
  const value = computed<FieldValue | undefined>(() =>
    field.value ? document.value?.fields[field.value] : undefined,
  )
  const page = computed(() => pageByNo.value.get(pageNo.value))
  const doubts = computed(() =>
    documents.value.flatMap((d) =>
      fieldsOf(d)
        .filter((f) => d.fields[f.field] && isDoubt(d.fields[f.field]))
        .map((f) => ({ document: d.no, field: f.field })),
    ),
  )
  /** Another has the batch: who indexes it beside them has the documents that they open. */
  const beside = computed(() => {
    const b = batch.value
    return !!b && !b.free && !b.filed && !b.withdrawn && !b.onHold && b.stage === 'index'
  })
  const claimOf = (d: Schema['DocumentView'] | undefined) =>
    batch.value?.claims.find((c) => c.page === d?.pages[0] && !c.mine)
  const locked = computed(
    () =>
      !batch.value || batch.value.filed || (!batch.value.free && !beside.value) || !!claimOf(document.value),
  )
  const doubtsOpen = computed(() =>
    doubts.value.filter((x) => !claimOf(documents.value.find((d) => d.no === x.document))),
  )
  useClaim(no, batch, document)

  let started = false
  watch(
    documents,
    (all) => {
      if (started || !all.length) return
      started = true
      const at = all.find((d) => d.no === start.document)
      if (at) void enter(at.no, start.field ?? null)
      else if (doubts.value.length) void nextDoubt()
      else void enter(all[0].no, null)
    },
    { immediate: true },
  )

  async function enter(to: number, name: string | null) {
    documentNo.value = to
    field.value = name
    message.value = ''
    taken.value = null
    const d = documents.value.find((x) => x.no === to)
    const v = name ? d?.fields[name] : undefined
    const before = d && name ? typed.of(d.pages[0], name) : undefined
    draft.value = before ?? v?.value ?? ''
    if (before !== undefined) message.value = t('indexDesk.typedBefore')
    pageNo.value = v?.page || (d?.pages.includes(pageNo.value) ? pageNo.value : (d?.pages[0] ?? 0))
    await nextTick()
    arrived(name)
  }

  watch(draft, (text) => {
    const d = document.value
    if (!d || !field.value || locked.value) return
    if (text !== (value.value?.value ?? '')) typed.keep(d.pages[0], field.value, text)
    else if (typed.of(d.pages[0], field.value) !== undefined) typed.forget(d.pages[0], field.value)
  })

  /** The next doubt after here, from the beginning again when there is none after. */
  async function nextDoubt() {
    const place = (at: number, name: string | null): [number, number] => [
      at,
      fieldsOf(documents.value.find((d) => d.no === at)).findIndex((f) => f.field === name),
    ]
    const here = place(documentNo.value, field.value)
    const after = ([d, f]: [number, number]) => d > here[0] || (d === here[0] && f > here[1])
    const next = doubtsOpen.value.find((x) => after(place(x.document, x.field))) ?? doubtsOpen.value[0]
    await enter(next?.document ?? documentNo.value, next?.field ?? null)
  }

  let settling = false
  /** Settles the current field, once; what was typed stays where the server did not take it. */
  async function settle(text: string | null) {
    if (settling) return
    settling = true
    await settleNow(text).finally(() => (settling = false))
  }
  async function settleNow(text: string | null) {
    const d = document.value
    if (!d || !field.value || locked.value) return
    if (text !== null && !text.trim() && info.value?.required) {
      const needed = info.value.mayBeAbsent ? 'indexDesk.needed' : 'indexDesk.neededHere'
      message.value = t(needed, { field: info.value.title })
      return
    }
    const name = field.value
    const here = value.value
    const from =
      taken.value ?? (here?.boxMm && text === here.value ? { page: here.page, box: here.boxMm } : null)
    const done = await decide({
      act: 'settle',
      page: d.pages[0],
      field: name,
      value: text,
      valuePage: from?.page ?? here?.page ?? 0,
      box: from?.box ?? here?.boxMm ?? null,
    })
    if (done) typed.forget(d.pages[0], name)
    if (done) await nextDoubt()
    else message.value = t('indexDesk.notSettled')
  }
  function take(n: number) {
    const candidate = value.value?.candidates[n - 1]
    if (candidate) void settle(candidate)
  }
  /** As in the nearest document before that is of the same type and has a value. */
  function asBefore() {
    const same = documents.value
      .slice(0, documentNo.value - 1)
      .filter((d) => d.type.type === document.value?.type.type)
      .map((d) => field.value && d.fields[field.value]?.value)
      .filter(Boolean)
    const before = same.at(-1)
    if (before) void settle(before)
    else message.value = t('indexDesk.noneBefore')
  }
  const absent = () => void (info.value?.mayBeAbsent && settle(null))

  function stepField(by: number) {
    const list = fields.value
    const to = list[list.findIndex((f) => f.field === field.value) + by]
    if (to) void enter(documentNo.value, to.field)
    else stepDocument(by, by > 0 ? 0 : -1)
  }
  function stepDocument(by: number, at?: number) {
    const d = documents.value[documentNo.value - 1 + by]
    if (d) void enter(d.no, at === undefined ? null : (fieldsOf(d).at(at)?.field ?? null))
  }
  function otherPage() {
    const d = document.value
    if (d) pageNo.value = d.pages[(d.pages.indexOf(pageNo.value) + 1) % d.pages.length]
  }

  const words = usePageWords(() => page.value && { no, page: pageNo.value, turned: page.value.rotation })
  // The pages that come next are fetched while this one is looked at.
  watch([documentNo, batch], () => {
    for (const d of documents.value.slice(documentNo.value - 1, documentNo.value + 2)) {
      const p = pageByNo.value.get(d.pages[0])
      if (p) new Image().src = pictureOf(no, p, 1700)
    }
  })
  /** @param more whether it goes on behind what is there */
  function takeWord(i: number, more = false) {
    const w = words.value[i]
    if (w && field.value) put(w.text, w.box, more)
  }
  async function takeBox(box: Box, more = false) {
    if (!field.value) return
    message.value = t('indexDesk.reading')
    const { data, error } = await api.POST('/api/batches/{no}/pages/{page}/read', {
      params: { path: { no, page: pageNo.value } },
      body: { box },
    })
    message.value = data?.text === '' ? t('indexDesk.nothingRead') : ''
    if (!data) return tell(error)
    if (data.text) put(data.text, box, more)
  }
  function put(text: string, box: Box, more: boolean) {
    const before = taken.value?.page === pageNo.value ? taken.value.box : null
    draft.value = more && draft.value ? `${draft.value} ${text}` : text
    taken.value = { page: pageNo.value, box: more && before ? around(before, box) : box }
    arrived(field.value)
  }
  return {
    documentNo,
    document,
    type,
    fields,
    field,
    value,
    draft,
    taken,
    page,
    pageNo,
    message,
    doubts,
    doubtsOpen,
    beside,
    openAt: computed(() => claimOf(document.value)?.with),
    locked,
    words,
    enter,
    nextDoubt,
    settle,
    take,
    absent,
    asBefore,
    stepField,
    stepDocument,
    otherPage,
    takeWord,
    takeBox,
  }
}

export type Indexing = ReturnType<typeof useIndexing>
