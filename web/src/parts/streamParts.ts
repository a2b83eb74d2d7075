import { BARCODES, box, choice, known, number, pairs, parts, phrases, some, text, yes } from './blanks'
import type { Blank, PartKind } from './blanks'

const words = 'streamParts'
const MEASURES = [
  ...[
    'skew',
    'upright',
    'blur',
    'contrast',
    'darkness',
    'uneven',
    'specks',
    'edge',
    'holes',
    'corner',
    'cutOff',
  ],
  ...['compression', 'resolution', 'fineness', 'shortSide', 'longSide', 'length', 'repeat'],
] as const
const FORMATS = [
  ...['pdf', 'pdfData', 'pdfCompact', 'tiff', 'png', 'jpeg', 'text', 'docx', 'xml', 'alto', 'csv', 'json'],
] as const
const STAGES = ['intake', 'pages', 'index', 'filing'] as const
const one = (part: string, blanks: Blank[], make: PartKind['make'], more?: Blank[]): PartKind => ({
  blanks: { one: blanks },
  ...(more && { more: { one: more } }),
  ...{ sentence: `streamParts.${part}`, named: `streamParts.${part}`, words, add: `streamParts.add.${part}` },
  make,
})

const REPAIRS: PartKind = {
  by: 'do',
  blanks: {
    straighten: [],
    whitenEdges: [],
    fillHoles: [],
    cleanSpecks: [],
    evenLight: [],
    levels: [number('brightness'), number('contrast')],
    sharpen: [],
    dropColour: [choice('colour', 'repair.colours', ['red', 'green', 'blue', 'any'])],
    bitonal: [],
  },
  ...{ sentence: 'streamParts.repair', named: 'repair', words, add: 'streamParts.add.repair' },
  make: (step) => (step === 'dropColour' ? { do: step, colour: 'any' } : { do: step }),
}

export const DESTINATIONS = one(
  'destination',
  [
    text('destination'),
    choice('to', 'to', ['archive', 'folder', 'place']),
    text('folder', 'folder', { wide: true }),
    text('file', 'file', { wide: true }),
    some('formats', 'filing.formats', FORMATS),
    choice('taken', 'taken', ['number', 'refuse', 'version', 'append']),
  ],
  () => ({
    destination: 'archive',
    to: 'archive',
    folder: '{type}',
    file: '{batch}-{no:000}',
    formats: ['pdf'],
  }),
  [known('place', 'places'), choice('list', 'list', ['folder', 'day']), pairs('properties', 'text')],
)

/** What is said of a stream beside its cutting rules and its types: sentences by where they are shown. */
export const STREAM = {
  pages: {
    called: [text('title', 'title', { wide: true })],
    language: [text('language')],
    blank: [
      choice('blank', 'blankPages', ['setAside', 'keep'], 'pages.blank'),
      number('share', 'pages.blankInkShare'),
    ],
    barcodes: [
      some('kinds', 'rules.barcode', BARCODES, 'pages.barcodes.kinds'),
      box('where', 'pages.barcodes.where'),
    ],
    placeholder: [text('placeholder', 'pages.placeholder')],
    limits: [pairs('limits', 'number', 'pages.limits', { choices: MEASURES, words: 'image.kinds' })],
    repairs: [
      parts('repairs', REPAIRS, 'pages.repairs'),
      choice('repairFor', 'repairFor', ['reading', 'filing', 'both'], 'pages.repairFor'),
    ],
    due: [
      number('dueMinutes', 'intake.dueMinutes'),
      choice('priority', 'priority', ['normal', 'high', 'urgent'], 'intake.priority'),
      number('raise', 'intake.raiseMinutesBefore'),
    ],
    stages: STAGES.map((stage) => number(stage, `intake.stageMinutes.${stage}`)),
    tell: [phrases('tell', 'intake.tell')],
    scan: [
      number('dpi', 'intake.scan.dpi'),
      choice('colour', 'colour', ['bitonal', 'grey', 'colour'], 'intake.scan.colour'),
      yes('duplex', null, 'intake.scan.duplex'),
      choice('size', 'size', ['A4', 'A5', 'Letter'], 'intake.scan.size'),
    ],
  },
  cut: {
    cut: [
      number('checkBelow', 'cut.checkBelow'),
      yes('sides', false, 'cut.duplex'),
      yes('backs', false, 'cut.beginOnBacks'),
    ],
    groups: [text('group', 'cut.groups.title')],
  },
  filing: {
    by: [choice('by', 'filedBy', ['person', 'itself'], 'filing.by'), number('audit', 'filing.audit')],
    report: [
      phrases('report', 'filing.report'),
      choice('every', 'reportEvery', ['batch', 'day'], 'filing.reportEvery'),
    ],
    destinations: [parts('destinations', DESTINATIONS)],
  },
} satisfies Record<string, Record<string, Blank[]>>

const ANCHORS = one('anchor', [text('text'), box('boxMm'), text('variant')], () => ({
  text: '',
  boxMm: [20, 20, 20, 4],
}))

/** What is said of a type beside its fields. */
export const TYPE = {
  words: [phrases('must', 'words.must'), phrases('mustNot', 'words.mustNot'), yes('default')],
  asked: [number('typeBelow', 'checkBelow'), yes('confidential'), phrases('under')],
  keep: [
    number('years', 'keep.years'),
    number('months', 'keep.months'),
    known('keepFrom', 'fields', 'keep.from'),
    choice('ends', 'ends', ['day', 'yearEnd'], 'keep.ends'),
  ],
  layout: [parts('anchors', ANCHORS, 'layout.anchors')],
} satisfies Record<string, Blank[]>
