import { expect, test } from 'vitest'
import { stretch } from './times'

test.each([
  [30_000, '1 min'],
  [12 * 60_000, '12 min'],
  [65 * 60_000, '1 h 05'],
  [27 * 3_600_000, '1 d 3 h'],
])('%d ms is %s', (ms, words) => expect(stretch(ms)).toBe(words))
