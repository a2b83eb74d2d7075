import type { Schema } from '../api/client'

/** Made-up batches for component tests. */
export function page(
  no: number,
  document: number | null,
  role: Schema['DeskPage']['role'] = 'content',
): Schema['DeskPage'] {
  return {
    no,
    document: document as number,
    role,
    by: '',
    flag: undefined as never,
    file: 'x.tif',
    filePage: no,
    widthMm: 210,
    heightMm: 297,
    lean: 0,
    rotation: 0,
    dpi: 300,
    marks: [],
    sheet: 0,
    side: 'front',
    image: {
      findings: [],
      repairs: [],
      repairedBy: '',
      acceptedBy: '',
      acceptedAt: '',
      askedBecause: '',
      askedBy: '',
    },
    needsEye: false,
  }
}

export function value(
  state: Schema['FieldValue']['state'],
  text: string | undefined,
  reasons: Schema['Reason'][] = [],
): Schema['FieldValue'] {
  return {
    value: text as string,
    state,
    certainty: 0.9,
    page: 1,
    boxMm: [10, 20, 30, 4],
    finder: 'zone',
    reasons,
    candidates: [],
    rows: [],
    alsoFound: [],
    by: '',
  }
}

export function doc(
  no: number,
  pages: number[],
  fields: Record<string, Schema['FieldValue']> = {},
  doubtful = false,
): Schema['DocumentView'] {
  return {
    no,
    pages,
    separator: 0,
    group: 0,
    fields,
    stake: {
      page: pages[0],
      certainty: 1,
      doubtful,
      evidence: [
        {
          rule: 'barcode',
          page: pages[0],
          box: [0, 0, 1, 1],
          why: { code: 'barcode', with: { value: 'PM-4821-K' } },
          score: 1,
        },
      ],
      by: '',
    },
    type: {
      type: 'letter',
      certainty: 1,
      doubtful: false,
      evidence: [],
      guesses: [],
      variant: '',
      variantBy: '',
      by: '',
    },
  }
}

export function batch(
  pages: Schema['DeskPage'][],
  documents: Schema['DocumentView'][],
): Schema['BatchDetail'] {
  return {
    no: 'B-0412',
    tag: 'first',
    since: undefined as never,
    order: pages.map((p) => p.no),
    firsts: documents.map((d) => d.pages[0] ?? 0),
    stream: 'letters',
    streamTitle: 'Letters',
    stage: 'pages',
    filed: false,
    groupTitle: '',
    groups: [],
    source: 'upload',
    continues: null as never,
    madeBy: 'm',
    dueAt: '',
    revision: 0,
    canUndo: false,
    canRedo: false,
    repairedForFiling: true,
    types: [
      {
        type: 'letter',
        title: 'Letter',
        under: [],
        variants: [],
        specimen: undefined as never,
        fields: [{ field: 'vessel', title: 'Vessel', kind: 'text', required: true, mayBeAbsent: true }],
      },
    ],
    pages,
    documents,
    places: [],
    ledger: {
      received: pages.length,
      filed: 0,
      blank: 0,
      separator: 0,
      setAside: 0,
      erased: 0,
      unreadable: 0,
      withdrawn: 0,
      open: pages.length,
    },
    cutDoubts: 0,
    fieldDoubts: 0,
    rejected: [],
    gaps: [],
    counts: {
      expectedPages: 0,
      pages: 0,
      expectedDocuments: 0,
      documents: 0,
      acceptedBy: '',
      because: '',
      differ: false,
    },
    priority: 'normal',
    with: '',
    free: true,
    claims: [],
    onHold: '',
    withdrawn: '',
    sender: '',
    subject: '',
  }
}

/** A row of the board: a batch that anyone may take, due in two hours. */
export const row = (over: Partial<Schema['Row']>) =>
  ({
    no: 'B-0412',
    stream: 'letters',
    title: 'Letters',
    priority: 'normal',
    since: '2026-11-23T11:00:00Z',
    stage: 'pages',
    filing: false,
    free: true,
    mine: false,
    byItself: false,
    dueAt: '2026-11-23T14:00:00Z',
    stageDueAt: undefined,
    ...over,
  }) as unknown as Schema['Row']

const NOON = '2026-11-23T12:00:00Z'

export const stream = (name: string, title: string) =>
  ({ name, title, version: 3, savedBy: 'T. Vane', savedAt: NOON, scan: null }) as unknown as Schema['Listed']

export const channel = (over: object) =>
  ({
    id: 1,
    name: 'copier',
    stream: 'letters',
    settings: { kind: 'folder', folder: '/srv/copier' },
    paused: false,
    lookedAt: NOON,
    nextAt: null,
    taken: 4,
    rejected: 0,
    problem: null,
    problemAt: null,
    ...over,
  }) as unknown as Schema['Channel']

export const found = (id: number, hit: Schema['Hit'] | null): Schema['Found'] => ({
  id,
  batch: 'B-0003',
  stream: 'letters',
  type: 'letter',
  title: `Letter ${id}`,
  version: 1,
  filedBy: 'M. Tarrow',
  pagesHidden: false,
  pageCount: 2,
  fields: [
    { name: 'vessel', title: 'Vessel', value: 'PM-4821-K' },
    { name: 'amount', title: 'Amount', value: '733.25' },
  ],
  hit: hit as never,
  filedAt: NOON,
})

export const hit = (page: number, line: string): Schema['Hit'] => ({
  page,
  line,
  paper: { widthMm: 210, heightMm: 297 },
  box: [20, 40, 120, 5],
  words: [[20, 40, 12, 5]],
})

export const delivery = (over: Partial<Schema['DeskDelivery']>): Schema['DeskDelivery'] => ({
  id: 7,
  destination: 'office',
  path: '2026/PM-4821-K',
  document: 1,
  formats: ['pdf'],
  state: 'planned',
  checked: null as never,
  erased: null as never,
  reason: null as never,
  tries: 0,
  nextAt: '',
  saidBy: '',
  saidWhy: '',
  remedies: [],
  ...over,
})

export const plan = (deliveries: Schema['DeskDelivery'][], begun = false): Schema['Plan'] => ({
  begun,
  deliveries,
  heldBack: [],
  lists: [],
  setAsideBy: [],
  ledger: {
    received: 2,
    filed: begun ? 2 : 0,
    blank: 0,
    separator: 0,
    setAside: 0,
    erased: 0,
    unreadable: 0,
    withdrawn: 0,
    open: begun ? 0 : 2,
  },
})

/** A type of which something is to be kept no longer. */
export const dueLetters = {
  of: { stream: 'letters', streamTitle: 'Dues letters', type: 'letter', typeTitle: 'Dues letter' },
  documents: 1,
  held: 0,
  oldest: '2026-07-16',
}
export const dueLetter = {
  batch: 'B-0011',
  document: 5,
  name: 'PM-4821-K Lind',
  pages: 2,
  archived: 7,
  kept: { field: 'Written on', counted: '2026-01-16', settled: false, lastDay: '2026-07-16' },
  holds: [],
}
