import type { Schema } from '../api/client'

export type TreeRow =
  | { kind: 'destination'; name: string }
  | { kind: 'folder'; name: string; depth: number }
  | { kind: 'file'; name: string; depth: number; delivery: Schema['DeskDelivery'] }

/** Deliveries as the rows of a tree: destination, folders (each named once), files. */
export function tree(deliveries: Schema['DeskDelivery'][]): TreeRow[] {
  const rows: TreeRow[] = []
  const byPath = (a: Schema['DeskDelivery'], b: Schema['DeskDelivery']) =>
    a.destination.localeCompare(b.destination) || a.path.localeCompare(b.path, undefined, { numeric: true })
  let destination = ''
  let open: string[] = []
  for (const d of [...deliveries].sort(byPath)) {
    if (d.destination !== destination) {
      destination = d.destination
      open = []
      rows.push({ kind: 'destination', name: destination })
    }
    const parts = d.path.split('/')
    const name = parts.pop() ?? ''
    let same = 0
    while (same < open.length && same < parts.length && open[same] === parts[same]) same++
    for (let i = same; i < parts.length; i++) rows.push({ kind: 'folder', name: parts[i], depth: i + 1 })
    open = parts
    rows.push({ kind: 'file', name, depth: parts.length + 1, delivery: d })
  }
  return rows
}
