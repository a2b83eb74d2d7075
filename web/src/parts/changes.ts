import type { Schema } from '../api/client'

type Change = Schema['Change']
type Part = Record<string, unknown>
type Say = (key: string, values?: Record<string, unknown>) => string

const asPart = (value: unknown) => (value && typeof value === 'object' ? (value as Part) : {})
const text = (value: unknown): string =>
  Array.isArray(value)
    ? value.map(text).join(', ')
    : value && typeof value === 'object'
      ? Object.entries(value)
          .map(([name, of]) => `${name} ${text(of)}`)
          .join('; ')
      : String(value ?? '')

/** What is said of a part in brief: how a value is found, which check or rule it is. */
function brief({ what, before, after }: Change, t: Say, has: (key: string) => boolean): string {
  const part = asPart(after ?? before)
  if (what === 'finder') {
    const said = Object.fromEntries(
      ['labels', 'like', 'pattern', 'register', 'value'].map((name) => [name, text(part[name])]),
    )
    return has(`changes.finders.${part.by}`) ? t(`changes.finders.${part.by}`, said) : text(part)
  }
  if (what === 'rule')
    return has(`rules.kind.${part.by}`) ? t(`rules.kind.${part.by}`).toLowerCase() : text(part)
  const { check, do: step, ...more } = part
  const named = check ? `fieldParts.named.check.${check}` : `fieldParts.named.tidy.${step}`
  return `${has(named) ? t(named).toLowerCase() : (check ?? step)} ${text(Object.values(more))}`.trim()
}

/** A change as one sentence, and below it what differs of a part that was changed. */
export function sentenceOf(change: Change, t: Say, has: (key: string) => boolean) {
  const { what, how, type, field, part } = change
  const key = part && ['type', 'field', 'destination'].includes(what) ? `${what}Part` : what
  const named = part && has(`changes.parts.${part}`) ? t(`changes.parts.${part}`) : part
  const title = t(`changes.${key}`, {
    ...{ how: t(`changes.how.${how}`), type, field, part: named },
    brief: part ? '' : brief(change, t, has),
  })
  const words = what === 'rule' ? 'rules' : 'fieldParts'
  const said = (value: unknown) => text(value) || t('changes.nothing')
  const differs =
    how !== 'changed'
      ? []
      : part
        ? [{ name: named, before: said(change.before), after: said(change.after) }]
        : [...new Set([...Object.keys(asPart(change.before)), ...Object.keys(asPart(change.after))])]
            .map((name) => ({
              name: has(`${words}.blank.${name}`) ? t(`${words}.blank.${name}`) : name,
              before: said(asPart(change.before)[name]),
              after: said(asPart(change.after)[name]),
            }))
            .filter((d) => d.before !== d.after)
  return { title, differs }
}
