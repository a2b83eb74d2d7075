import type { Schema } from '../api/client'

export interface TreeNode {
  /** The whole path, which no other node has. */
  id: string
  kind: 'destination' | 'folder' | 'file' | 'list'
  name: string
  children: TreeNode[]
  delivery?: Schema['DeskDelivery']
  list?: Schema['DeskList']
}

/** Deliveries as a tree: destinations, in them folders, each named once, in them files, and lists behind all others. */
export function tree(deliveries: Schema['DeskDelivery'][], lists: Schema['DeskList'][] = []): TreeNode[] {
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
  function folderOf(of: { destination: string; path: string }) {
    let at = node('destination', of.destination, of.destination, roots)
    const parts = of.path.split('/')
    const name = parts.pop() ?? ''
    for (const part of parts) at = node('folder', `${at.id}/${part}`, part, at.children)
    return { at, name }
  }
  for (const d of [...deliveries].sort(byPath)) {
    const { at, name } = folderOf(d)
    // Two documents can want one name: each is a file of its own.
    at.children.push({ id: `${at.id}/${name}#${d.document}`, kind: 'file', name, children: [], delivery: d })
  }
  for (const list of lists) {
    const { at, name } = folderOf(list)
    at.children.push({ id: `${at.id}/${name}#list`, kind: 'list', name, children: [], list })
  }
  return roots
}
