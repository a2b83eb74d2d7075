import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Box } from '../api/client'
import {
  addWay,
  has,
  namedLayout,
  nameFor,
  take,
  type Draft,
  type DraftType,
  type Proposed,
} from '../parts/draft'
import Workbench from '../views/Workbench.vue'
import { value } from './fixtures'
import { refused, screen, type Answers } from './screen'

const proposed = (what: 'stream' | 'cut' | 'type' | 'field', part: object, type?: string) =>
  ({
    proposal: { what, type, part, why: {}, seen: [{ page: 2, box: [1, 2, 3, 4] }] },
    why: 'so',
  }) as unknown as Proposed
const CUT = proposed('cut', { by: 'words', must: ['Permit'] })
const TYPE = proposed('type', { type: 'permit', title: 'Permit', default: true }, 'permit')
const FIELD = proposed('field', { field: 'fee', title: 'Fee', kind: 'amount' }, 'permit')
const begun = (): Draft => ({
  stream: 'permits',
  title: 'Permits',
  types: [{ type: 'paper', title: 'Paper', default: true }],
})

test('what is proposed is taken once, a field with its type, and the blank type gives way', () => {
  const draft = begun()
  take(draft, FIELD, [CUT, TYPE, FIELD])
  take(draft, FIELD, [CUT, TYPE, FIELD])
  expect(draft.types).toEqual([
    { type: 'permit', title: 'Permit', default: true, fields: [FIELD.proposal.part] },
  ])
  expect([CUT, TYPE, FIELD].map((p) => has(draft, p))).toEqual([false, true, true])
  take(draft, proposed('type', { type: 'other', default: true }, 'other'), [])
  expect(draft.types!.filter((t) => t.default)).toHaveLength(1)
  expect(nameFor('Füß & Kü 1', draft.types![0])).toBe('fu-ku-1')
  expect(nameFor('Fee', draft.types![0])).toBe('fee-2')
})

test('what holds for all papers is said of the stream, and what else is said there stays', () => {
  const draft = { ...begun(), intake: { dueMinutes: 60 } } as Draft
  const size = proposed('stream', { intake: { scan: { size: 'A5' } } })
  expect(has(draft, size)).toBe(false)
  take(draft, size, [])
  expect(draft.intake).toEqual({ dueMinutes: 60, scan: { size: 'A5' } })
  expect(has(draft, size)).toBe(true)
})

const paper = (first: number, fields: object, saved = {}) => ({
  pages: [first],
  type: 'permit',
  title: 'Permit',
  doubtful: false,
  values: fields,
  saved,
})
const sheet = (no: number) => ({ no, rotation: 0, widthMm: 210, heightMm: 297, lean: 0, content: true })
const trial = {
  pages: [sheet(1), sheet(2)],
  documents: 2,
  wouldBe: 2,
  doubts: 0,
  doubtsWouldBe: 0,
  unread: 0,
  wrong: [],
  worse: 0,
  papers: [
    paper(1, { fee: value('sure', '73.40') }, { fee: '78.40' }),
    paper(2, { fee: value('doubtful', '84.40', [{ code: 'hardToRead', with: {} }]) }, { fee: '84.40' }),
  ],
}
const definition = () => {
  const draft = begun()
  take(draft, FIELD, [TYPE, FIELD])
  return JSON.stringify(draft)
}
const kept = (json: string, revision: number) => ({
  ...{ stream: 'permits', title: 'Permits', definition: json, baseVersion: 3, revision },
  ...{ keptBy: 'T. Vane', keptAt: '2026-11-23T12:00:00Z' },
})
const W = '/api/workbench/permits'
const open = (answers: Answers = {}) =>
  screen(Workbench, {
    answers: {
      [W]: { draft: kept(definition(), 4), newest: 3, samples: 'B-0900' },
      [`POST ${W}/try`]: trial,
      [`${W}/proposals`]: [CUT, TYPE, FIELD],
      [`PUT ${W}`]: kept(definition(), 5),
      [`POST ${W}/changes`]: [],
      [`POST ${W}/steps`]: {},
      [`POST ${W}/try-paper`]: [],
      [`${W}/replay`]: '',
      '/api/board': { batches: [] },
      ...answers,
    },
    props: { stream: 'permits' },
  })
const press = (key: string) => {
  window.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }))
  return flushPromises()
}
beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})
const settled = async () => {
  await vi.advanceTimersByTimeAsync(2000)
  await flushPromises()
}

