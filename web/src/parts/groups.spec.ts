import { expect, test } from 'vitest'
import type { Schema } from '../api/client'
import { groupBegunBy } from './groups'

test('a group begins with the first of its documents, whatever sheets lie before it', () => {
  const documents = [
    { no: 1, group: 1 },
    { no: 2, group: 1 },
    { no: 3, group: 2 },
  ] as Schema['DocumentView'][]
  const groups = [{ no: 1 }, { no: 2 }]
  const batch = { documents, groups } as Schema['BatchDetail']
  expect(documents.map((d) => groupBegunBy(batch, d)?.no)).toEqual([1, undefined, 2])
  expect(groupBegunBy(batch, undefined)).toBeUndefined()
})
