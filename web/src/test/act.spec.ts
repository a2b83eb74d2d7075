import { expect, test, vi } from 'vitest'
import { act, type Named } from '../api/client'

test('an act names what was seen, and is asked for again under the same key when the network fails', async () => {
  vi.useFakeTimers()
  const asked: Named[] = []
  const answer = act({ revision: 7 }, (header) => {
    asked.push(header)
    return asked.length < 3 ? Promise.reject(new TypeError('no network')) : Promise.resolve('done')
  })
  await vi.runAllTimersAsync()
  expect(await answer).toBe('done')
  expect(asked).toHaveLength(3)
  expect(asked[0]['If-Match']).toBe('"7"')
  expect(new Set(asked.map((h) => h['Idempotency-Key'])).size).toBe(1)
  vi.useRealTimers()
})