test('every paper is shown with every field, doubts first, and what is other than saved is marked', async () => {
  const view = await open()
  expect(
    view
      .findAll('button')
      .find((b) => b.text().startsWith('Undo'))!
      .attributes('disabled'),
  ).toBe('')
  const rows = view.findAll('.area-table tbody tr')
  expect(rows.map((r) => r.text())).toEqual([
    expect.stringContaining('84.40'),
    expect.stringMatching(/73\.40.*was 78\.40/),
  ])
  expect(rows[0].find('td').classes()).toContain('doubt')
  expect(rows[1].find('td').classes()).toContain('other')
  view.unmount()
})

test('what is right on a sample is said by key, and what is other is crossed, first and with both values', async () => {
  const right = { ...trial, papers: [{ ...trial.papers[0], right: { fee: '73.44' } }, trial.papers[1]] }
  const cut = { what: 'cut', page: 2, confirmed: 'continues', after: 'begins', afterDid: 'sureAndWrong' }
  const view = await open({ [`POST ${W}/try`]: { ...right, wrong: [cut], worse: 1 }, [`PUT ${W}/right`]: {} })
  const first = view.find('.area-table tbody tr')
  expect(first.text()).toMatch(/73\.40.*right is 73\.44/)
  expect(view.find('.area-table .misplaced').text()).toContain('Page 2: the paper goes on there')
  await press('c')
  const saidOf = () => view.sent.filter(([path]) => path === `${W}/right`).at(-1)![1]
  expect(saidOf()).toEqual({ pages: [1], type: 'permit', values: { fee: '73.40' } })
  await press('e')
  const form = view.find('.area-says form')
  expect((form.find('input').element as HTMLInputElement).value).toBe('73.44')
  await form.find('input').setValue(' 78.40 ')
  await form.trigger('submit')
  await flushPromises()
  expect(saidOf()).toEqual({ pages: [1], type: 'permit', values: { fee: '78.40' } })
  await press('g')
  expect(view.text()).toContain('one thing is other than what was said to be right')
  view.unmount()
})

test('a proposal is taken by its key, tried and kept; what is taken back is kept as well', async () => {
  const view = await open()
  await press('p')
  expect(view.find('.list .now').text()).toContain('Words')
  await press('t')
  await settled()
  const put = () => view.sent.filter(([path, body]) => path === W && (body as { json?: string }).json)
  const [, body] = put().at(-1)! as [string, { json: string; revision: number }]
  expect(body.revision).toBe(4)
  expect(JSON.parse(body.json).cut.rules).toEqual([CUT.proposal.part])
  expect(view.text()).toContain('Nothing more is proposed.')
  await press('z')
  await settled()
  expect(JSON.parse((put().at(-1)![1] as { json: string }).json).cut).toBeUndefined()
  view.unmount()
})

test('who is told that somebody else has changed the draft writes over nothing', async () => {
  const view = await open({ [`PUT ${W}`]: refused('draftChanged', { who: 'I. Ravenel' }) })
  await press('p')
  await press('t')
  await settled()
  expect(view.text()).toContain('I. Ravenel has changed this draft')
  const before = view.sent.length
  await press('z')
  await settled()
  expect(view.sent.slice(before).map(([path]) => path)).not.toContain(W)
  view.unmount()
})

test('a word of the page is asked about by a click, and with Shift the next one with it', async () => {
  const words = [
    { text: 'Sum', box: [20, 50, 9, 3], certainty: 0.9 },
    { text: 'owed', box: [30, 49, 10, 4], certainty: 0.9 },
  ]
  const answer = (box: number[]) => ({ text: 'Sum', place: { boxMm: box, anchors: [] }, ways: [] })
  const view = await open({
    [`POST ${W}/box`]: answer([20.6, 51, 9, 3]),
    '/api/batches/B-0900/pages/1/words': words,
  })
  const viewer = view.findComponent({ name: 'PageViewer' })
  expect(viewer.props('words')).toEqual(words)
  viewer.vm.$emit('word', 0, false)
  await flushPromises()
  viewer.vm.$emit('word', 1, true)
  await flushPromises()
  expect(
    view.sent.filter(([path]) => path === `${W}/box`).map(([, body]) => (body as { box: number[] }).box),
  ).toEqual([
    [20, 50, 9, 3],
    [20, 49, 20, 4],
  ])
  view.unmount()
})

