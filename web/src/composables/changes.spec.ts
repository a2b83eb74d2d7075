import { describe, expect, it } from 'vitest'
import { batch, doc, page } from '../test/fixtures'
import { withChanges } from './changes'

describe('an answer that carries what changed', () => {
  const known = {
    ...batch([page(1, 1), page(2, 1), page(3, 2), page(4, null, 'separator')], [doc(1, [1, 2]), doc(2, [3])]),
    tag: 'a',
  }
  const answer = { ...known, tag: 'b', since: 'a', pages: [], types: undefined as never }

  it('adds to what is known, counts again, and leaves what did not change as it was', () => {
    const documents = [doc(1, [1]), doc(2, [2])]
    const now = withChanges(known, { ...answer, documents, order: [1, 2, 3, 4], firsts: [1, 2, 3] })
    expect(now?.documents.map((d) => [d.no, d.pages])).toEqual([
      [1, [1]],
      [2, [2]],
      [3, [3]],
    ])
    expect(now?.pages.map((p) => p.document)).toEqual([1, 2, 3, null])
    expect(now?.pages[0]).toBe(known.pages[0])
    expect(now?.types).toBe(known.types)
    expect(now?.tag).toBe('b')
  })

  it('moves, takes away and replaces pages', () => {
    const pages = [page(2, null, 'setAside')]
    const documents = [doc(1, [3, 1])]
    const now = withChanges(known, { ...answer, pages, documents, order: [3, 1, 2], firsts: [3] })
    expect(now?.pages.map((p) => [p.no, p.role, p.document])).toEqual([
      [3, 'content', 1],
      [1, 'content', 1],
      [2, 'setAside', null],
    ])
    expect(now?.documents).toHaveLength(1)
  })

  it('is all there is where it says so, and nothing where it adds to something else', () => {
    expect(withChanges(null, known)).toBe(known)
    expect(withChanges({ ...known, tag: 'c' }, { ...answer, documents: [], order: [], firsts: [] })).toBe(
      undefined,
    )
  })
})
