import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, test, vi } from 'vitest'
import type { Component } from 'vue'
import type { Schema } from '../api/client'
import {
  batch,
  channel,
  delivery,
  doc,
  found,
  hit,
  page,
  plan,
  row,
  stream,
  value,
  dueLetter,
  dueLetters,
} from '../test/fixtures'
import { PENDING, refused, screen, type Answers } from '../test/screen'
import ArchiveDocument from './ArchiveDocument.vue'
import ArchiveSearch from './ArchiveSearch.vue'
import DayBoard from './DayBoard.vue'
import DayView from './DayView.vue'
import FilingDesk from './FilingDesk.vue'
import IndexDesk from './IndexDesk.vue'
import Intake from './Intake.vue'
import MyPassword from './MyPassword.vue'
import PageDesk from './PageDesk.vue'
import People from './People.vue'
import Places from './Places.vue'
import Registers from './Registers.vue'
import Retention from './Retention.vue'
import Rescans from './Rescans.vue'
import SignIn from './SignIn.vue'
import Streams from './Streams.vue'
import TableDesk from './TableDesk.vue'
import Workbench from './Workbench.vue'

vi.mock('vue-echarts', () => ({ default: { template: '<i class="chart" />' } }))

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})
const show = async (...given: Parameters<typeof screen>) => {
  const view = await screen(...given)
  shown = view
  return view
}

const B = '/api/batches/B-0412'
const two = batch(
  [page(1, 1), page(2, 1)],
  [doc(1, [1, 2], { vessel: value('doubtful', 'PM-4B21-K', [{ code: 'hardToRead', with: {} }]) })],
)
const none = batch([], [])
const NOW = '2026-11-23T12:00:00Z'
const vessels = { name: 'vessels', columns: ['registration'], rows: 2, faults: [] }
const board = (rows: Schema['Row'][]) => ({ batches: rows, now: '2026-11-23T12:00:00Z' })
const result = (all: Schema['Found'][], archived: number) => ({
  found: all,
  total: all.length,
  understood: [{ from: 0, to: 4, nothing: false, not: false, or: false, text: 'dues', instead: ['dude'] }],
  facets: [{ field: 'type', values: [{ value: 'Letter', documents: 1 }] }],
  archived,
  behind: 3,
  fields: [{ name: 'vessel', title: 'Vessel' }],
})
const opened = (hits: Schema['Hit'][]) => ({
  document: { document: found(1, hits[0] ?? null), hits, path: 'x', versions: [], fields: [] },
  pages: [1, 2].map((no) => ({ no, widthMm: 210, heightMm: 297, lean: 0, repairs: [] })),
  registers: [{ register: 'vessels', version: 3 }],
})
const hour = { at: '2026-11-23T09:00:00Z', stream: 'letters', pages: 12, sheets: 6 }
const day = (hours: (typeof hour)[]) => ({
  received: hours,
  filed: hours,
  titles: { letters: 'Letters' },
  streams: hours.map((h) => ({
    ...{ stream: h.stream, open: 1, openBatches: 1, fields: 200, doubts: 5, documents: 4, untouched: 3 },
  })),
})
const rescan = {
  batch: 'B-0412',
  page: 3,
  rotation: 0,
  stream: 'Letters',
  source: 'upload',
  sheet: 2,
  side: 'front',
  file: 'x.tif',
  filePage: 3,
  words: 'Dear Harbour',
  because: 'corner is missing',
  by: 'M. Tarrow',
}

