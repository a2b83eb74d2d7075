import type { Schema } from '../api/client'

export type Lateness = 'late' | 'near' | 'well'
const NEAR_MS = 20 * 60_000

/** Which comes first: its own due time or that of its stage. */
export const dueAt = (r: Schema['Row']) => Math.min(...[r.dueAt, r.stageDueAt].filter((d): d is string => !!d).map((d) => new Date(d).getTime()))

export function lateness(r: Schema['Row'], now: number): Lateness {
  if (r.stage === 'done') return 'well'
  const left = dueAt(r) - now
  return left < 0 ? 'late' : left < NEAR_MS ? 'near' : 'well'
}

/** Whether this person can go on with it now: read, not being filed, not held, not with somebody else. */
export const workable = (r: Schema['Row']) => ['pages', 'index', 'filing'].includes(r.stage) && !r.filing && r.free
