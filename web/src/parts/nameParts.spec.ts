import { expect, test } from 'vitest'
import { partsOf, templateOf } from './nameParts'

test.each([
  'Berths/{applied:yyyy}/{vessel|unknown vessel}',
  '{type} {no:000}',
  '{vessel:part 2 by -|}',
  'plain',
  '',
  'open {brace',
])('%s is read part by part and written as it was', (template) => {
  expect(templateOf(partsOf(template))).toBe(template)
})

test('a part says what is taken and what stands in', () => {
  expect(partsOf('a {vessel:first 2|none}')).toEqual([
    { kind: 'text', text: 'a ' },
    { kind: 'value', name: 'vessel', form: 'first 2', otherwise: 'none' },
  ])
})
