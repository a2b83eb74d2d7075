import type { Schema } from '../api/client'

/** The group that begins with a document, if one does: it is the first of its group. */
export function groupBegunBy(batch: Schema['BatchDetail'], document: Schema['DocumentView'] | undefined) {
  const first = document && batch.documents.find((d) => d.group === document.group)
  return first?.no === document?.no ? batch.groups.find((g) => g.no === document?.group) : undefined
}
