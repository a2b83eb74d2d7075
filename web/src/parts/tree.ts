import type { Schema } from '../api/client'

export interface TreeNode {
  /** The whole path, which no other node has. */
  id: string
  kind: 'destination' | 'folder' | 'file'
  name: string
  children: TreeNode[]
  delivery?: Schema['DeskDelivery']
}

/** Deliveries as a tree: destinations, in them folders, each named once, in them files. */
export function tree(deliveries: Schema['DeskDelivery'][]): TreeNode[] {
  const known = new Map<string, TreeNode>()
  const roots: TreeNode[] = []
  function node(kind: TreeNode['kind'], id: string, name: string, among: TreeNode[]): TreeNode {
    const there = known.get(id)
    if (there) return there
    const made: TreeNode = { id, kind, name, children: [] }
    known.set(id, made)
    among.push(made)
    return made
  }
  const byPath = (a: Schema['DeskDelivery'], b: Schema['DeskDelivery']) =>
    a.destination.localeCompare(b.destination) || a.path.localeCompare(b.path, undefined, { numeric: true })
  for (const d of [...deliveries].sort(byPath)) {
    let at = node('destination', d.destination, d.destination, roots)
    const parts = d.path.split('/')
    const name = parts.pop() ?? ''
    for (const part of parts) at = node('folder', `${at.id}/${part}`, part, at.children)
    // Two documents can want one name: each is a file of its own.
    at.children.push({ id: `${at.id}/${name}#${d.document}`, kind: 'file', name, children: [], delivery: d })
  }
  return roots
}
