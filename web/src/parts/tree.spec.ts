import { expect, test } from 'vitest'
import type { Schema } from '../api/types'
import { tree } from './tree'

const none = null as unknown as Schema['DeskDelivery']['reason']

const delivery = (destination: string, path: string, document: number): Schema['DeskDelivery'] => ({
  ...{
    id: 1,
    destination,
    path,
    document,
    formats: ['pdf' as const],
    state: 'planned' as const,
    reason: none,
  },
  ...{ tries: 0, nextAt: '', leftOutBy: '', remedies: [] },
})

test('a folder is named once, however many files lie in it', () => {
  const rows = tree([
    delivery('office', '2026/PM-1/b', 2),
    delivery('office', '2026/PM-1/a', 1),
    delivery('archive', 'c', 1),
  ])
  expect(rows.map((r) => `${r.kind} ${r.name}`)).toEqual([
    'destination archive',
    'file c',
    'destination office',
    'folder 2026',
    'folder PM-1',
    'file a',
    'file b',
  ])
})
