import { expect, test } from 'vitest'
import { i18n, speak } from './index'
import { lengthened } from './pseudo'

test('each word is marked and a third longer; what is put in between stays', () => {
  expect(lengthened('Late by {time}')).toBe('Late~~ by~ {time}')
  expect(lengthened('{n} page | {n} pages')).toBe('{n} page~~ | {n} pages~~')
})

test('the screens can speak it, and a language that there is not leaves them in English', async () => {
  await speak('xx')
  expect(i18n.global.t('app.close')).toBe('Close')
  await speak('en-XA')
  expect(i18n.global.t('app.close')).toBe('Close~~')
  expect(i18n.global.t('board.doubtsIn', { n: 2, stage: 'Pages' }, 2)).toBe('2 doubts~~ in~ Pages')
  i18n.global.locale.value = 'en'
})
