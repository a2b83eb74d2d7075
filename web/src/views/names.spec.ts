import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import NamesPanel from '../parts/NamesPanel.vue'
import { row } from '../test/fixtures'
import { refused, screen } from '../test/screen'

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
})
const stream = {
  stream: 'letters',
  title: 'Letters',
  types: [{ fields: [{ field: 'written', title: 'Written on', kind: 'date' }] }],
  destinations: [{ destination: 'shelf', folder: '{written:yyyy}', file: '{type}' }],
}
const name = {
  destination: 'shelf',
  document: 1,
  path: '2026/Dues letter',
  twice: true,
  taken: false,
  unsafe: [],
}
const answers = {
  '/api/streams/letters': stream,
  '/api/board': { batches: [row({ no: 'B-0001', stream: 'letters', stage: 'index' })] },
  'POST /api/streams/try-names': [name],
  'POST /api/streams': { version: 2 },
}

test('names are shown as parts, tried on a batch, and saved when something is changed', async () => {
  const view = await screen(NamesPanel, { props: { stream: 'letters' }, answers })
  shown = view
  await vi.waitFor(() => expect(view.text()).toContain('2026/Dues letter'))
  expect(view.text()).toContain('another of this batch has the name')
  expect(view.findAll('.chip').map((c) => c.text())).toEqual(['Written on year', 'Type'])
  const save = view.findAll('button').find((b) => b.text().startsWith('Save'))!
  expect(save.attributes('disabled')).toBeDefined()
  const toText = view.findAll('button').filter((b) => b.text() === 'as text')
  await toText[0]!.trigger('click')
  await view.find('.whole input').setValue('Letters/{written:yyyy-MM}')
  await save.trigger('click')
  await flushPromises()
  const sent = view.sent.filter(([to]) => to === '/api/streams')
  expect(JSON.parse((sent[0]![1] as { json: string }).json).destinations[0].folder).toBe(
    'Letters/{written:yyyy-MM}',
  )
  expect(view.emitted('saved')).toEqual([[2]])
})

test('what cannot be a name is said, and is not saved', async () => {
  const view = await screen(NamesPanel, {
    props: { stream: 'letters' },
    answers: {
      ...answers,
      'POST /api/streams/try-names': refused('streamUnusable', { faults: 'no vessle' }),
    },
  })
  shown = view
  await vi.waitFor(() => expect(view.find('.el-alert, .note, [role=alert]').exists()).toBe(true))
  const toText = view.findAll('button').filter((b) => b.text() === 'as text')
  await toText[0]!.trigger('click')
  await view.find('.whole input').setValue('{vessle}')
  const save = view.findAll('button').find((b) => b.text().startsWith('Save'))!
  expect(save.attributes('disabled')).toBeDefined()
})
