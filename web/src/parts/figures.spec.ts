import { expect, test } from 'vitest'
import { place } from '../place'
import { certain, figure, measured, share } from './figures'

test('figures are written as the chosen region has them', () => {
  place.value = { language: '', region: 'CH', hours: '', room: '' }
  expect(figure(1234567.5, 2)).toMatch(/^1.234.567\.50$/)
  place.value = { language: '', region: 'DE', hours: '', room: '' }
  expect(figure(1234.5, 1)).toBe('1.234,5')
  place.value = { language: '', region: 'GB', hours: '', room: '' }
  expect([0.214, 3.14159, 301.7].map(measured)).toEqual(['0.21', '3.1', '302'])
  expect(share(1, 3)).toBe('33%')
  expect(share(0, 0)).toBe('–')
  expect([0.9996, 1].map(certain)).toEqual(['99.9%', '100%'])
  place.value = { language: '', region: '', hours: '', room: '' }
})
