import { expect, it } from 'vitest'
import { batch, doc, page } from '../test/fixtures'
import { segmentsOf } from './segments'

it('a line is parted by documents and by pages taken out, and says where a group begins', () => {
  const pages = [page(1, 1), page(2, null, 'setAside'), page(3, 1), page(4, 2), page(5, 3)]
  const documents = [
    { ...doc(1, [1, 3]), group: 1 },
    { ...doc(2, [4], {}, true), group: 1 },
    { ...doc(3, [5]), group: 2 },
  ]
  const made = { ...batch(pages, documents), places: [{ page: 3, certainty: 0.4, evidence: [] }] }
  expect(segmentsOf(made).map((s) => [s.no, s.length, s.first, s.doubts, s.group])).toEqual([
    [1, 1, true, 0, 1],
    [0, 1, false, 0, 0],
    [1, 1, false, 1, 0],
    [2, 1, true, 1, 0],
    [3, 1, true, 0, 2],
  ])
})
