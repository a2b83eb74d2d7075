import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '../i18n'
import { batch, doc, page } from '../test/fixtures'
import StripPage from './StripPage.vue'

const one = batch([page(1, 1)], [doc(1, [1])])
const at = (over: object, begins = false) =>
  mount(StripPage, {
    props: {
      batch: one,
      page: { ...page(1, 1), ...over },
      begins: begins ? one.documents[0] : undefined,
      width: 108,
      gap: false,
      maybe: false,
    },
    global: { plugins: [i18n] },
  })
const image = (over: object) => ({ image: { ...page(1, 1).image, ...over } })
const finding = { kind: 'blur', figure: 0.5, limit: 0.34 }

test('a page that a document begins with carries its stake, type and reason, to the eye and the ear', () => {
  const first = at({}, true)
  expect(first.find('.stake').exists()).toBe(true)
  expect(first.get('.foot').text()).toMatch(/^1\s*Letter\s*barcode PM-4821-K$/)
  expect(first.attributes('aria-label')).toBe('Page 1, Letter begins: barcode PM-4821-K')
})

test.each([
  ['asked for again', image({ askedBecause: 'corner' }), '↻ scan again', true],
  ['beyond limits', { needsEye: true, ...image({ findings: [finding, finding] }) }, '▲ blurred +1', true],
  ['repaired by a person', image({ repairedBy: 'T. Vane' }), '✓ repaired', false],
  ['kept as it is', image({ findings: [finding], acceptedBy: 'T. Vane' }), '✓ kept', false],
])('a page %s says so by a shape and a word', (_, over, words, eye) => {
  const badge = at(over).get('.badge')
  expect(badge.text()).toBe(words)
  expect(badge.classes().includes('eye')).toBe(eye)
})

test('a page that is out says what it is, and has no mark for its image', () => {
  const blank = at({ role: 'blank', needsEye: true, ...image({ findings: [finding] }) })
  expect(blank.get('.foot').text()).toMatch(/^1\s*blank$/)
  expect(blank.find('.badge').exists()).toBe(false)
})