test('a box drawn on the page is asked about, and found on other papers by what does best there', async () => {
  const near = { by: 'shape', like: '99.99', near: ['sum of'] }
  const zone = { by: 'zone', boxMm: [10, 20, 30, 5] }
  const way = (how: string, finder: object, values: string[]) => ({
    ...{ how, clear: values.length, of: 2, values, part: { kind: 'amount', finders: [finder] } },
  })
  const drawn = {
    text: '73.40',
    place: { boxMm: [10, 20, 30, 5], anchors: [{ text: 'Permit', boxMm: [1, 2, 3, 4] }] },
    ways: [way('form', near, ['73.40', '84.40']), way('place', zone, ['73.40'])],
  }
  const view = await open({ [`POST ${W}/box`]: drawn })
  const box = async (title: string, choose?: number) => {
    view.findComponent({ name: 'PageViewer' }).vm.$emit('box', [10, 20, 30, 5])
    await flushPromises()
    const form = view.find('.area-says form')
    if (choose !== undefined) await form.findAll('input[type=radio]')[choose].setValue(true)
    await form.find('input[type=text]').setValue(title)
    const said = form.text()
    await form.trigger('submit')
    await settled()
    return said
  }
  const type = () => {
    const put = view.sent.filter(([path, body]) => path === W && (body as { json?: string }).json).at(-1)!
    return JSON.parse((put[1] as { json: string }).json).types[0]
  }
  const said = await box('Sum owed')
  expect(said).toContain('A value written like “73.40”, near “sum of”: 99.99')
  expect(said).toContain('clear on 2 of 2 papers')
  expect(said).toContain('73.40 · 84.40')
  expect(type().layout).toBeUndefined()
  expect(type().fields.at(-1)).toEqual({
    ...{ field: 'sum-owed', title: 'Sum owed', kind: 'amount', finders: [near] },
  })
  expect(await box('sum owed', 1)).toContain('one more way to find it')
  expect(type().layout).toEqual({ anchors: drawn.place.anchors })
  expect(type().fields.at(-1).finders).toEqual([near, zone])
  view.unmount()
})

test('a place on a layout that somebody named is that of the layout alone, and comes first', () => {
  const its = {
    type: 'slip',
    fields: [{ field: 'sum', title: 'Sum', finders: [{ by: 'zone' }] }],
  } as DraftType
  const way = {
    how: 'place',
    clear: 1,
    of: 1,
    values: [],
    part: { finders: [{ by: 'zone', boxMm: [1, 2, 3, 4] }] },
  }
  const place = { boxMm: [1, 2, 3, 4] as Box, anchors: [{ text: 'Sum', boxMm: [0, 0, 1, 1] as Box }] }
  addWay(its, 'Sum', way as never, place, namedLayout('Edition of 2027'))
  addWay(its, 'Sum', way as never, place, namedLayout('Edition of 2027'))
  expect(its.layout).toEqual({ anchors: [{ text: 'Sum', boxMm: [0, 0, 1, 1], variant: 'Edition of 2027' }] })
  expect(its.fields![0].finders!.map((f) => f.variant)).toEqual([
    'Edition of 2027',
    'Edition of 2027',
    undefined,
  ])
  expect(namedLayout('2')).toBeUndefined()
})

const tally = (sureAndRight: number, inDoubt: number, sureAndWrong: number) => ({
  ...{ sureAndRight, inDoubt, sureAndWrong },
})
const replayed = (batch: string, places: object[]) => ({
  batch,
  ...{ seconds: 1.2, secondsBefore: 0.8 },
  compared: [{ what: 'value', before: tally(9, 1, 0), after: tally(8, 1, 1) }],
  places,
})
const place = (more: object) => ({
  ...{ what: 'value', page: 4, field: 'fee', confirmed: '84.40', before: '84.40', beforeDid: 'sureAndRight' },
  ...{ after: '34.40', afterDid: 'sureAndWrong', better: false, worse: true, ...more },
})

test('a draft is held against what people confirmed, and one that is worse goes live with a reason only', async () => {
  const found = replayed('B-0007', [
    place({
      page: 2,
      beforeDid: 'inDoubt',
      after: '84.40',
      afterDid: 'sureAndRight',
      better: true,
      worse: false,
    }),
    place({}),
  ])
  const progress = (done: object[], running: boolean) => ({
    ...{ definition: definition(), of: 2, erased: 1, done, running },
  })
  const view = await open({ [`POST ${W}/replay`]: progress([found], true) })
  await press('r')
  await flushPromises()
  expect(view.text()).toContain('1 of 2 batches')
  // It goes on by itself, and is looked at again.
  view.answers[`${W}/replay`] = progress([found, { ...found, batch: 'B-0006' }], false)
  await settled()
  expect(view.find('.area-says').text()).toContain('One more was filed and is left out')
  expect(view.text()).toContain('2 of 2 batches')
  expect(view.findAll('.counts tbody tr').at(-1)!.text()).toMatch(/Values\s*2\s*2\s*16\s*2 → 2\s*0 → 2/)
  expect(view.findAll('.places li')[0].text()).toMatch(/page 4.*fee.*worse.*34\.40 \(sure and wrong\)/)
  await press('g')
  const save = () => view.find('.panel-box button[type=submit]').attributes('disabled')
  expect(view.text()).toContain('It does 2 places worse')
  expect(save()).toBeDefined()
  await view.find('.panel-box form input').setValue('the old edition is not in use any more')
  expect(save()).toBeUndefined()
  view.unmount()
})

