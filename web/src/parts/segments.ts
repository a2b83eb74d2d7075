import type { Schema } from '../api/client'
import { documentDoubts } from '../composables/useBatch'

/** Pages in a row that are in one document, or in none. */
export interface Segment {
  kind: 'document' | 'aside'
  length: number
  /** Of the document; 0 for none. */
  no: number
  doubts: number
  doubtfulStake: boolean
  /** Whether its document begins with it: pages taken out may part a document. */
  first: boolean
  /** The number of the group that begins with it, or 0. */
  group: number
}

const ASIDE: Segment = {
  kind: 'aside',
  length: 0,
  no: 0,
  doubts: 0,
  doubtfulStake: false,
  first: false,
  group: 0,
}

/** The line of a batch's pages in segments. */
export function segmentsOf(batch: Schema['BatchDetail']): Segment[] {
  const places = new Set(batch.places.map((p) => p.page))
  const documents = new Map(batch.documents.map((d) => [d.no, d]))
  const begun = new Set<number>()
  const opened = new Set<number>()

  function of(document: number | null): Segment {
    const d = documents.get(document ?? 0)
    if (!d) return { ...ASIDE }
    const first = !begun.has(d.no)
    const group = first && d.group && !opened.has(d.group) ? d.group : 0
    begun.add(d.no)
    if (group) opened.add(group)
    const doubts = first ? documentDoubts(d) : 0
    return { kind: 'document', length: 0, no: d.no, doubts, doubtfulStake: d.stake.doubtful, first, group }
  }

  const all: Segment[] = []
  for (const page of batch.pages) {
    let last = all.at(-1)
    if (!last || last.no !== (page.document ?? 0)) all.push((last = of(page.document)))
    last.length++
    if (last.no) last.doubts += Number(page.needsEye) + Number(places.has(page.no))
  }
  return all
}
