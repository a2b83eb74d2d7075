import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import CertaintyPanel from '../parts/CertaintyPanel.vue'
import { refused, screen } from '../test/screen'
import Registers from './Registers.vue'

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})

const NOW = '2026-11-27T09:00:00Z'
const vessels = { name: 'vessels', columns: ['registration'], rows: 2, faults: [] }
const source = {
  register: 'vessels',
  settings: { kind: 'file', file: '/srv/registers/vessels.csv', everySeconds: 10 },
  goodAt: NOW,
  problem: { code: 'registerHalfGone', with: { went: '40', before: '60' } },
}
const answers = {
  '/api/registers': [vessels],
  '/api/registers/vessels': { info: vessels, columns: [], versions: [], source },
  '/api/registers/vessels/rows': { all: 0, rows: [] },
  '/api/registers/vessels/newcomers': [
    { field: 'Vessel', value: 'PM-9', batch: 'B-0001', document: 2, settledBy: 'm.tarrow', filedAt: NOW },
  ],
}
const button = (text: string) =>
  [...document.querySelectorAll('button')].find((b) => b.textContent?.includes(text))!

test('a register says where it comes from, what is in the way, and what it does not have yet', async () => {
  const view = (shown = await screen(Registers, { answers }))
  await vi.waitFor(() => expect(view.text()).toContain('the file /srv/registers/vessels.csv'))
  const text = view.text()
  expect(text).toContain('40 of 60 rows would go')
  expect(text).toContain('goes on')
  expect(text).toContain('PM-9')
  button('Take it all the same').click()
  await vi.waitFor(() => expect((view as never as { sent: unknown[] }).sent).toHaveLength(1))
})

test('a source is tried before it is kept, and its refusal is told where it was written', async () => {
  const tried = {
    info: { ...vessels, name: 'boats' },
    columns: [],
    change: { came: 2, went: 0, changed: 0, same: 0, examples: [] },
  }
  const boats = { ...vessels, name: 'boats' }
  const told: Record<string, unknown> = {
    ...answers,
    '/api/registers/boats': { info: boats, columns: [], versions: [] },
    '/api/registers/boats/rows': { all: 0, rows: [] },
    'POST /api/registers/boats/source/try': refused('sourceNoFile', { file: '/srv/boats.csv' }),
  }
  const view = (shown = await screen(Registers, { answers: told }))
  button('From a source').click()
  await vi.waitFor(() => expect(button('Try it')).toBeTruthy())
  const type = async (label: string, text: string) => {
    const of = [...document.querySelectorAll('label')].find((l) => l.textContent?.trim() === label)!
    const input = document.getElementById(of.htmlFor) as HTMLInputElement
    input.value = text
    input.dispatchEvent(new Event('input'))
    await flushPromises()
  }
  await type('Name', 'boats')
  await type('File on the server', '/srv/boats.csv')
  button('Try it').click()
  await vi.waitFor(() => expect(document.body.textContent).toContain('There is no file /srv/boats.csv'))
  told['POST /api/registers/boats/source/try'] = tried
  button('Try it').click()
  await vi.waitFor(() => expect(document.body.textContent).toContain('boats would become this'))
  button('Save it').click()
  const { sent } = view as never as { sent: [string, { file?: string }][] }
  await vi.waitFor(() => expect(sent.at(-1)?.[0]).toBe('/api/registers/boats/source'))
  expect(sent.at(-1)?.[1].file).toBe('/srv/boats.csv')
})

test('a limit is set by what another would mean, and not lowered where nobody looked', async () => {
  const field = {
    ...{ type: 'letter', typeTitle: 'Letter', field: 'vessel', title: 'Vessel', sureFrom: 0.985, days: 10 },
    ...{ sure: 1000, sureLooked: 20, sureWrong: 0, atMost: 0.168, doubts: 80, needless: 70, weeks: [] },
    limits: [
      { limit: 0.9, doubtsADay: 1, errorsInThousand: null },
      { limit: 0.95, doubtsADay: 1.8, errorsInThousand: 1.9 },
      { limit: 0.985, doubtsADay: 8, errorsInThousand: 0 },
    ],
  }
  const view = (shown = await screen(CertaintyPanel, {
    props: { stream: 'letters' },
    answers: {
      '/api/streams/letters/certainty': [field],
      '/api/streams/letters': JSON.stringify({
        stream: 'letters',
        types: [{ type: 'letter', fields: [{ field: 'vessel' }] }],
      }),
      'POST /api/streams': { version: 4 },
    },
  }))
  await vi.waitFor(() => expect(view.text()).toContain('16.80 %'))
  button('Vessel').click()
  await vi.waitFor(() => expect(view.text()).toContain('6.2 fewer'))
  const takes = () =>
    [...document.querySelectorAll<HTMLButtonElement>('button')].filter((b) =>
      b.textContent?.includes('Take this limit'),
    )
  await vi.waitFor(() => expect(takes().map((b) => b.disabled)).toEqual([true, false]))
  takes()[1].click()
  await vi.waitFor(() => expect(view.emitted('saved')).toEqual([[4]]))
  const { sent } = view as never as { sent: [string, { json: string }][] }
  expect(JSON.parse(sent[0][1].json).types[0].fields[0].sureFrom).toBe(0.95)
})
