/** A template of a name, part by part: as people see it. */
export type NamePart =
  { kind: 'text'; text: string } | { kind: 'value'; name: string; form: string; otherwise: string | null }

/** A brace that is not closed, and all behind it, stands as text. */
export function partsOf(template: string): NamePart[] {
  const parts: NamePart[] = []
  let at = 0
  for (const brace of template.matchAll(/\{([^}]*)\}/g)) {
    if (brace.index > at) parts.push({ kind: 'text', text: template.slice(at, brace.index) })
    const inside = brace[1] ?? ''
    const bar = inside.indexOf('|')
    const head = bar < 0 ? inside : inside.slice(0, bar)
    const colon = head.indexOf(':')
    parts.push({
      kind: 'value',
      name: (colon < 0 ? head : head.slice(0, colon)).trim(),
      form: colon < 0 ? '' : head.slice(colon + 1).trim(),
      otherwise: bar < 0 ? null : inside.slice(bar + 1),
    })
    at = brace.index + brace[0].length
  }
  if (at < template.length) parts.push({ kind: 'text', text: template.slice(at) })
  return parts
}

export const templateOf = (parts: NamePart[]) =>
  parts
    .map((p) =>
      p.kind === 'text'
        ? p.text
        : `{${p.name}${p.form ? `:${p.form}` : ''}${p.otherwise === null ? '' : `|${p.otherwise}`}}`,
    )
    .join('')

export type ValueKind = 'text' | 'date' | 'number' | 'count'

/** What can be taken of a value of each kind, as templates say it. */
export const FORMS: Record<ValueKind, string[]> = {
  text: ['', 'first 1', 'first 3', 'last 4', 'word 1', 'word 2', 'part 1 by -', 'part 2 by -'],
  date: ['', 'yyyy', 'yyyy-MM', 'MM', 'dd'],
  number: ['', '00', '000', '0000'],
  count: ['', '000', '00000', '000 per day', '000 per folder', '00000 per folder'],
}
