import { flushPromises } from '@vue/test-utils'
import { expect, test } from 'vitest'
import ImportStream from '../parts/ImportStream.vue'
import SamplesPanel from '../parts/SamplesPanel.vue'
import SheetPanel from '../parts/SheetPanel.vue'
import TrialStrip from '../parts/TrialStrip.vue'
import VersionsPanel from '../parts/VersionsPanel.vue'
import WatchPanel from '../parts/WatchPanel.vue'
import { filled, said, type Blank } from '../parts/blanks'
import { refused, screen } from './screen'

const PATCH: Blank = { name: 'patch3', at: 'codes.3', kind: 'choice' }
test('a blank of a rule is filled and emptied, and the rest of the rule stays', () => {
  const rule = { by: 'patch', codes: { '2': 'document' }, sheet: 'dropped' } as const
  const group = filled(rule, PATCH, 'group')
  expect(group).toEqual({ by: 'patch', codes: { '2': 'document', '3': 'group' }, sheet: 'dropped' })
  expect(said(group, PATCH)).toBe('group')
  expect(filled(group, PATCH, '')).toEqual(rule)
  expect(said({ by: 'change' }, { name: 'like', at: 'finder.like', kind: 'text' })).toBeUndefined()
})

const S = '/api/streams/post'
const definition = (every: number) =>
  JSON.stringify({ stream: 'post', title: 'Post', cut: { checkBelow: 0.9, rules: [{ by: 'pages', every }] } })
const begins = (certainty: number) => ({ type: 'Letter', certainty, doubtful: false, evidence: [] })
const trial = {
  pages: [
    { no: 1, rotation: 0, content: true, saved: begins(1), drafted: begins(1) },
    { no: 2, rotation: 0, content: true, drafted: begins(1) },
    { no: 3, rotation: 0, content: true, saved: begins(1) },
  ],
  documents: 2,
  wouldBe: 2,
  doubts: 0,
  doubtsWouldBe: 0,
}

test('stakes that a draft plants and pulls are marked', async () => {
  const view = await screen(TrialStrip, { answers: {}, props: { no: 'B-0007', trial } })
  expect(view.text()).toContain('2 stakes differ')
  expect(view.findAll('.strip li').map((li) => li.classes().join(' '))).toEqual(['', 'new', 'gone'])
  view.unmount()
})

test('samples hang in the tree of types, and a supervisor takes one out', async () => {
  const sample = {
    id: 5,
    batch: 'B-0003',
    page: 4,
    confirmed: { by: 'm.tarrow', at: '2026-11-20T10:00:00Z' },
    standing: 'known',
    picture: false,
  }
  const type = {
    type: 'survey',
    title: 'Survey',
    under: ['Safety', 'Yards'],
    known: 1,
    samples: [sample],
    faults: [],
  }
  const told = {
    types: [type],
    lesson: { version: 3, madeAt: '2026-11-20T10:01:00Z', tried: 9, rightBefore: 8, rightNow: 9 },
  }
  const answers = {
    [`${S}/samples`]: told,
    [`POST ${S}/samples/5`]: {
      ...told,
      types: [{ ...type, samples: [{ ...sample, standing: 'takenOut' }] }],
    },
  }
  const view = await screen(SamplesPanel, { answers, props: { stream: 'post' } })
  await flushPromises()
  expect(view.text()).toContain('of 9 documents left out 9 came out right (8 before)')
  expect(view.findAll('.el-tree-node__content').map((n) => n.text().split(' ')[0])).toEqual([
    'Safety',
    'Yards',
    'Survey',
  ])
  await view.findAll('.el-tree-node__content')[2].trigger('click')
  expect(view.find('.samples').text()).toContain('known by it')
  await view.findAll('.samples .el-button')[0].trigger('click')
  await flushPromises()
  expect(view.sent).toEqual([[`${S}/samples/5`, { what: 'TAKE_OUT' }]])
  expect(view.find('.samples').text()).toContain('taken out')
})

