import { expect, test } from 'vitest'
import { chips, without } from './query'

test('a line is fields, phrases and words', () => {
  expect(chips('vessel:PM-48 "dues open" quay').map((c) => [c.field, c.text])).toEqual([
    ['vessel', 'PM-48'],
    ['', 'dues open'],
    ['', 'quay'],
  ])
})

test('a chip can be taken away', () => {
  expect(without('vessel:PM-48 dues', 'vessel:PM-48')).toBe('dues')
})
