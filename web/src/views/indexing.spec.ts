import type { VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, test, vi } from 'vitest'
import { batch, doc, page, row, value } from '../test/fixtures'
import { refused, screen, type Answers } from '../test/screen'
import IndexDesk from './IndexDesk.vue'
import TableDesk from './TableDesk.vue'

let shown: VueWrapper[] = []
afterEach(() => {
  shown.forEach((view) => view.unmount())
  shown = []
  document.body.innerHTML = ''
  localStorage.clear()
  vi.restoreAllMocks()
})
const show = async (...given: Parameters<typeof screen>) => {
  shown.forEach((view) => view.unmount())
  const view = await screen(...given)
  shown = [view]
  return view
}

const B = '/api/batches/B-0412'
const HARD = [{ code: 'hardToRead' as const, with: {} }]
const two = batch(
  [page(1, 1), page(2, 1)],
  [doc(1, [1, 2], { vessel: value('doubtful', 'PM-4B21-K', HARD) })],
)
const three = batch(
  [page(1, 1), page(2, 1), page(3, 2)],
  [
    doc(1, [1, 2], { vessel: value('sure', 'PM-4821-K') }),
    doc(2, [3], { vessel: value('doubtful', 'PM-5510-A', HARD) }),
  ],
)
const answers = (): Answers => ({ [B]: two, [`${B}/pages/1/words`]: [] })

