import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { NameValue } from '../parts/NameChips.vue'
import type { ValueKind } from '../parts/nameParts'

/** Of a stream's definition what names are made of and for. */
export interface NamedStream {
  title: string
  types?: { title?: string; fields?: { field: string; title?: string; kind?: string }[] }[]
  destinations?: { destination: string; folder?: string; file?: string; taken?: string }[]
}

/** What every document has beside the fields of its type. */
const OWN: [string, ValueKind][] = [
  ['type', 'text'],
  ['group', 'text'],
  ['batch', 'text'],
  ['no', 'number'],
  ['#', 'count'],
  ['filed', 'date'],
  ['stream', 'text'],
  ['sender', 'text'],
  ['subject', 'text'],
  ['sent', 'date'],
  ['station', 'text'],
  ['operator', 'text'],
  ['received', 'text'],
  ['words', 'text'],
]
const kindOf = (kind: string | undefined): ValueKind =>
  kind === 'date' ? 'date' : kind === 'number' ? 'number' : 'text'

/** Values that names of a stream's documents can be made of: the fields of its types, and what is known beside them. */
export function useNameValues(stream: Ref<NamedStream | null>) {
  const { t } = useI18n()
  return computed((): NameValue[] => {
    const fields = (stream.value?.types ?? []).flatMap((type) => type.fields ?? [])
    const known = new Map(
      fields.map((f) => [f.field, { name: f.field, title: f.title ?? f.field, kind: kindOf(f.kind) }]),
    )
    const own = OWN.filter(([name]) => !known.has(name)).map(([name, kind]) => ({
      name,
      title: t(`names.value.${kind === 'count' ? kind : name}`),
      kind,
    }))
    return [...known.values(), ...own]
  })
}
