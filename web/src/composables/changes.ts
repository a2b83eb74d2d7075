import type { Schema } from '../api/client'

type Batch = Schema['BatchDetail']

/** Those in this order, each as it is now: the changed one where there is one, else the one that was known. */
function inOrder<T>(order: number[], known: T[], changed: T[], key: (one: T) => number) {
  const all = new Map([...known, ...changed].map((one) => [key(one), one]))
  return order.flatMap((k) => all.get(k) ?? [])
}

/**
 * A batch from what was known and an answer that carries what changed since. What did not change stays the same object,
 * so that only what changed is drawn again. Undefined when the answer adds to something else than what is known.
 */
export function withChanges(known: Batch | null, answer: Batch): Batch | undefined {
  if (answer.since == null) return answer
  if (known?.tag !== answer.since) return undefined
  const documents = inOrder(answer.firsts, known.documents, answer.documents, (d) => d.pages[0] ?? 0).map(
    (d, i) => (d.no === i + 1 ? d : { ...d, no: i + 1 }),
  )
  const inDocument = new Map(documents.flatMap((d) => d.pages.map((page) => [page, d.no])))
  const pages = inOrder(answer.order, known.pages, answer.pages, (p) => p.no).map((p) => {
    const document = (inDocument.get(p.no) ?? null) as number
    return (p.document ?? null) === document ? p : { ...p, document }
  })
  return { ...answer, types: answer.types ?? known.types, documents, pages }
}
