import { describe, expect, it } from 'vitest'
import { row } from '../test/fixtures'
import { byUrgency, dueAt, lateness, workable } from './late'

const now = Date.parse('2026-11-23T12:00:00Z')
describe('lateness', () => {
  it('goes by whichever is due first, the batch or its stage', () => {
    expect(lateness(row({}), now)).toBe('well')
    expect(lateness(row({ stageDueAt: '2026-11-23T12:10:00Z' }), now)).toBe('near')
    expect(lateness(row({ stageDueAt: '2026-11-23T11:59:00Z' }), now)).toBe('late')
    expect(lateness(row({ dueAt: '2026-11-23T11:00:00Z', stageDueAt: '2026-11-23T13:00:00Z' }), now)).toBe(
      'late',
    )
    expect(dueAt(row({ stageDueAt: '2026-11-23T13:00:00Z' }))).toBe(Date.parse('2026-11-23T13:00:00Z'))
  })
  it('says nothing of what is done', () => {
    expect(lateness(row({ stage: 'done', dueAt: '2026-11-23T11:00:00Z' }), now)).toBe('well')
  })
})

describe('workable', () => {
  it('leaves out what is being read, filed or with somebody else', () => {
    expect(workable(row({}))).toBe(true)
    expect(workable(row({ stage: 'intake' }))).toBe(false)
    expect(workable(row({ stage: 'filing', filing: true }))).toBe(false)
    expect(workable(row({ free: false }))).toBe(false)
  })
})

it('puts the urgent first, then what is due first, and what is done last', () => {
  const rows = [
    row({ no: 'B-1', priority: 'normal', stage: 'done' }),
    row({ no: 'B-2', priority: 'normal' }),
    row({ no: 'B-3', priority: 'normal', stageDueAt: '2026-11-23T12:30:00Z' }),
    row({ no: 'B-4', priority: 'urgent', dueAt: '2026-11-23T18:00:00Z' }),
  ]
  expect(rows.sort(byUrgency).map((r) => r.no)).toEqual(['B-4', 'B-3', 'B-2', 'B-1'])
})
