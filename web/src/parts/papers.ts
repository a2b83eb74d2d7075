import type { Schema } from '../api/client'
import { isDoubt } from '../composables/useBatch'

export type Paper = Schema['TriedDocument']

/** Nothing and a blank are one. */
const plain = (value?: string | null) => value?.trim() || null

/** Whether a value is other than somebody said is right there. */
export const isWrong = (p: Paper, field: string) =>
  !!p.right && field in p.right && plain(p.right[field]) !== plain(p.values[field]?.value)

/** What is to be looked at: what is wrong weighs more than any doubt. */
export function toSee(p: Paper): number {
  const wrong = Object.keys(p.right ?? {}).filter((field) => isWrong(p, field)).length
  return 1000 * wrong + Object.values(p.values).filter((v) => isDoubt(v)).length + (p.doubtful ? 1 : 0)
}

/** Whether the saved version makes the same paper and says something else. */
export const isOther = (p: Paper, field: string) =>
  field in p.saved && plain(p.saved[field]) !== plain(p.values[field]?.value)

/** Its values as they are read. */
export const asRead = (p: Paper): Record<string, string | null> =>
  Object.fromEntries(Object.entries(p.values).map(([field, v]) => [field, v.value ?? null]))