interface Case {
  view: Component
  main: string
  props?: object
  at?: string
  empty?: [Answers, string]
  full: [Answers, string[]]
}
const views: Record<string, Case> = {
  DayBoard: {
    view: DayBoard,
    main: '/api/board',
    empty: [{ '/api/board': board([]) }, 'No batches yet'],
    full: [
      { '/api/board': board([row({ no: 'B-0412', title: 'Letters', pages: 118, doubts: 6 })]) },
      ['Next for you', '6 doubts in Pages', 'in 2 h 00', 'for a look'],
    ],
  },
  DayView: {
    view: DayView,
    main: '/api/day',
    empty: [{ '/api/day': day([]) }, 'Nothing came in.'],
    full: [{ '/api/day': day([hour]) }, ['12 pages came in, by hour', '6 scanned sheets', '75%', '2.5']],
  },
  Intake: {
    view: Intake,
    main: '/api/streams',
    empty: [
      { '/api/streams': [stream('letters', 'Letters')], '/api/channels': { channels: [], line: {} } },
      'No channel yet.',
    ],
    full: [
      {
        '/api/streams': [stream('letters', 'Letters')],
        '/api/channels': { channels: [channel({})], line: { pages: 80, workers: 2 } },
      },
      ['Letters', '80 pages wait to be read, about 1 min', 'well', 'copier', '4 taken'],
    ],
  },
  PageDesk: {
    view: PageDesk,
    main: B,
    props: { no: 'B-0412' },
    empty: [{ [B]: none }, 'No page of this batch could be read.'],
    full: [{ [B]: two }, ['B-0412', '2 pages, 1 document, 0 doubts', 'Page 1', 'page 1 of 2 in document 1']],
  },
  IndexDesk: {
    view: IndexDesk,
    main: B,
    props: { no: 'B-0412' },
    empty: [{ [B]: none }, 'No document in this batch.'],
    full: [{ [B]: two }, ['Vessel', 'hard to read', '1 value in doubt', 'document 1 of 1']],
  },
  TableDesk: {
    view: TableDesk,
    main: B,
    props: { no: 'B-0412' },
    empty: [{ [B]: none }, 'No document of this batch has fields to fill in.'],
    full: [{ [B]: two }, ['1 value in doubt', '1 document', 'Find and replace']],
  },
  FilingDesk: {
    view: FilingDesk,
    main: B,
    props: { no: 'B-0412' },
    empty: [{ [B]: none, [`${B}/filing`]: plan([]) }, 'No document in this batch.'],
    full: [
      { [B]: two, [`${B}/filing`]: plan([delivery({})]) },
      ['office', '2026/', 'PM-4821-K', 'planned', '2 pages received = 0 filed + 2 open'],
    ],
  },
  Rescans: {
    view: Rescans,
    main: '/api/rescans',
    empty: [{ '/api/rescans': [] }, 'Pages that are asked for again'],
    full: [{ '/api/rescans': [rescan] }, ['sheet 2 front', 'corner is missing', 'Dear Harbour']],
  },
  ArchiveSearch: {
    view: ArchiveSearch,
    main: '/api/archive',
    at: '/archive?q=dues',
    empty: [{ '/api/archive': result([], 0) }, 'The archive is empty.'],
    full: [
      { '/api/archive': result([found(1, hit(1, 'the dues for'))], 9) },
      [
        'Letter 1',
        'Vessel',
        'PM-4821-K',
        '2 pages',
        '1 document',
        'one letter off:dude',
        '3 documents are not taken in',
      ],
    ],
  },
  ArchiveDocument: {
    view: ArchiveDocument,
    main: '/api/archive/1',
    props: { id: '1' },
    at: '/document?q=dues',
    full: [
      { '/api/archive/1': opened([hit(2, 'the dues for')]) },
      [
        'Letter 1',
        'Vessel',
        '1 line with a hit',
        'the dues for on page 2',
        'M. Tarrow',
        'vessels, version 3',
      ],
    ],
  },
  Registers: {
    view: Registers,
    main: '/api/registers',
    empty: [{ '/api/registers': [] }, 'No register yet.'],
    full: [
      {
        '/api/registers': [vessels],
        '/api/registers/vessels': {
          info: vessels,
          columns: [{ column: 'registration', kind: 'number', different: 2 }],
          versions: [{ version: 2, came: 1, went: 0, changed: 3, savedBy: 't.vane', savedAt: NOW }],
        },
        '/api/registers/vessels/rows': { all: 2, rows: [{ registration: 'PM-4821-K' }] },
      },
      ['vessels', '2 rows', 'PM-4821-K', 'looks like numbers', '1 came, 0 went, 3 changed'],
    ],
  },
  People: {
    view: People,
    main: '/api/people',
    empty: [{ '/api/people': [], '/api/groups': [] }, 'No groups yet.'],
    full: [
      {
        '/api/people': [
          { signIn: 'm.tarrow', name: 'M. Tarrow', role: 'operator', groups: [4], locked: false },
          { signIn: 'o.gone', name: 'O. Gone', role: 'reader', groups: [], locked: true },
        ],
        '/api/groups': [{ id: 4, name: 'Personnel' }],
      },
      ['M. Tarrow', 'm.tarrow', 'operator', 'Personnel', '1 person', 'signs in no more', 'in no group'],
    ],
  },
  Retention: {
    view: Retention,
    main: '/api/retention/due',
    empty: [{ '/api/retention/due': [] }, 'Nothing is due'],
    full: [
      { '/api/retention/due': [dueLetters], '/api/retention/due/documents': [dueLetter] },
      ['Dues letter, Dues letters: 1 due', 'PM-4821-K Lind', 'B-0011/5', 'Written on, ', 'as it was read'],
    ],
  },
  Places: {
    view: Places,
    main: '/api/places',
    empty: [{ '/api/places': [] }, 'No place is set up yet.'],
    full: [
      {
        '/api/places': [
          {
            name: 'records-office',
            settings: {
              kind: 'sftp',
              host: 'files.merrow.example',
              port: 22,
              user: 'jalon',
              folder: 'records',
            },
            streams: ['Dues letters'],
            savedBy: 't.vane',
            savedAt: NOW,
          },
        ],
      },
      ['records-office', 'jalon@files.merrow.example:22/records', 'Streams: Dues letters'],
    ],
  },
  Streams: {
    view: Streams,
    main: '/api/streams',
    empty: [{ '/api/streams': [], '/api/day': day([]) }, 'No stream yet.'],
    full: [
      { '/api/streams': [stream('letters', 'Letters')], '/api/day': day([hour]) },
      ['Letters', 'version 3', '12', '75%', '2.5'],
    ],
  },
  Workbench: {
    view: Workbench,
    main: '/api/workbench/letters',
    props: { stream: 'letters' },
    full: [
      {
        '/api/workbench/letters': {
          draft: { stream: 'letters', title: 'Letters', definition: '{}', baseVersion: 3, revision: 0 },
          newest: 3,
        },
      },
      ['Letters', 'version 3, as saved', 'Add samples', 'Drop a few typical pages'],
    ],
  },
}

