import { describe, expect, test } from 'vitest'
import { doc, value } from '../test/fixtures'
import { cellsOf, laid, nextDoubt, orderOf, replaced, settling } from './table'

const field = (name: string) =>
  ({ field: name, title: name, kind: 'text', required: false, mayBeAbsent: true }) as const
const fields = [field('vessel'), field('owner')]
const rows = [
  doc(1, [1], { vessel: value('sure', 'PM-10'), owner: value('doubtful', 'Ewa') }),
  doc(2, [2], { vessel: value('sure', 'PM-9'), owner: value('settled', 'Ines') }),
  doc(3, [3], { vessel: value('wrong', 'PM-2'), owner: value('sure', 'Ewa') }),
]
const brief = (wanted: ReturnType<typeof laid>) => wanted.map((w) => [w.document.no, w.field, w.value])

describe('the table', () => {
  test('puts numbers in their order, and documents in doubt by themselves', () => {
    expect(orderOf(rows, 'letter', { field: 'vessel', down: false }, false)).toEqual([3, 2, 1])
    expect(orderOf(rows, 'letter', { field: 'owner', down: true }, false)).toEqual([2, 1, 3])
    expect(orderOf(rows, 'letter', null, true)).toEqual([1, 3])
    expect(orderOf(rows, 'survey', null, false)).toEqual([])
  })
  test('lays a block of cells on its rows, and leaves out what reaches beyond or is the same', () => {
    expect(cellsOf('PM-1\tEwa \r\nPM-9\tIda\r\n')).toEqual([
      ['PM-1', 'Ewa'],
      ['PM-9', 'Ida'],
    ])
    expect(brief(laid(cellsOf('PM-1\tEwa\nPM-2\tEwa\tx\n\n'), rows, fields, { row: 1, column: 0 }))).toEqual([
      [2, 'vessel', 'PM-1'],
      [2, 'owner', 'Ewa'],
      [3, 'vessel', 'PM-2'],
    ])
  })
  test('settles a value in doubt that is the same as the one filled down', () => {
    expect(brief(laid([['Ewa']], rows, fields, { row: 0, column: 1 }))).toEqual([[1, 'owner', 'Ewa']])
  })
  test('replaces wherever a text stands', () => {
    expect(brief(replaced(rows, fields, 'PM-', 'PN-'))).toEqual([
      [1, 'vessel', 'PN-10'],
      [2, 'vessel', 'PN-9'],
      [3, 'vessel', 'PN-2'],
    ])
    expect(replaced(rows, fields, '', 'x')).toEqual([])
  })
  test('says where a value was read only if it is what was read', () => {
    const box = [1, 2, 3, 4] as never
    const read = doc(1, [7, 8], { vessel: { ...value('doubtful', 'PM-1'), page: 8, boxMm: box } })
    expect(settling({ document: read, field: 'vessel', value: 'PM-1' })).toMatchObject({
      page: 7,
      valuePage: 8,
      box,
    })
    expect(settling({ document: read, field: 'vessel', value: 'PM-7' })).toMatchObject({ box: null })
  })
  test('goes from doubt to doubt, both ways and round', () => {
    expect(nextDoubt(rows, fields, { row: 0, column: 0 })).toEqual({ row: 0, column: 1 })
    expect(nextDoubt(rows, fields, { row: 2, column: 0 })).toEqual({ row: 0, column: 1 })
    expect(nextDoubt(rows, fields, { row: 0, column: 1 }, -1)).toEqual({ row: 2, column: 0 })
    expect(nextDoubt([rows[1]], fields, { row: 0, column: 0 })).toBeNull()
  })
})
