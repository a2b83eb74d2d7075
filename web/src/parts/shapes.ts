import type { Box, Schema } from '../api/client'

/** Something drawn on a page: where, what kind of thing it is, and what is said of it. */
export interface Shape {
  box: Box
  kind: 'mark' | 'field' | 'hit' | 'hitNow' | 'stake' | 'finding' | 'other'
  label?: string
  /** The box lies around print: its sides run along the print, not along the page. */
  print?: boolean
}

/**
 * What the Page desk draws on a page: its marks, the words that planted its stake, what is wrong with its image, and
 * the part that a figure being pointed at speaks of.
 */
export function pageShapes(
  page: Schema['DeskPage'],
  document: Schema['DocumentView'] | undefined,
  region: Box | null,
  said: (finding: string) => string,
): Shape[] {
  const marks = page.marks.map((m): Shape => ({ box: m.box, kind: 'mark', label: m.value }))
  const stake = (document?.stake.evidence ?? [])
    .filter((e) => e.page === page.no && e.box && ['words', 'first'].includes(e.rule))
    .map((e): Shape => ({ box: e.box, kind: 'stake', print: true }))
  const findings = page.image.findings
    .filter((f) => f.where)
    .map((f): Shape => ({ box: f.where!, kind: 'finding', label: said(f.kind) }))
  return [...marks, ...stake, ...findings, ...(region ? [{ box: region, kind: 'finding' as const }] : [])]
}

/** What the Index desk draws on a page: where its document's values were read, the current one lit. */
export function fieldShapes(
  fields: Record<string, Schema['FieldValue']>,
  current: string | null,
  page: number,
  taken: { page: number; box: Box } | null,
): Shape[] {
  const others = Object.entries(fields)
    .filter(([name, v]) => v.boxMm && v.page === page && name !== current)
    .map(([, v]): Shape => ({ box: v.boxMm, kind: 'other' }))
  const value = current ? fields[current] : undefined
  const from = taken ?? (value?.boxMm && { page: value.page, box: value.boxMm })
  return from && from.page === page ? [...others, { box: from.box, kind: 'field' }] : others
}
