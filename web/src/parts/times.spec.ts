import { expect, test } from 'vitest'
import { place } from '../place'
import { ago, clock, moment, stretch, typedAs } from './times'

test.each([
  [30_000, '1 min'],
  [12 * 60_000, '12 min'],
  [65 * 60_000, '1 h 05'],
  [27 * 3_600_000, '1 d 3 h'],
])('%d ms is %s', (ms, words) => expect(stretch(ms)).toBe(words))

test('dates and times are written as the chosen region has them, with the chosen hours', () => {
  const at = new Date(2026, 9, 4, 14, 5, 9)
  place.value = { language: '', region: 'GB', hours: '', room: '' }
  expect(moment(at.toISOString())).toBe('4 Oct 2026, 14:05')
  place.value = { language: '', region: 'US', hours: '', room: '' }
  expect(moment(at.toISOString())).toMatch(/^Oct 4, 2026, 02:05\sPM$/)
  place.value = { language: '', region: 'US', hours: 'h23', room: '' }
  expect(moment(at.toISOString())).toBe('Oct 4, 2026, 14:05')
  const today = new Date()
  today.setHours(14, 5, 9)
  expect(clock(today.toISOString())).toBe('14:05:09')
  place.value = { language: '', region: '', hours: '', room: '' }
})

test('a date is typed in the order of the region, and its hours as chosen', () => {
  place.value = { language: '', region: 'GB', hours: '', room: '' }
  expect(typedAs()).toEqual({ date: 'DD/MM/YYYY', time: 'HH:mm' })
  place.value = { language: '', region: 'US', hours: '', room: '' }
  expect(typedAs().date).toBe('MM/DD/YYYY')
  expect(typedAs().time).toMatch(/^hh:mm\sA$/)
  place.value = { language: '', region: '', hours: '', room: '' }
})

test.each([
  [0, 'now'],
  [12, '12 sec. ago'],
  [65, '1 min. ago'],
  [3 * 3600, '3 hr. ago'],
  [26 * 3600, 'yesterday'],
])('%d seconds before now is %s', (seconds, words) => {
  const now = Date.UTC(2026, 10, 26, 12)
  expect(ago(new Date(now - seconds * 1000).toISOString(), now)).toBe(words)
})