test('a field is read, tidied and held against its checks in sentences, with the value after each step', async () => {
  const steps = { read: 'fl73.4O', steps: [{ value: '73.4O' }, { value: '73.4O', problem: 'No amount.' }] }
  const view = await open({
    [`POST ${W}/steps`]: steps,
    '/api/registers': [
      { name: 'vessels', columns: ['owner', 'name'] },
      { name: 'berths', columns: ['berth'] },
    ],
  })
  const link = (text: string) => view.findAll('button').find((b) => b.text() === text)!
  await link('Fee').trigger('click')
  await settled()
  const says = () => view.find('.area-says').text()
  expect(says()).toContain('“fl73.4O”')
  expect(says()).toContain('As its kind has it: No amount.')
  // The piece of paper of every paper beside what is read there.
  expect(view.findAll('.area-says section li').map((li) => li.text())).toEqual([
    expect.stringMatching(/page 1\s*73\.40/),
    expect.stringMatching(/page 2\s*84\.40/),
  ])
  view.findAllComponents({ name: 'AddOne' }).at(1)!.vm.$emit('add', 'drop')
  await settled()
  const put = view.sent.filter(([path, body]) => path === W && (body as { json?: string }).json).at(-1)!
  const draft = JSON.parse((put[1] as { json: string }).json)
  expect(draft.types[0].fields[0].tidy).toEqual([{ do: 'drop', characters: ' ' }])
  expect(says()).toContain('“73.4O”')
  view.findAllComponents({ name: 'AddOne' }).at(2)!.vm.$emit('add', 'inRegister')
  await settled()
  const offered = (label: string) => {
    const blank = view
      .findAllComponents({ name: 'SentenceBlank' })
      .find((b) => b.props('blank').name === label)!
    return blank.findAllComponents({ name: 'ElOption' }).map((o) => o.props('label'))
  }
  expect(offered('register')).toEqual(['berths', 'vessels'])
  view
    .findAllComponents({ name: 'SentenceBlank' })
    .find((b) => b.props('blank').name === 'register')!
    .vm.$emit('put', 'vessels')
  await settled()
  expect(offered('column')).toEqual(['name', 'owner'])
  view.unmount()
})

test('what is said of a stream as a whole is filled in, and taken back as one act', async () => {
  const view = await open()
  const tab = (name: string) => view.findAll('[role=tab]').find((x) => x.text() === name)!
  await tab('Pages').trigger('click')
  await settled()
  const blank = view.find('.area-says input[aria-label="Minutes until it is due"]')
  await blank.setValue('90')
  await blank.trigger('change')
  await settled()
  const draft = () => {
    const put = view.sent.filter(([path, body]) => path === W && (body as { json?: string }).json).at(-1)!
    return JSON.parse((put[1] as { json: string }).json)
  }
  expect(draft().intake).toEqual({ dueMinutes: 90 })
  await press('z')
  await settled()
  expect(draft().intake).toBeUndefined()
  view.unmount()
})

test('the place of a field is moved and sized by keys', async () => {
  const zoned = begun()
  zoned.types = [
    {
      type: 'permit',
      fields: [{ field: 'fee', title: 'Fee', finders: [{ by: 'zone', boxMm: [20, 30, 40, 0.5] }] }],
    },
  ]
  const view = await open({ [W]: { draft: kept(JSON.stringify(zoned), 4), newest: 3, samples: 'B-0900' } })
  await view
    .findAll('button')
    .find((b) => b.text() === 'Fee')!
    .trigger('click')
  // What is read there now shows before all papers are tried again.
  view.answers[`POST ${W}/try-paper`] = [paper(1, { fee: value('sure', '99.99') })]
  const arrow = (key: string, shiftKey = false) =>
    window.dispatchEvent(new KeyboardEvent('keydown', { key, ctrlKey: true, shiftKey, cancelable: true }))
  arrow('ArrowRight')
  await flushPromises()
  expect(view.find('.area-table').text()).toContain('99.99')
  arrow('ArrowUp')
  arrow('ArrowRight', true)
  arrow('ArrowUp', true)
  await settled()
  const put = view.sent.filter(([path, body]) => path === W && (body as { json?: string }).json).at(-1)!
  const its = JSON.parse((put[1] as { json: string }).json).types[0].fields[0].finders[0]
  expect(its.boxMm).toEqual([20.5, 29.5, 40.5, 0.5])
  view.unmount()
})
