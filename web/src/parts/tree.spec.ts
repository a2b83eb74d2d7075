import { expect, test } from 'vitest'
import type { Schema } from '../api/types'
import { tree, type TreeNode } from './tree'

const none = null as unknown as Schema['DeskDelivery']['reason']

const delivery = (destination: string, path: string, document: number): Schema['DeskDelivery'] => ({
  ...{
    id: 1,
    destination,
    path,
    document,
    formats: ['pdf' as const],
    state: 'planned' as const,
    checked: null as never,
    erased: null as never,
    reason: none,
  },
  ...{ tries: 0, nextAt: '', saidBy: '', saidWhy: '', remedies: [] },
})

test('a folder is named once, however many files lie in it, and two files of one name are two', () => {
  const said = (nodes: TreeNode[], depth = 0): string[] =>
    nodes.flatMap((n) => [`${'-'.repeat(depth)}${n.kind} ${n.name}`, ...said(n.children, depth + 1)])
  const roots = tree(
    [
      delivery('office', '2026/PM-1/b', 2),
      delivery('office', '2026/PM-1/a', 1),
      delivery('office', '2026/PM-1/a', 3),
      delivery('archive', 'c', 1),
    ],
    [{ destination: 'office', path: '2026/PM-1/list.csv', behind: true, reason: none, nextAt: '' }],
  )
  expect(said(roots)).toEqual([
    'destination archive',
    '-file c',
    'destination office',
    '-folder 2026',
    '--folder PM-1',
    '---file a',
    '---file a',
    '---file b',
    '---list list.csv',
  ])
})
