import type { Schema } from '../api/client'
import type { Rule } from './rules'

/** A part of a stream's definition as it stands in its JSON: what this version of the screens does not know stays. */
export type Part = Record<string, unknown>

export interface DraftField extends Part {
  field: string
  title?: string
  kind?: string
  required?: boolean
  finders?: Part[]
  tidy?: Part[]
  checks?: Part[]
}

export interface DraftType extends Part {
  type: string
  title?: string
  default?: boolean
  fields?: DraftField[]
}

export interface Draft extends Part {
  stream: string
  title: string
  cut?: { rules?: Rule[]; groups?: { title?: string; fields?: DraftField[] } } & Part
  types?: DraftType[]
}

export type Proposed = Schema['Proposed']
type Way = Schema['WayToFind']

/** The type that a new stream begins with: the first one proposed takes its place. */
const isBlank = (type: DraftType) => type.type === 'paper' && !type.fields?.length && !type.words

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Whether all that is said in one part is said in another one. */
const includes = (whole: Part, part: Part): boolean =>
  Object.entries(part).every(([name, value]) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? includes((whole[name] ?? {}) as Part, value as Part)
      : same(whole[name], value),
  )

/** Says what a part says, and leaves the rest as it is. */
function merge(whole: Part, part: Part) {
  for (const [name, value] of Object.entries(part))
    if (value && typeof value === 'object' && !Array.isArray(value))
      merge((whole[name] ??= {}) as Part, value as Part)
    else whole[name] = value
}

/** Whether the draft has what is proposed, or something in its place. */
export function has(draft: Draft, { proposal }: Proposed): boolean {
  const part = proposal.part as Part
  switch (proposal.what) {
    case 'stream':
      return includes(draft, part)
    case 'cut':
      return !!draft.cut?.rules?.some((rule) => rule.by === part.by && same(rule.must, part.must))
    case 'type':
      return !!draft.types?.some((type) => type.type === part.type)
    default:
      return !!draft.types
        ?.find((type) => type.type === proposal.type)
        ?.fields?.some((field) => field.field === part.field)
  }
}

/** Takes what is proposed into the draft; a field's type comes with it. */
export function take(draft: Draft, proposed: Proposed, all: Proposed[]) {
  if (has(draft, proposed)) return
  const { proposal } = proposed
  if (proposal.what === 'stream') {
    merge(draft, proposal.part as Part)
  } else if (proposal.what === 'cut') {
    draft.cut = { ...draft.cut, rules: [...(draft.cut?.rules ?? []), proposal.part as unknown as Rule] }
  } else if (proposal.what === 'type') {
    const others = (draft.types ?? []).filter((type) => !isBlank(type))
    const added = structuredClone(proposal.part) as unknown as DraftType
    // There is one type for what no other claims.
    if (added.default && others.some((type) => type.default)) delete added.default
    draft.types = [...others, added]
  } else {
    const itsType = all.find((p) => p.proposal.what === 'type' && p.proposal.type === proposal.type)
    if (itsType) take(draft, itsType, all)
    const type = draft.types?.find((x) => x.type === proposal.type)
    if (type) type.fields = [...(type.fields ?? []), structuredClone(proposal.part) as unknown as DraftField]
  }
}

/** By this name the groups of a stream are meant, where a type could be: they have fields too. */
export const GROUPS = '*'

/** What has fields: a type by its name, or the groups. */
export const holderOf = (
  draft: Draft,
  name: string,
): { title?: string; fields?: DraftField[] } | undefined =>
  name === GROUPS ? ((draft.cut ??= {}).groups ??= {}) : draft.types?.find((x) => x.type === name)

/** The fields of a type, or of the groups, in their order, with what they are called. */
export function titlesOf(draft: Draft | null, type: string) {
  const its = type === GROUPS ? draft?.cut?.groups : draft?.types?.find((x) => x.type === type)
  return (its?.fields ?? []).map((f) => ({ name: f.field, title: f.title ?? f.field }))
}

/** The field of a type that is called so, or none. */
export const fieldCalled = (type: DraftType, title: string) =>
  type.fields?.find((f) => (f.title ?? f.field).toLowerCase() === title.trim().toLowerCase())

/** A layout that a person named; those that Jalon found have numbers, which may be others tomorrow. */
export const namedLayout = (variant?: string | null) =>
  variant && !/^\d+$/.test(variant) ? variant : undefined

/**
 * Takes a way to find what was drawn: for a new field, or as one more for one that is there. Tells its name.
 *
 * @param layout of the paper that it was drawn on: places are those of that layout alone, and come before those of all
 */
export function addWay(
  type: DraftType,
  title: string,
  way: Way,
  place: Schema['DrawnPlace'],
  layout?: string,
): string {
  const own = ['place', 'tick'].includes(way.how) && layout ? { variant: layout } : {}
  const anchors = ((type.layout as Part | undefined)?.anchors ?? []) as Part[]
  const anchored = layout ? anchors.some((a) => a.variant === layout) : !!type.layout
  if (['place', 'tick'].includes(way.how) && !anchored && place.anchors.length)
    type.layout = {
      ...(type.layout as Part),
      anchors: [...anchors, ...place.anchors.map((a) => ({ ...a, ...own }))],
    }
  const part = structuredClone(way.part) as Partial<DraftField>
  part.finders = part.finders?.map((finder) => ({ ...finder, ...own }))
  const known = fieldCalled(type, title)
  if (known) {
    const [first, second] = layout ? [part.finders, known.finders] : [known.finders, part.finders]
    known.finders = [...(first ?? []), ...(second ?? [])]
    return known.field
  }
  const field = nameFor(title, type)
  type.fields = [...(type.fields ?? []), { field, title, ...part }]
  return field
}

/** A name for a field that the type does not have yet. */
export const nameFor = (title: string, type: { fields?: DraftField[] }) =>
  newName(title, 'field', type.fields?.map((field) => field.field) ?? [])

/** A name made of a title that none of the others has. */
export function newName(title: string, otherwise: string, others: string[]): string {
  const plain =
    title
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^[^a-z]+|-+$/g, '') || otherwise
  for (let n = 1; ; n++) {
    const name = n === 1 ? plain : `${plain}-${n}`
    if (!others.includes(name)) return name
  }
}
