import type { Decision, Schema } from '../api/client'
import { isDoubt } from '../composables/useBatch'

type Document = Schema['DocumentView']
type Field = Schema['FieldInfo']

/** What the rows are put in order by; nothing is as they stand in the batch. */
export interface Sorting {
  field: string
  down: boolean
}

/** A value that is to be settled: null says that it is not on the document. */
export interface Wanted {
  document: Document
  field: string
  value: string | null
}

/**
 * Numbers of the documents of a type in the order in which they are shown. It is worked out when somebody sorts or
 * filters, and not after each value: a row must not run away from under the hand that fills it.
 */
export function orderOf(documents: Document[], type: string, sorting: Sorting | null, doubtsOnly: boolean) {
  const rows = documents.filter(
    (d) => d.type.type === type && (!doubtsOnly || Object.values(d.fields).some(isDoubt)),
  )
  if (sorting) {
    const text = (d: Document) => d.fields[sorting.field]?.value ?? ''
    const way = sorting.down ? -1 : 1
    rows.sort((a, b) => way * text(a).localeCompare(text(b), undefined, { numeric: true }) || a.no - b.no)
  }
  return rows.map((d) => d.no)
}

/** Cells as they come from another program: lines of values with tabs between. */
export const cellsOf = (text: string) =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t').map((cell) => cell.trim()))

/** A block of cells laid on the rows from a place on; what reaches beyond is left out, and what is the same already. */
export function laid(
  block: string[][],
  rows: Document[],
  fields: Field[],
  at: { row: number; column: number },
): Wanted[] {
  return block.flatMap((line, r) =>
    line.flatMap((value, c) => {
      const document = rows[at.row + r]
      const field = fields[at.column + c]?.field
      if (!document || !field || !value || same(document, field, value)) return []
      return [{ document, field, value }]
    }),
  )
}

const same = (d: Document, field: string, value: string) =>
  d.fields[field]?.value === value && !isDoubt(d.fields[field])

/** The values that have a text, with another in its place; letters count as they are written. */
export function replaced(rows: Document[], fields: Field[], find: string, by: string): Wanted[] {
  if (!find) return []
  return rows.flatMap((document) =>
    fields.flatMap(({ field }) => {
      const value = document.fields[field]?.value
      return value?.includes(find) ? [{ document, field, value: value.split(find).join(by) }] : []
    }),
  )
}

/** The decision that settles a value; it is said to stand where it was read if it is what was read. */
export function settling({ document, field, value }: Wanted): Decision {
  const read = document.fields[field]
  const asRead = value !== null && value === read?.value
  return {
    act: 'settle',
    page: document.pages[0],
    field,
    value,
    valuePage: read?.page ?? 0,
    box: asRead ? (read?.boxMm ?? null) : null,
  }
}

/** The next cell in doubt after a place, row by row, from the beginning again; null when there is none. */
export function nextDoubt(rows: Document[], fields: Field[], at: { row: number; column: number }, by = 1) {
  const n = rows.length * fields.length
  const here = at.row * fields.length + at.column
  for (let i = 1; i <= n; i++) {
    const to = (((here + by * i) % n) + n) % n
    const place = { row: Math.floor(to / fields.length), column: to % fields.length }
    const value = rows[place.row].fields[fields[place.column].field]
    if (value && isDoubt(value)) return place
  }
  return null
}