describe.each(Object.entries(views))('%s', (_, { view, main, props, at, empty, full }) => {
  const open = (answers: Answers) => show(view, { answers, props, at })

  test('says that it waits', async () => {
    const waiting = await open({ ...full[0], [main]: PENDING })
    await vi.waitFor(() => expect(waiting.find('.el-skeleton').exists()).toBe(true))
  })
  test('says what went wrong, and asks again when told to', async () => {
    const answers = { ...full[0], [main]: refused('noSuchBatch', { no: 'B-0412' }) }
    const failed = await open(answers)
    await vi.waitFor(() => expect(failed.find('[role=alert]').text()).toContain('no batch'))
    answers[main] = full[0][main] as never
    await failed.find('[role=alert] button').trigger('click')
    await vi.waitFor(() => expect(failed.text()).toContain(full[1][0]))
    expect(failed.find('[role=alert]').exists()).toBe(false)
  })
  test.runIf(empty)('says that there is nothing, and what to do', async () => {
    const [answers, words] = empty!
    const nothing = await open(answers)
    await vi.waitFor(() => expect(nothing.text()).toContain(words))
  })
  test('shows what there is', async () => {
    const filled = await open(full[0])
    await vi.waitFor(() => {
      for (const words of full[1]) expect(filled.text()).toContain(words)
    })
  })
})

const press = (key: string) => {
  window.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }))
  return flushPromises()
}

describe('the board', () => {
  test('opens what comes next until a row was moved to, and then that row', async () => {
    const rows = [
      row({ no: 'B-1', stage: 'index', dueAt: '2026-11-23T13:00:00Z' }),
      row({ no: 'B-2', stage: 'pages' }),
    ]
    const view = await show(DayBoard, { answers: { '/api/board': board(rows) } })
    await press('Enter')
    expect(view.vm.$router.currentRoute.value.fullPath).toBe('/index/B-1')
    await press('ArrowDown')
    await press('ArrowDown')
    await press('Enter')
    expect(view.vm.$router.currentRoute.value.fullPath).toBe('/pages/B-2')
    expect(view.sent.map(([path]) => path)).toEqual(['/api/batches/B-1/take', '/api/batches/B-2/take'])
  })
})

