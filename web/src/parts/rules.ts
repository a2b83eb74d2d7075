import { BARCODES, box, choice, number, phrases, text, type Blank, type PartKind } from './blanks'
import { FINDERS } from './fieldParts'

/** A cutting rule as the stream's definition has it. */
export type Rule = { by: RuleKind } & Record<string, unknown>

const OPENS = choice('opens', 'opens', ['document', 'group', 'batch'])
const SHEET = choice('sheet', 'sheet', ['kept', 'dropped'])
const MEANINGS = ['document', 'group', 'batch', 'flag', 'nothing'] as const
const PATCHES = ['1', '2', '3', '4', '6', 'T'] as const
const { zone, barcode, shape, label } = FINDERS.blanks

/** The blanks of each kind of rule, in the order in which its sentence is read. */
const BLANKS = {
  barcode: [OPENS, choice('kind', 'barcode', BARCODES), text('like'), SHEET],
  patch: [...PATCHES.map((p) => choice(`patch${p}`, 'meaning', MEANINGS, `codes.${p}`)), SHEET],
  words: [OPENS, choice('on', 'on', ['first', 'last']), phrases('must'), phrases('mustNot'), SHEET],
  pages: [number('every')],
  file: [],
  numbering: [],
  blank: [],
  specimen: [],
  change: [
    {
      ...{ name: 'finder', at: 'finder', kind: 'part' },
      of: { ...FINDERS, blanks: { shape, label, barcode, zone } },
    },
  ],
  'pages-alone': [],
} satisfies Record<string, Blank[]>
const MORE = {
  barcode: [text('pattern'), box('where'), number('hit'), number('quality')],
  words: [text('pattern'), box('where')],
}
export type RuleKind = keyof typeof BLANKS

/** A rule of a kind as it is when it is new. */
function make(by: string) {
  switch (by) {
    case 'patch':
      return { by, codes: { '2': 'document' }, sheet: 'dropped' }
    case 'words':
      return { by, must: [] }
    case 'pages':
      return { by, every: 1 }
    case 'change':
      return { by, finder: { by: 'shape', like: '' } }
    default:
      return { by }
  }
}

export const RULES: PartKind = {
  ...{ by: 'by', blanks: BLANKS, more: MORE, make },
  ...{ sentence: 'rules.sentence', named: 'rules.kind', words: 'rules', add: 'rules.add' },
}