test('a version tells what it changed, and an old one can come back', async () => {
  const answers = {
    [`${S}/versions`]: [
      { version: 2, savedBy: 't.vane', savedAt: '2026-11-20T10:00:00Z' },
      { version: 1, savedBy: 'setup', savedAt: '2026-11-19T10:00:00Z' },
    ],
    [`${S}/versions/1`]: definition(1),
    [`${S}/versions/2`]: definition(2),
    [`${S}/versions/2/changes`]: [
      {
        ...{ how: 'changed', what: 'rule' },
        ...{ before: { by: 'pages', every: 1 }, after: { by: 'pages', every: 2 } },
      },
      { how: 'removed', what: 'field', type: 'Slip', field: 'Sum', before: {} },
      {
        ...{ how: 'removed', what: 'check', type: 'Slip', field: 'No' },
        before: { check: 'like', like: 'A-99' },
      },
      { how: 'added', what: 'field', type: 'Slip', field: 'Day', part: 'required', after: true },
    ],
    'POST /api/streams': { title: 'Post', version: 3 },
  }
  const view = await screen(VersionsPanel, { answers, props: { stream: 'post', title: 'Post' } })
  await flushPromises()
  expect(view.findAll('.changes li').map((li) => li.text())).toEqual([
    expect.stringMatching(/Changed: a cutting rule, every so many pages.*Pages: 1 → 2/),
    'Taken out: the field “Sum” of “Slip”',
    'Taken out: a check of “No” of “Slip”, looks like A-99',
    'New: of “Day” of “Slip”, whether every paper has it',
  ])
  await view.findAll('input[type=radio]')[1].setValue()
  await flushPromises()
  await view.findAll('.acts .el-button')[0].trigger('click')
  await flushPromises()
  expect(JSON.parse((view.sent[0][1] as { json: string }).json).cut.rules).toEqual([
    { by: 'pages', every: 1 },
  ])
})

test('what was corrected leads to the rule, on the paper that it was corrected on', async () => {
  const at = { batch: 'B-0012', document: 3 }
  const answers = {
    [S]: { types: [{ type: 'slip', title: 'Slip', fields: [{ field: 'sum', title: 'Sum' }] }] },
    [`${S}/watch`]: {
      weeks: [{ from: '2026-11-23', documents: 8, untouched: 6, values: 40, doubts: 3, sureWrong: 1 }],
      causes: [{ reason: 'hardToRead', doubts: 3, needless: 2 }],
      corrected: [
        { type: 'slip', field: 'sum', finder: 'label', looked: 3, wrong: 1, sureWrong: 1, latest: [at] },
      ],
      drifting: [{ type: 'slip', badly: 5, of: 10, badlyBefore: 0, ofBefore: 30, latest: [at] }],
    },
  }
  const drifting = {
    title: 'Slip of crates',
    papers: [
      { ...at, page: 7 },
      { ...at, document: 4, page: 9 },
    ],
  }
  const view = await screen(WatchPanel, {
    answers: {
      ...answers,
      '/api/workbench/post/types/slip/drifting': [drifting, { papers: [{ ...at, document: 5, page: 11 }] }],
      'POST /api/workbench/post/layouts': { batch: 'B-0900', page: 3 },
    },
    props: { stream: 'post', title: 'Post' },
  })
  await flushPromises()
  expect(view.text()).toContain('2 papers look alike, headed “Slip of crates”')
  expect(view.text()).toContain('one paper, like no other')
  const forms = view.findAll('form')
  expect(forms).toHaveLength(1)
  await forms[0].find('input').setValue('Slip of 2027')
  await forms[0].trigger('submit')
  await flushPromises()
  expect(view.sent.at(-1)).toEqual([
    '/api/workbench/post/layouts',
    { title: 'Slip of 2027', papers: drifting.papers },
  ])
  expect(view.text()).toContain('Of the last 10 documents 5 were half in doubt')
  expect(view.text()).toMatch(/75%7.5/)
  const rule = view.findAll('a').find((a) => a.text() === '“Sum” of “Slip”, by a label')!
  expect(rule.attributes('href')).toBe('/workbench/post?batch=B-0012&document=3&type=slip&field=sum')
  view.unmount()
})

test('only sheets that the stream would know are printed', async () => {
  const stream = { name: 'post', title: 'Post', sheets: ['header', 'group'] }
  const view = await screen(SheetPanel, { answers: { '/api/registers': [] }, props: { stream } })
  expect(view.find('a').attributes('href')).toBe('/api/streams/post/header-sheet?paper=A4')
  await view.find('input').setValue('12')
  expect(view.text()).toContain('Batch header')
})

test('what is brought in is a draft, and under another title where somebody is changing one of its name', async () => {
  const view = await screen(ImportStream, {
    answers: { 'POST /api/workbench/import': refused('draftIsThere', { title: 'Post', who: 'I. Ravenel' }) },
  })
  const bring = view.vm as unknown as { bring: (file: File) => Promise<void> }
  await bring.bring(new File(['PK'], 'post-3.zip'))
  await flushPromises()
  expect(view.text()).toContain('I. Ravenel is changing Post here already')
  view.answers['POST /api/workbench/import'] = {
    ...{ stream: 'other-post', title: 'Other post', samples: 4 },
    missing: { vessels: ['owner', 'registration'] },
  }
  await view.find('input').setValue('Other post')
  await view.find('form').trigger('submit')
  await flushPromises()
  expect(view.text()).toContain('Other post is here as a draft, with 4 sample pages')
  expect(view.text()).toContain('vessels (owner, registration)')
  expect(view.find('a').attributes('href')).toBe('/workbench/other-post')
})
