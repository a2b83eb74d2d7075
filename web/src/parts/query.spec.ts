import { expect, test } from 'vitest'
import { narrowed, without } from './query'

const place = (line: string, part: string) => ({
  from: line.indexOf(part),
  to: line.indexOf(part) + part.length,
})
const less = (line: string, part: string) => without(line, place(line, part))

test('a part is taken away, and an OR with it', () => {
  expect(less('vessel:PM-48 dues', 'vessel:PM-48')).toBe('dues')
  expect(less('quay OR berth dues', 'quay')).toBe('berth dues')
  expect(less('quay OR berth dues', 'berth')).toBe('quay dues')
  expect(less('quay OR berth OR pier', 'berth')).toBe('quay OR pier')
  expect(less('quay', 'quay')).toBe('')
})

test('a line is narrowed to a value', () => {
  expect(narrowed('dues', 'type', 'Dues letter')).toBe('dues type:="Dues letter"')
  expect(narrowed('', 'by', 'The "old" hand')).toBe('by:="The old hand"')
})
