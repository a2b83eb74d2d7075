/** A cutting rule as the stream's definition has it. */
export type Rule = { by: RuleKind } & Record<string, unknown>

export const RULE_KINDS = [
  'barcode',
  'patch',
  'words',
  'pages',
  'file',
  'numbering',
  'blank',
  'specimen',
  'change',
  'pages-alone',
] as const
export type RuleKind = (typeof RULE_KINDS)[number]

/** A blank in a rule's sentence: where its value stands in the rule, and what can be put there. */
export interface Blank {
  name: string
  at: string
  kind: 'text' | 'number' | 'phrases' | 'choice'
  choices?: readonly string[]
  /** The words of the choices, under `rules`. */
  words?: string
}

const BARCODES = [
  'CODE_128',
  'CODE_39',
  'CODE_93',
  'ITF',
  'CODABAR',
  'EAN_13',
  'EAN_8',
  'UPC_A',
  'UPC_E',
  'QR_CODE',
  'DATA_MATRIX',
  'AZTEC',
  'PDF_417',
] as const
const choice = (name: string, words: string, choices: readonly string[], at = name): Blank => ({
  name,
  at,
  kind: 'choice',
  choices,
  words,
})
const text = (name: string, at = name): Blank => ({ name, at, kind: 'text' })
const OPENS = choice('opens', 'opens', ['document', 'group', 'batch'])
const SHEET = choice('sheet', 'sheet', ['kept', 'dropped'])
const MEANINGS = ['document', 'group', 'batch', 'flag', 'nothing'] as const
const PATCHES = ['1', '2', '3', '4', '6', 'T'] as const

/** The blanks of each kind of rule, in the order in which its sentence is read. */
export const BLANKS: Record<RuleKind, Blank[]> = {
  barcode: [OPENS, choice('kind', 'barcode', BARCODES), text('like'), text('pattern'), SHEET],
  patch: [...PATCHES.map((p) => choice(`patch${p}`, 'meaning', MEANINGS, `codes.${p}`)), SHEET],
  words: [
    OPENS,
    choice('on', 'on', ['first', 'last']),
    { name: 'must', at: 'must', kind: 'phrases' },
    { name: 'mustNot', at: 'mustNot', kind: 'phrases' },
    text('pattern'),
    SHEET,
  ],
  pages: [{ name: 'every', at: 'every', kind: 'number' }],
  file: [],
  numbering: [],
  blank: [],
  specimen: [],
  change: [text('like', 'finder.like')],
  'pages-alone': [],
}

/** A rule of a kind as it is when it is new. */
export function newRule(by: RuleKind): Rule {
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

/** What stands in a blank. */
export function said(rule: Rule, blank: Blank): unknown {
  return blank.at
    .split('.')
    .reduce<unknown>((part, name) => (part as Record<string, unknown> | undefined)?.[name], rule)
}

const isNothing = (value: unknown) =>
  value === undefined || value === null || value === '' || (Array.isArray(value) && !value.length)

/** The rule with something else in a blank; nothing leaves the blank out. */
export function filled(rule: Rule, blank: Blank, value: unknown): Rule {
  const other = structuredClone(rule)
  const names = blank.at.split('.')
  const last = names.pop()!
  let part = other as Record<string, unknown>
  for (const name of names) part = (part[name] ??= {}) as Record<string, unknown>
  if (isNothing(value)) delete part[last]
  else part[last] = value
  return other
}
