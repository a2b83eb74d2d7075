import type { Part } from './draft'

/** What has names that a stream can mean. */
export type Known = 'registers' | 'columns' | 'places' | 'fields' | 'layouts'

/** A blank in a sentence: where its value stands in the part, and what can be put there. */
export interface Blank {
  name: string
  at: string
  kind:
    | 'text'
    | 'known'
    | 'number'
    | 'phrases'
    | 'choice'
    | 'some'
    | 'yes'
    | 'page'
    | 'box'
    | 'pairs'
    | 'parts'
    | 'part'
  choices?: readonly string[]
  /** Names of these are offered; others can be typed. */
  known?: Known
  /** Where the words of the choices stand: under those of the sentence, or with a dot in it anywhere. */
  words?: string
  /** What it is where nothing is said; of a yes, or null where that depends. */
  usual?: boolean | null
  /** What the values of pairs, or what is listed, are. */
  values?: 'text' | 'number' | 'phrases'
  /** Of what there is a list of; of `part`: of which there is one. */
  of?: PartKind
  /** A line of its own. */
  wide?: boolean
  /** Nothing is something that can be said there. */
  empty?: boolean
}

/** Parts of one kind, such as rules or checks, each of which is said in a sentence of its own. */
export interface PartKind {
  /** The property that says which it is; none where there is but one. */
  by?: string
  blanks: Record<string, Blank[]>
  /** What is seldom said of it: a sentence of its own, shown where something of it is said or asked for. */
  more?: Record<string, Blank[]>
  /** Under which the sentences stand, by which they are, @param named likewise what each is called in a list. */
  sentence: string
  named: string
  /** The words of blanks and choices. */
  words: string
  add: string
  make?: (kind: string) => Part
}

export const text = (name: string, at = name, more: Partial<Blank> = {}): Blank => ({
  ...{ name, at, kind: 'text' },
  ...more,
})
export const known = (name: string, of: Known, at = name): Blank => ({ name, at, kind: 'known', known: of })
export const number = (name: string, at = name): Blank => ({ name, at, kind: 'number' })
export const phrases = (name: string, at = name, values?: 'number'): Blank => ({
  ...{ name, at, kind: 'phrases', values },
})
export const choice = (name: string, words: string, choices: readonly string[], at = name): Blank => ({
  ...{ name, at, kind: 'choice', choices, words },
})
export const fields = (name: string): Blank => ({ ...phrases(name), known: 'fields' })
/** Any of a few. */
export const some = (name: string, words: string, choices: readonly string[], at = name): Blank => ({
  ...{ name, at, kind: 'some', choices, words },
})
export const yes = (name: string, usual: boolean | null = false, at = name): Blank => ({
  ...{ name, at, kind: 'yes', usual },
})
export const box = (name: string, at = name): Blank => ({ name, at, kind: 'box' })
export const pairs = (
  name: string,
  values: Blank['values'],
  at = name,
  more: Partial<Blank> = {},
): Blank => ({
  ...{ name, at, kind: 'pairs', values },
  ...more,
})
export const parts = (name: string, of: PartKind, at = name): Blank => ({ name, at, kind: 'parts', of })

export const BARCODES = [
  ...['CODE_128', 'CODE_39', 'CODE_93', 'ITF', 'CODABAR', 'EAN_13', 'EAN_8', 'UPC_A', 'UPC_E'],
  ...['QR_CODE', 'DATA_MATRIX', 'AZTEC', 'PDF_417'],
] as const

/** What stands in a blank. */
export const said = (part: object, blank: Blank): unknown =>
  blank.at.split('.').reduce<unknown>((inside, name) => (inside as Part | undefined)?.[name], part)

const isNothing = (value: unknown) =>
  value === undefined ||
  value === null ||
  value === '' ||
  (typeof value === 'object' && !Object.keys(value).length)

/** The part with something else in a blank; nothing leaves the blank out, and what held nothing else with it. */
export function filled<T extends object>(part: T, blank: Blank, value: unknown): T {
  const put = (inside: Part, [name, ...deeper]: string[]): Part => {
    const next = deeper.length ? put((inside[name] ?? {}) as Part, deeper) : value
    const other = { ...inside, [name]: next }
    if (isNothing(next) && !(blank.empty && next === '')) delete other[name]
    return other
  }
  return put(part as Part, blank.at.split('.')) as T
}

/** Whether something is said in one of them. */
export const anySaid = (part: object, blanks: Blank[]) =>
  blanks.some((blank) => !isNothing(said(part, blank)))

/** Which of its kind a part is. */
export const kindOf = (of: PartKind, part: Part) => (of.by ? String(part[of.by]) : 'one')