describe('the Index desk', () => {
  test('keeps what was typed when the server does not take it', async () => {
    const view = await show(IndexDesk, {
      answers: { ...answers(), [`POST ${B}/decisions`]: refused('heldByAnother', { who: 'T. Vane' }) },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.field.current input').exists()).toBe(true))
    const input = view.find<HTMLInputElement>('.field.current input')
    await input.setValue('PM-4821-K')
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(view.text()).toContain('what was typed is still here'))
    expect(view.find<HTMLInputElement>('.field.current input').element.value).toBe('PM-4821-K')
  })
  test('keeps what was typed over a reload, until it is settled', async () => {
    const first = await show(IndexDesk, { answers: answers(), props: { no: 'B-0412' } })
    await vi.waitFor(() => expect(first.find('.field.current input').exists()).toBe(true))
    await first.find<HTMLInputElement>('.field.current input').setValue('PM-48')
    const view = await show(IndexDesk, {
      answers: { ...answers(), [`POST ${B}/decisions`]: two },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.field.current input').exists()).toBe(true))
    const input = view.find<HTMLInputElement>('.field.current input')
    await vi.waitFor(() => expect(input.element.value).toBe('PM-48'))
    expect(view.text()).toContain('Typed here before')
    await input.trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(localStorage.getItem('jalon.typed')).toBe('[]'))
  })
  test('indexes beside a colleague, and leaves them the documents that they have open', async () => {
    const shared = {
      ...three,
      stage: 'index' as const,
      free: false,
      with: 'T. Vane',
      claims: [{ page: 3, with: 'T. Vane', mine: false }],
    }
    const view = await show(IndexDesk, {
      answers: { [B]: shared, [`${B}/pages/1/words`]: [], [`${B}/pages/3/words`]: [] },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.text()).toContain('T. Vane has this batch'))
    expect(view.text(), 'the only doubt is in a document that is not ours').toContain('document 1 of 2')
    await vi.waitFor(() => expect(view.sent).toContainEqual([`${B}/claim`, { page: 1 }]))
    document.dispatchEvent(new KeyboardEvent('keydown', { key: ']', bubbles: true }))
    await vi.waitFor(() => expect(view.text()).toContain('T. Vane has this document open'))
  })
  test('settles, and goes on to what is next', async () => {
    const settled = batch(two.pages, [doc(1, [1, 2], { vessel: value('settled', 'PM-4821-K') })])
    const view = await show(IndexDesk, {
      answers: { ...answers(), [`POST ${B}/decisions`]: settled },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.field.current input').exists()).toBe(true))
    await view.find('.field.current input').setValue('PM-4821-K')
    await view.find('.field.current input').trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(view.text()).toContain('All settled.'))
    expect(view.sent[0][1]).toMatchObject({ act: 'settle', field: 'vessel', value: 'PM-4821-K' })
  })
  test('goes on to the doubts of the next batch, and leaves this one to filing', async () => {
    const settled = batch(two.pages, [doc(1, [1, 2], { vessel: value('settled', 'PM-4821-K') })])
    const rows = [
      row({ no: 'B-0412', stage: 'index', doubts: 1, free: true }),
      row({ no: 'B-0414', stage: 'index', doubts: 4, free: true }),
      row({ no: 'B-0415', stage: 'index', doubts: 0, free: true }),
      row({ no: 'B-0416', stage: 'pages', doubts: 9, free: true }),
    ]
    const view = await show(IndexDesk, {
      answers: {
        ...answers(),
        [`POST ${B}/decisions`]: settled,
        [`POST ${B}/stage`]: settled,
        '/api/board': { batches: rows },
      },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.field.current input').exists()).toBe(true))
    expect(view.asked, 'nobody asks before it is needed').not.toContain('/api/board')
    await view.find('.field.current input').setValue('PM-4821-K')
    await view.find('.field.current input').trigger('keydown', { key: 'Enter' })
    await vi.waitFor(() => expect(view.text()).toContain('B-0414: 4 doubts'))
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', bubbles: true }))
    await vi.waitFor(() => expect(view.sent.at(-1)?.[0]).toBe('/api/batches/B-0414/take'))
    expect(view.sent.at(-2)).toEqual([`${B}/stage`, { to: 'filing' }])
  })
  test('takes what the document before has on one key, and says where there is none', async () => {
    const view = await show(IndexDesk, {
      answers: { ...answers(), [`POST ${B}/decisions`]: two },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.field.current input').exists()).toBe(true))
    await view.find('.field.current input').trigger('keydown', { key: 'd', ctrlKey: true })
    await vi.waitFor(() => expect(view.text()).toContain('No document before this one'))
    const later = await show(IndexDesk, {
      answers: { [B]: three, [`${B}/pages/3/words`]: [], [`POST ${B}/decisions`]: three },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(later.find('.field.current input').exists()).toBe(true))
    await later.find('.field.current input').trigger('keydown', { key: 'd', ctrlKey: true })
    await vi.waitFor(() =>
      expect(later.sent[0][1]).toMatchObject({ act: 'settle', page: 3, value: 'PM-4821-K' }),
    )
  })
})

describe('the Table desk', () => {
  const table = async (post: unknown) => {
    const view = await show(TableDesk, {
      answers: { [B]: three, [`POST ${B}/decisions/together`]: post },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(view.find('.grid').exists()).toBe(true))
    return view
  }
  const press = (view: VueWrapper, key: string, ctrlKey = false) =>
    view.find('.grid').trigger('keydown', { key, ctrlKey })

  test('begins at the first doubt; typing replaces, Enter settles', async () => {
    const view = await table(three)
    for (const key of ['P', 'Enter']) await press(view, key)
    await vi.waitFor(() =>
      expect(view.sent[0][1]).toMatchObject([{ act: 'settle', page: 3, field: 'vessel', value: 'P' }]),
    )
  })
  test('fills down all that is chosen as one act', async () => {
    const view = await table(three)
    await press(view, 'Home', true)
    await press(view, 'd', true)
    await vi.waitFor(() => expect(view.text()).toContain('1 value filled with PM-4821-K.'))
    expect(view.sent).toEqual([
      [`${B}/decisions/together`, [expect.objectContaining({ page: 3, value: 'PM-4821-K', box: null })]],
    ])
  })
  test('settles a doubt as it stands on one key, and keeps a value that is not taken', async () => {
    const view = await table(refused('heldByAnother', { who: 'T. Vane' }))
    await press(view, 'Enter')
    await vi.waitFor(() => expect(view.text()).toContain('what was typed is still here'))
    expect(view.sent[0][1]).toMatchObject([{ page: 3, value: 'PM-5510-A' }])
  })
  test('says that there is nothing to fill where all have it', async () => {
    const view = await table(three)
    await press(view, 'End', true)
    await press(view, 'd', true)
    await vi.waitFor(() => expect(view.text()).toContain('Nothing to fill: all have it.'))
    expect(view.sent).toEqual([])
  })
})
