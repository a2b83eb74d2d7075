import { expect, test } from 'vitest'
import { snippetStyle } from './snippet'

test('a snippet puts the box in its window at one scale', () => {
  const style = snippetStyle([100, 50, 20, 4], 210, 297, 330, 34, ['/p'])
  // 34 px for 6.4 mm of height: the height decides.
  expect(parseFloat(style.backgroundSize)).toBeCloseTo((210 * 34) / 6.4)
  expect(parseFloat(style.backgroundPosition)).toBeCloseTo((-98.8 * 34) / 6.4)
  expect(style.width).toBe(`${(22.4 * 34) / 6.4}px`)
})

test('a wide box is held by the width', () => {
  const style = snippetStyle([10, 50, 180, 4], 210, 297, 330, 34, ['/p'])
  expect(style.width).toBe('330px')
})
