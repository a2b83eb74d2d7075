import { expect, test } from 'vitest'
import asFiled from '../../../docs/schemas/stream.schema.json'
import en from '../i18n/en'
import type { Blank, PartKind } from './blanks'
import { CHECKS, CHOICES, FIELD_MORE, FINDERS, TIDY } from './fieldParts'
import { RULES } from './rules'
import { DESTINATIONS, STREAM, TYPE } from './streamParts'

interface Node {
  properties?: Record<string, Node>
  items?: Node
  allOf?: { if: Node; then: Node }[]
  enum?: string[]
  const?: string
  $ref?: string
  additionalProperties?: unknown
}
const schema = asFiled as unknown as Node & {
  $defs: Record<string, Node>
}
const seen = (node: Node): Node => (node.$ref ? schema.$defs[node.$ref.split('/').at(-1)!] : node)

/** Paths of all that can be said of something, lists and names with values counting as one. */
const paths = (node: Node, but: string[] = []): string[] =>
  Object.entries(node.properties ?? {})
    .filter(([name]) => !but.includes(name))
    .flatMap(([name, inside]) => {
      const deeper = typeof inside === 'object' ? paths(seen(inside)) : []
      return deeper.length ? deeper.map((path) => `${name}.${path}`) : [name]
    })
const ats = (blanks: Blank[]) => blanks.map((blank) => blank.at).sort()

/** What each kind of a part has, by the schema. */
const kindsOf = (def: string, by: string) =>
  Object.fromEntries(
    schema.$defs[def].allOf!.flatMap(({ if: when, then }) => {
      const kind = when.properties![by]
      return (kind.enum ?? [kind.const!]).map((name) => [name, paths(then, [by]).sort()])
    }),
  )

test.each<[string, PartKind]>([
  ['stakeRule', RULES],
  ['finder', FINDERS],
  ['tidyStep', TIDY],
  ['check', CHECKS],
])('all that a %s can say is a blank of its sentence', (def, of) => {
  const said = Object.fromEntries(
    Object.entries(of.blanks).map(([kind, blanks]) => [kind, ats([...blanks, ...(of.more?.[kind] ?? [])])]),
  )
  const patches = ['1', '2', '3', '4', '6', 'T'].map((p) => `codes.${p}`)
  const known = kindsOf(def, of.by!)
  if (known.patch) known.patch = [...patches, 'sheet']
  // What a check digit is computed by has the name that tells rules and finders apart.
  if (known.checkDigit) known.checkDigit = ['by', 'modulus', 'weights']
  expect(said).toEqual(known)
})

test('all that a stream, a type, a field and a destination can say is a blank', () => {
  const stages = ['intake', 'pages', 'index', 'filing'].map((stage) => `intake.stageMinutes.${stage}`)
  const stream = paths(schema, ['$schema', 'jalon', 'stream', 'types'])
    .filter((path) => !['intake.stageMinutes', 'cut.rules', 'cut.groups.fields'].includes(path))
    .concat(stages)
  expect(ats(Object.values(STREAM).flatMap((sentences) => Object.values<Blank[]>(sentences).flat()))).toEqual(
    stream.sort(),
  )
  const { type, field, destination } = schema.$defs
  expect(ats(Object.values(TYPE).flat())).toEqual(paths(type, ['type', 'title', 'fields']).sort())
  const apart = ['field', 'title', 'kind', 'required', 'finders', 'tidy', 'checks']
  expect(ats([...FIELD_MORE, ...CHOICES])).toEqual(paths(field, apart).sort())
  expect(ats([...DESTINATIONS.blanks.one, ...DESTINATIONS.more!.one])).toEqual(paths(destination).sort())
})

/** Words by their key, or none. */
const words = (key: string) =>
  key
    .split('.')
    .reduce<unknown>((inside, name) => (inside as Record<string, unknown> | undefined)?.[name], en)

test('each sentence has a place for each of its blanks, and words for it and its choices', () => {
  const missing: string[] = []
  const need = (key: string) => words(key) ?? missing.push(key)
  const check = (sentence: string, blanks: Blank[], under: string) => {
    const text = String(need(sentence))
    for (const blank of blanks) {
      if (!text.includes(`{${blank.name}}`)) missing.push(`${sentence} {${blank.name}}`)
      if (blank.of) kind(blank.of)
      if (blank.kind === 'part' || blank.kind === 'parts') continue
      const own = blank.words?.includes('.') ? undefined : blank.words
      need(`${under}.blank.${own ?? blank.name}`)
      if (blank.kind === 'choice') need(`${under}.any.${own ?? 'any'}`)
      for (const c of blank.kind === 'yes' ? ['yes', 'no'] : []) need(`${under}.${c}.${blank.name}`)
      if (blank.kind === 'yes' && blank.usual === null) need(`${under}.any.${blank.name}`)
      if (!blank.words?.endsWith('barcode'))
        blank.choices?.forEach((c) => need(`${own ? `${under}.${own}` : blank.words}.${c}`))
    }
  }
  const kind = (of: PartKind) => {
    need(of.add)
    for (const [name, blanks] of Object.entries(of.blanks)) {
      check(of.by ? `${of.sentence}.${name}` : of.sentence, blanks, of.words)
      if (of.by) need(`${of.named}.${name}`)
    }
    for (const [name, blanks] of Object.entries(of.more ?? {}))
      check(`${of.sentence}More.${name}`, blanks, of.words)
  }
  ;[RULES, FINDERS, TIDY, CHECKS].forEach(kind)
  for (const [of, sentences] of Object.entries({ ...STREAM, type: TYPE }))
    for (const [name, blanks] of Object.entries<Blank[]>(sentences))
      check(`streamParts.${of}.${name}`, blanks, 'streamParts')
  check('fieldParts.more', FIELD_MORE, 'fieldParts')
  check('fieldParts.choices', CHOICES, 'fieldParts')
  expect(missing).toEqual([])
})
