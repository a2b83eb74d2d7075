import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import {
  cellsOf,
  laid,
  nextDoubt,
  orderOf,
  replaced,
  settling,
  type Sorting,
  type Wanted,
} from '../parts/table'
import { isDoubt, type useBatch } from './useBatch'
import type { Start } from './useIndexing'

/** A batch as a table: a row a document of one type, a column a field; where the hand is, and what is typed there. */
export function useTable(desk: ReturnType<typeof useBatch>, start: Start, moved: () => void) {
  const { batch, documents, decideTogether } = desk
  const { t } = useI18n()
  const type = ref('')
  const sorting = ref<Sorting | null>(null)
  const doubtsOnly = ref(false)
  const order = shallowRef<number[]>([])
  const at = ref({ row: 0, column: 0 })
  /** The other end of what is chosen in the column. */
  const until = ref(0)
  const draft = ref<string | null>(null)
  const message = ref('')

  const byNo = computed(() => new Map(documents.value.map((d) => [d.no, d])))
  const types = computed(() =>
    (batch.value?.types ?? [])
      .map((of) => {
        const its = documents.value.filter((d) => d.type.type === of.type)
        const doubts = its.reduce((n, d) => n + Object.values(d.fields).filter(isDoubt).length, 0)
        return { ...of, documents: its.length, doubts }
      })
      .filter((of) => of.documents && of.fields.length),
  )
  const fields = computed(() => types.value.find((of) => of.type === type.value)?.fields ?? [])
  const rows = computed(() =>
    order.value.map((no) => byNo.value.get(no)).filter((d): d is Schema['DocumentView'] => !!d),
  )
  const document = computed(() => rows.value[at.value.row])
  const field = computed(() => fields.value[at.value.column])
  const value = computed(() => field.value && document.value?.fields[field.value.field])
  const locked = computed(() => !batch.value || batch.value.filed || !batch.value.free)
  const doubts = computed(() => types.value.reduce((n, of) => n + of.doubts, 0))
  const chosen = computed(() => {
    const [from, to] = [at.value.row, until.value].sort((a, b) => a - b)
    return rows.value.slice(from, to + 1)
  })

  const arrange = () => (order.value = orderOf(documents.value, type.value, sorting.value, doubtsOnly.value))
  watch([type, sorting, doubtsOnly], () => {
    arrange()
    goTo({ row: 0, column: Math.min(at.value.column, Math.max(0, fields.value.length - 1)) })
  })
  const ofType = (all: Schema['DocumentView'][]) => all.filter((d) => d.type.type === type.value).length
  let started = false
  watch(
    documents,
    async (all) => {
      // Of values nothing is moved; others may have cut the batch anew meanwhile.
      if (started && !doubtsOnly.value && ofType(all) !== order.value.length) arrange()
      if (started || !all.length) return
      started = true
      const first = all.find((d) => d.no === start.document)
      type.value =
        (first?.type.type ?? types.value.find((of) => of.doubts)?.type) || types.value[0]?.type || ''
      await nextTick()
      const row = Math.max(0, order.value.indexOf(start.document ?? 0))
      const column = fields.value.findIndex((f) => f.field === start.field)
      const wanted = { row, column: Math.max(0, column) }
      goTo(first ? wanted : (nextDoubt(rows.value, fields.value, { row: 0, column: -1 }) ?? wanted))
    },
    { immediate: true },
  )

  function goTo(to: { row: number; column: number }, more = false) {
    const within = (n: number, size: number) => Math.max(0, Math.min(n, size - 1))
    at.value = {
      row: more ? at.value.row : within(to.row, rows.value.length),
      column: more ? at.value.column : within(to.column, fields.value.length),
    }
    until.value = more ? within(to.row, rows.value.length) : at.value.row
    draft.value = null
    message.value = ''
    moved()
  }
  const step = (down: number, right: number, more = false) =>
    goTo({ row: (more ? until.value : at.value.row) + down, column: at.value.column + right }, more)

  /** All of them or none; what is typed stays where the server did not take it. */
  async function settle(wanted: Wanted[], said?: string) {
    if (locked.value) return false
    const done = !wanted.length || (await decideTogether(wanted.map(settling)))
    message.value = done ? (said ?? '') : t('indexDesk.notSettled')
    return done
  }
  function missing(text: string | null) {
    const f = field.value
    if (!f || text?.trim()) return false
    if (text !== null && f.required) {
      message.value = t(f.mayBeAbsent ? 'indexDesk.needed' : 'indexDesk.neededHere', { field: f.title })
      return true
    }
    return text === null && !f.mayBeAbsent
  }
  /** Settles the cell and goes on: to the next doubt, or by a step. */
  async function put(text: string | null, then?: [number, number]) {
    if (!document.value || !field.value || missing(text)) return
    const one = { document: document.value, field: field.value.field, value: text }
    if (!(await settle([one]))) return
    draft.value = null
    if (then) step(...then)
    else toDoubt()
  }
  function enter() {
    if (draft.value !== null) void put(draft.value, [1, 0])
    else if (value.value && isDoubt(value.value) && value.value.value) void put(value.value.value)
    else toDoubt()
  }
  function toDoubt(by = 1) {
    const next = nextDoubt(rows.value, fields.value, at.value, by)
    if (next) goTo(next)
    else message.value = t('table.noDoubt')
  }
  function take(n: number) {
    const candidate = value.value?.candidates[n - 1]
    if (candidate) void put(candidate)
  }
  async function fillDown() {
    const f = field.value?.field
    const from = f && document.value?.fields[f]?.value
    if (!f || !from) return
    const to = until.value === at.value.row ? rows.value.slice(at.value.row + 1) : chosen.value
    const block = to.map(() => [from])
    const first = to[0] ? rows.value.indexOf(to[0]) : at.value.row
    const wanted = laid(block, rows.value, fields.value, { row: first, column: at.value.column })
    await settle(wanted, t('table.filled', { n: wanted.length, value: from }, wanted.length))
  }
  async function paste(text: string) {
    const from = Math.min(at.value.row, until.value)
    const wanted = laid(cellsOf(text), rows.value, fields.value, { row: from, column: at.value.column })
    await settle(wanted, t('table.pasted', wanted.length))
  }
  async function replace(find: string, by: string, everywhere: boolean) {
    const columns = everywhere ? fields.value : fields.value.slice(at.value.column, at.value.column + 1)
    const wanted = replaced(rows.value, columns, find, by)
    const said = wanted.length ? t('table.replaced', wanted.length) : t('table.notFound', { find })
    await settle(wanted, said)
  }
  const copied = () =>
    chosen.value.map((d) => (field.value && d.fields[field.value.field]?.value) ?? '').join('\n')

  return {
    ...{ type, types, sorting, doubtsOnly, rows, fields, at, until, draft, message, document, field, value },
    ...{ locked, doubts, goTo, step, put, enter, toDoubt, take, fillDown, paste, replace, copied },
  }
}

export type Table = ReturnType<typeof useTable>
