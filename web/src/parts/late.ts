import type { Schema } from '../api/client'

export type Lateness = 'late' | 'near' | 'well'
const NEAR_MS = 20 * 60_000

/** Which comes first: its own due time or that of its stage. */
export const dueAt = (r: Schema['Row']) =>
  Math.min(...[r.dueAt, r.stageDueAt].filter((d): d is string => !!d).map((d) => new Date(d).getTime()))

export function lateness(r: Schema['Row'], now: number): Lateness {
  if (r.stage === 'done') return 'well'
  const left = dueAt(r) - now
  return left < 0 ? 'late' : left < NEAR_MS ? 'near' : 'well'
}

/** Whether this person can go on with it now: read, not being filed, not held, not with somebody else. */
export const workable = (r: Schema['Row']) =>
  ['pages', 'index', 'filing'].includes(r.stage) && !r.filing && r.free

/** What a person goes on with: what is theirs before what is nobody's, and that before what is with a colleague. */
export const nextFor = (rows: Schema['Row'][]) =>
  rows.find((r) => workable(r) && r.mine) ??
  rows.find((r) => workable(r) && !r.with) ??
  rows.find(workable) ??
  null

const RANK: Record<string, number> = { urgent: 0, high: 1, normal: 2 }

/** Batches at work before those that are done; by priority, then by what is due first, as it is shown. */
export function byUrgency(a: Schema['Row'], b: Schema['Row']): number {
  const done = Number(a.stage === 'done') - Number(b.stage === 'done')
  return (
    done ||
    (RANK[a.priority] ?? 2) - (RANK[b.priority] ?? 2) ||
    dueAt(a) - dueAt(b) ||
    a.no.localeCompare(b.no)
  )
}
