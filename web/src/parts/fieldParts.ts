import type { Blank } from './rules'

const text = (name: string, at = name): Blank => ({ name, at, kind: 'text' })
const phrases = (name: string): Blank => ({ name, at: name, kind: 'phrases' })
const number = (name: string): Blank => ({ name, at: name, kind: 'number' })
const choice = (name: string, words: string, choices: readonly string[], at = name): Blank => ({
  name,
  at,
  kind: 'choice',
  choices,
  words,
})
const PAGE = choice('page', 'page', ['first', 'last', 'any'])

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

/** The ways to find a value that can be said in a sentence, each with its blanks in the order of the sentence. */
export const FINDERS: Record<string, Blank[]> = {
  label: [
    choice('side', 'side', ['beside', 'below', 'above', 'left', 'nearest']),
    phrases('labels'),
    PAGE,
    choice('holds', 'holds', ['word', 'line', 'block']),
    phrases('notOnLinesWith'),
  ],
  shape: [text('like'), text('pattern'), phrases('near'), PAGE],
  zone: [PAGE, choice('only', 'only', ['digits', 'capitals', 'capitalsAndDigits'], 'read.only')],
  barcode: [text('like'), PAGE],
  register: [text('take'), text('register'), text('column'), text('from')],
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
  fixed: [text('value')],
}

/** The checks that can be said in a sentence. */
export const CHECKS: Record<string, Blank[]> = {
  like: [text('like')],
  matches: [text('pattern')],
  length: [number('least'), number('most')],
  date: [choice('role', 'role', ['birth', 'written', 'due', 'period']), number('yearsBack')],
  range: [number('least'), number('most')],
  oneOf: [phrases('values')],
  inRegister: [text('register'), text('column')],
  sum: [phrases('of'), phrases('less')],
  sameAs: [text('field')],
  onceInBatch: [],
  notFiledBefore: [phrases('with')],
}

/** What a finder says in brief: its labels, or the form that a value has and what it stands near to. */
export function formOf(part: Record<string, unknown>) {
  const finder = ((part.finders as Record<string, unknown>[] | undefined) ?? [{}])[0]
  const list = (value: unknown) => ((value as string[] | undefined) ?? []).join(', ')
  return {
    ...{ labels: list(finder.labels), near: list(finder.near) },
    ...{ like: String(finder.like ?? part.kind ?? '') },
  }
}

/** A new one of a kind. */
export function newFinder(by: string): Record<string, unknown> {
  switch (by) {
    case 'label':
      return { by, labels: [] }
    case 'shape':
      return { by, like: '' }
    case 'inherited':
      return { by, from: 'fileName' }
    case 'fixed':
      return { by, value: '' }
    default:
      return { by }
  }
}
