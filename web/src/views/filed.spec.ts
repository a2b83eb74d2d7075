import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import type { Schema } from '../api/client'
import { found, plan } from '../test/fixtures'
import FiledFoot from '../parts/FiledFoot.vue'
import HoldBack from '../parts/HoldBack.vue'
import { screen, type Answers } from '../test/screen'
import ArchiveDocument from './ArchiveDocument.vue'

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})
const AT = '2026-11-27T09:00:00Z'
const button = (text: string) =>
  [...document.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent?.includes(text))
const version = (no: number, pageCount: number) => ({
  version: no,
  pageCount,
  filedAt: AT,
  filedBy: 'M. Tarrow',
  now: no === 2,
})
const opened = (about: Partial<Schema['Found']>, pages = [1, 2]) => ({
  document: {
    document: { ...found(1, null), ...about },
    hits: [],
    path: pages.length ? 'x' : null,
    versions: [version(2, 2), version(1, 1)],
    fields: [
      { name: 'vessel', title: 'Vessel' },
      { name: 'amount', title: 'Amount' },
    ],
  },
  pages: pages.map((no) => ({ no, widthMm: 210, heightMm: 297, lean: 0, repairs: [] })),
  registers: [],
})
const show = async (answers: Answers, role: Schema['Me']['role'] = 'operator') => {
  const view = await screen(ArchiveDocument, { answers, props: { id: '1' }, at: '/document', role })
  shown = view
  await flushPromises()
  return view
}

test('what is confidential is said to be so, and nothing of its pages is asked for', async () => {
  const hidden = opened(
    { pagesHidden: true, fields: [{ name: 'amount', title: 'Amount', value: null as never }] },
    [],
  )
  const view = await show({ '/api/archive/1': hidden })
  expect(view.text()).toContain('confidential')
  expect(view.text()).toContain('A supervisor can give you the right')
  expect(view.asked.filter((path) => path.includes('/pages/'))).toEqual([])
  expect([...document.querySelectorAll('a')].map((a) => a.getAttribute('href')).join()).not.toContain('/file')
  expect(button('Add pages')).toBeUndefined()
})

test('a reader changes nothing, and earlier versions are there to be read', async () => {
  const view = await show({ '/api/archive/1': opened({ version: 2 }) }, 'reader')
  expect(view.text()).toContain('Version 1, 1 page, filed')
  expect(button('Correct values')).toBeUndefined()
  expect(button('Who has seen it')).toBeUndefined()
})

test('a value that does not pass the checks of its field is filed when a person insists', async () => {
  const answers: Answers = {
    '/api/archive/1': opened({ version: 2 }),
    'POST /api/archive/1/values': { error: { code: 'correctionUnlikely', with: { fields: 'Vessel' } } },
  }
  const view = await show(answers)
  button('Correct values')!.click()
  await vi.waitFor(() => expect(document.querySelectorAll('.el-drawer input')).toHaveLength(3))
  const [vessel, , why] = document.querySelectorAll<HTMLInputElement>('.el-drawer input')
  vessel!.value = '9012'
  vessel!.dispatchEvent(new Event('input'))
  why!.value = 'misread'
  why!.dispatchEvent(new Event('input'))
  await flushPromises()
  document.querySelector<HTMLFormElement>('.el-drawer form')!.dispatchEvent(new Event('submit'))
  await vi.waitFor(() => expect(button('File it all the same')).toBeTruthy())
  answers['POST /api/archive/1/values'] = { to: ['archive'], not: ['safe'] }
  button('File it all the same')!.click()
  await vi.waitFor(() => expect(view.text()).toContain('On its way to archive'))
  expect(view.text()).toContain('are refused at safe')
  expect(view.sent.map(([, body]) => (body as { sure: boolean }).sure)).toEqual([false, true])
  expect((view.sent[1]![1] as { values: object }).values).toEqual({ vessel: '9012' })
})

test('its story tells who or what decided, on what evidence, and where it lies', async () => {
  await show({
    '/api/archive/1': opened({}),
    '/api/archive/1/story': {
      came: [
        {
          batch: 'B-0003',
          source: 'scanner flatbed',
          at: AT,
          by: 'M. Tarrow',
          pages: [{ no: 1, file: 'scan.tif', filePage: 4, sheet: 2, side: 'back' }],
        },
      ],
      stake: {
        page: 1,
        certainty: 0.9996,
        evidence: [{ why: { code: 'barcode', with: { value: 'PM-4821' } } }],
      },
      type: { certainty: 1, evidence: [], by: 'T. Vane' },
      values: [
        {
          title: 'Vessel',
          page: 1,
          value: { value: 'PM-4821-K', finder: 'label', certainty: 0.98, reasons: [] },
        },
      ],
      corrections: [{ values: { amount: null }, why: 'not on it', by: 'T. Vane', at: AT }],
      lies: [{ destination: 'archive', path: 'x.pdf', state: 'done', checked: { found: 'gone', at: AT } }],
    },
  })
  button('Its story')!.click()
  const text = () => document.body.textContent ?? ''
  await vi.waitFor(() => expect(text()).toContain('scanner flatbed'))
  expect(text()).toContain('scan.tif, page 4')
  expect(text()).toContain('99.9%')
  expect(text()).toContain('as T. Vane said')
  expect(text()).toContain('beside its label, on page 1; certain to 98%')
  expect(text()).toContain('amount: –')
  expect(text()).toContain('gone, looked at')
})

test('a document is held back with a reason, and released by the same key', async () => {
  const held = { document: 2, by: 'M. Tarrow', why: 'its owner is asked' }
  const view = await screen(HoldBack, {
    props: { no: 'B-0001', document: 2, begun: false },
    answers: { 'POST /api/batches/B-0001/filing/hold-back': { ...plan([]), heldBack: [held] } },
  })
  shown = view
  const press = () => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'h' }))
  press()
  await flushPromises()
  await view.get('input').setValue('its owner is asked')
  await view.get('form').trigger('submit')
  await flushPromises()
  expect(view.emitted('planned')).toHaveLength(1)
  await view.setProps({ held })
  expect(view.text()).toContain('M. Tarrow')
  press()
  await flushPromises()
  expect(view.sent.map(([, body]) => body)).toEqual([
    { document: 2, why: 'its owner is asked' },
    { document: 2, why: null },
  ])
})

test('a filing is taken back with a reason, and why it cannot be is told', async () => {
  const view = await screen(FiledFoot, {
    props: { no: 'B-0001', refused: 0, done: true },
    answers: { 'POST /api/batches/B-0001/filing/take-back': { begun: false, deliveries: [] } },
  })
  shown = view
  await view
    .findAll('button')
    .find((b) => b.text().startsWith('Take it back'))!
    .trigger('click')
  await view.find('#reason-typed').setValue('wrong amount')
  await view.find('form.asking').trigger('submit')
  await flushPromises()
  expect(view.sent).toEqual([['/api/batches/B-0001/filing/take-back', { why: 'wrong amount' }]])
  expect(view.emitted('taken')).toEqual([[{ begun: false, deliveries: [] }]])
})
