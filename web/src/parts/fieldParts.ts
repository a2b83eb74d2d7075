import { BARCODES, box, choice, fields, known, number, pairs, parts, phrases, text, yes } from './blanks'
import type { Blank, PartKind } from './blanks'
import type { Part } from './draft'

const PAGE: Blank = { name: 'page', at: 'page', kind: 'page' }
const VARIANT = known('variant', 'layouts')
const NOT_ON_LINES = phrases('notOnLinesWith')
const words = 'fieldParts'

export const FIELD_KINDS = [
  'text',
  'number',
  'amount',
  'date',
  'time',
  'choice',
  'yesNo',
  'code',
  'name',
  'address',
] as const

const TICK_BOXES: PartKind = {
  blanks: { one: [box('boxMm'), text('means'), number('printed')] },
  ...{ sentence: 'fieldParts.tickBox', named: 'fieldParts.tickBox', words, add: 'fieldParts.add.tickBox' },
  make: () => ({ boxMm: [20, 20, 4, 4], means: '' }),
}

/** The ways to find a value, each with its blanks in the order of the sentence. */
export const FINDERS: PartKind = {
  by: 'by',
  blanks: {
    label: [choice('side', 'side', ['beside', 'below', 'above', 'left', 'nearest']), phrases('labels')],
    shape: [text('like'), phrases('near')],
    zone: [box('boxMm'), choice('only', 'only', ['digits', 'capitals', 'capitalsAndDigits'], 'read.only')],
    barcode: [choice('kind', 'rules.barcode', BARCODES), text('like')],
    ticks: [parts('boxes', TICK_BOXES), text('none')],
    register: [
      known('take', 'columns'),
      known('register', 'registers'),
      known('column', 'columns'),
      known('from', 'fields'),
    ],
    fields: [text('text'), text('pattern'), pairs('means', 'text')],
    inherited: [
      choice('from', 'from', [
        'sender',
        'subject',
        'sentOn',
        'fileName',
        'station',
        'operator',
        'batch',
        'group',
      ]),
      text('take'),
      text('pattern'),
    ],
    fixed: [text('value', 'value', { empty: true })],
  },
  more: {
    label: [PAGE, choice('holds', 'holds', ['line', 'block']), NOT_ON_LINES],
    shape: [text('pattern'), PAGE, box('where'), number('hit'), yes('overLines'), NOT_ON_LINES],
    zone: [
      PAGE,
      choice('holds', 'holds', ['word', 'line', 'block']),
      text('characters', 'read.characters'),
      VARIANT,
    ],
    barcode: [text('pattern'), PAGE, box('where'), number('hit'), number('quality')],
    ticks: [PAGE, VARIANT],
    register: [yes('wholeGroup')],
  },
  ...{ sentence: 'fieldParts.finder', named: 'fieldParts.named.finder', words, add: 'fieldParts.add.finder' },
  make: newFinder,
}

/** A new one of a kind. */
function newFinder(by: string): Part {
  switch (by) {
    case 'label':
      return { by, labels: [] }
    case 'shape':
      return { by, like: '' }
    case 'zone':
      return { by, boxMm: [20, 20, 80, 10] }
    case 'ticks':
      return { by, boxes: [TICK_BOXES.make!('one')] }
    case 'inherited':
      return { by, from: 'fileName' }
    case 'fields':
      return { by, text: '' }
    case 'fixed':
      return { by, value: '' }
    default:
      return { by }
  }
}

export const TIDY: PartKind = {
  by: 'do',
  blanks: {
    trim: [],
    case: [choice('to', 'to', ['upper', 'lower'])],
    replace: [text('what'), text('with', 'with', { empty: true })],
    keep: [text('characters')],
    drop: [text('characters')],
    pad: [number('length'), text('with')],
    date: [choice('order', 'order', ['dayFirst', 'monthFirst'])],
    amount: [],
    time: [],
  },
  ...{ sentence: 'fieldParts.tidy', named: 'fieldParts.named.tidy', words, add: 'fieldParts.add.tidy' },
  make(step) {
    switch (step) {
      case 'case':
        return { do: step, to: 'upper' }
      case 'replace':
        return { do: step, what: '/', with: '-' }
      case 'keep':
        return { do: step, characters: '0123456789' }
      case 'drop':
        return { do: step, characters: ' ' }
      case 'pad':
        return { do: step, length: 6, with: '0' }
      default:
        return { do: step }
    }
  },
}

const CHECK_DIGITS = [
  ...[
    'mod10',
    'mod11',
    'mod11-2',
    'mod37-2',
    'mod97-10',
    'mod11-10',
    'mod27-26',
    'mod37-36',
    'iban',
    'weights',
  ],
] as const

export const CHECKS: PartKind = {
  by: 'check',
  blanks: {
    like: [text('like')],
    matches: [text('pattern')],
    length: [number('least'), number('most')],
    date: [
      choice('role', 'role', ['birth', 'written', 'due', 'period']),
      yes('future', null),
      number('yearsBack'),
    ],
    range: [number('least'), number('most')],
    oneOf: [phrases('values')],
    inRegister: [known('register', 'registers'), known('column', 'columns')],
    checkDigit: [
      choice('by', 'digits', CHECK_DIGITS),
      phrases('weights', 'weights', 'number'),
      number('modulus'),
    ],
    sum: [fields('of'), fields('less')],
    after: [known('field', 'fields'), number('least'), number('most')],
    sameAs: [known('field', 'fields')],
    onceInBatch: [],
    notFiledBefore: [fields('with')],
  },
  ...{ sentence: 'fieldParts.check', named: 'fieldParts.named.check', words, add: 'fieldParts.add.check' },
  make: (check) => (check === 'checkDigit' ? { check, by: 'mod10' } : { check }),
}

/** What is said of a field beside its name, its kind and its parts. */
export const FIELD_MORE: Blank[] = [
  yes('mayBeAbsent', true),
  yes('several'),
  yes('ranked'),
  yes('confidential'),
  number('sureFrom'),
]
export const CHOICES: Blank[] = [pairs('choices', 'phrases')]

/** What a finder says in brief: its labels, or the form that a value has and what it stands near to. */
export function formOf(part: Part) {
  const finder = ((part.finders as Part[] | undefined) ?? [{}])[0]
  const list = (value: unknown) => ((value as string[] | undefined) ?? []).join(', ')
  return {
    ...{ labels: list(finder.labels), near: list(finder.near) },
    ...{ like: String(finder.like ?? part.kind ?? '') },
  }
}
