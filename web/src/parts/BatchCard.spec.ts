import { afterEach, expect, test, vi } from 'vitest'
import { row } from '../test/fixtures'
import { screen } from '../test/screen'
import BatchCard from './BatchCard.vue'

afterEach(() => {
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})
const LOG = [{ at: '2026-11-23T11:00:00Z', who: 'T. Vane', what: { act: 'took', step: 'DONE', with: {} } }]
const card = (over: object, supervisor = true) =>
  screen(BatchCard, {
    answers: {
      '/api/colleagues': [{ signIn: 'm.tarrow', name: 'M. Tarrow' }],
      '/api/batches/B-0412/log': LOG,
    },
    props: {
      row: row({ dueAt: '2026-11-23T14:00:00Z', madeAt: '2026-11-23T09:00:00Z', ...over }),
      supervisor,
    },
  })
const press = (on: Awaited<ReturnType<typeof card>>, words: string) =>
  on
    .findAll('button')
    .find((b) => b.text() === words)!
    .trigger('click')

test('a free batch is taken, one that a colleague has is taken over by a supervisor alone', async () => {
  const free = await card({ free: true })
  await press(free, 'Take it')
  expect(free.sent).toEqual([['/api/batches/B-0412/take', { over: false }]])
  const taken = await card({ free: false, with: 'M. Tarrow' })
  await press(taken, 'Take it over')
  expect(taken.sent).toEqual([['/api/batches/B-0412/take', { over: true }]])
  const refused = await card({ free: false, with: 'M. Tarrow' }, false)
  expect(refused.find('button[disabled]').text()).toBe('Take it over')
  expect(refused.text()).not.toContain('Withdraw')
})

test('whoever puts a batch on hold says why', async () => {
  const held = await card({ mine: true })
  await press(held, 'Put on hold')
  await held.find('.why input').setValue('the owner was asked')
  await held.find('form').trigger('submit')
  expect(held.sent).toEqual([['/api/batches/B-0412/hold', { why: 'the owner was asked' }]])
  expect(held.emitted('changed')).toHaveLength(1)
})

test('a batch that is done has no acts, and tells what happened', async () => {
  const done = await card({ stage: 'done' })
  await vi.waitFor(() => expect(done.text()).toContain('T. Vane:'))
  expect(done.findAll('button').map((b) => b.text().replace(/\s+/g, ' '))).toEqual(['Close Esc'])
})