describe('the Page desk', () => {
  test('of many types shows a list to search, and of few a figure for each', async () => {
    const types = (n: number) =>
      Array.from({ length: n }, (_, i) => ({
        type: `t${i}`,
        title: `Type ${i}`,
        under: [],
        variants: [],
        fields: [],
      }))
    const open = (n: number) =>
      show(PageDesk, {
        answers: { [B]: { ...two, types: types(n) }, [`POST ${B}/decisions`]: two },
        props: { no: 'B-0412' },
      })
    const few = await open(3)
    await press('t')
    expect(few.findAll('.types kbd').map((k) => k.text())).toEqual(['1', '2', '3'])
    await press('2')
    expect(few.sent[0][1]).toEqual({ act: 'nameType', page: 1, type: 't1' })
    few.unmount()
    const many = await open(300)
    await press('t')
    await many.find('.types input').setValue('type 29')
    expect(many.findAll('.types .el-button')).toHaveLength(12)
    await many.find('.types input').trigger('keydown', { key: 'ArrowDown' })
    await many.find('.types input').trigger('keydown', { key: 'Enter' })
    expect(many.sent[0][1]).toEqual({ act: 'nameType', page: 1, type: 't129' })
  })
  test('keeps a reason that the server does not take, and closes once it is taken', async () => {
    const answers: Answers = { [B]: two, [`POST ${B}/decisions`]: refused('beingRead') }
    const view = await show(PageDesk, { answers, props: { no: 'B-0412' } })
    await press('g')
    await view.find('#reason-typed').setValue('the third sheet')
    await view.find('form.asking').trigger('submit')
    await flushPromises()
    expect(view.find<HTMLInputElement>('#reason-typed').element.value).toBe('the third sheet')
    answers[`POST ${B}/decisions`] = two
    await view.find('form.asking').trigger('submit')
    await flushPromises()
    expect(view.find('#reason-typed').exists()).toBe(false)
    expect(view.sent.map(([, body]) => body)).toEqual([
      { act: 'openGap', page: 1, note: 'the third sheet' },
      { act: 'openGap', page: 1, note: 'the third sheet' },
    ])
  })
  test('folds what is known about the page, and says who has the batch', async () => {
    localStorage.clear()
    const view = await show(PageDesk, {
      answers: { [B]: { ...two, free: false, with: 'M. Tarrow' } },
      props: { no: 'B-0412' },
    })
    expect(view.text()).toContain('M. Tarrow has this batch.')
    await press('x')
    expect(view.find('.facts').text()).not.toContain('Page 1')
  })
})

describe('filing', () => {
  test('sends first to the doubts, and files when there are none', async () => {
    const answers = { [B]: { ...two, cutDoubts: 1 }, [`${B}/filing`]: plan([delivery({})]) } as Answers
    const view = await show(FilingDesk, { answers, props: { no: 'B-0412' } })
    await press('Enter')
    expect(view.vm.$router.currentRoute.value.name).toBe('pages')
    view.unmount()
    const ready = await show(FilingDesk, {
      answers: { ...answers, [B]: two, [`POST ${B}/filing`]: plan([delivery({ state: 'done' })], true) },
      props: { no: 'B-0412' },
    })
    await press('Enter')
    await vi.waitFor(() => expect(ready.text()).toContain('What was made'))
    expect(ready.sent).toHaveLength(1)
  })
})

test.each([PageDesk, IndexDesk, TableDesk, FilingDesk])(
  'a desk of a batch that is being read says so',
  async (view) => {
    const reading = { ...none, stage: 'intake' as const, free: false }
    const desk = await show(view, {
      answers: { [B]: reading, [`${B}/filing`]: plan([]) },
      props: { no: 'B-0412' },
    })
    await vi.waitFor(() => expect(desk.text()).toContain('still being read'))
    expect(desk.text()).not.toContain('could be read')
  },
)

describe('a person', () => {
  test('is told what is wrong with a name or password where it is typed', async () => {
    vi.stubGlobal('fetch', async () => new Response('{"detail":"do not go together"}', { status: 401 }))
    document.cookie = 'XSRF-TOKEN=x'
    const view = await show(SignIn, { answers: {} })
    await view.find('form').trigger('submit')
    await vi.waitFor(() => expect(view.find('[role=alert]').text()).toBe('do not go together'))
  })
  test('types a new password twice alike', async () => {
    const view = await show(MyPassword, { answers: {} })
    const [before, after, again] = view.findAll('input[type=password]')
    await before.setValue('old one')
    await after.setValue('a new long password')
    await again.setValue('another long password')
    await view.find('form').trigger('submit')
    expect(view.find('[role=alert]').exists()).toBe(true)
    expect(view.sent).toHaveLength(0)
    await again.setValue('a new long password')
    await view.find('form').trigger('submit')
    await flushPromises()
    expect(view.sent[0][1]).toEqual({ before: 'old one', after: 'a new long password' })
  })
})
