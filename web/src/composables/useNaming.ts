import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { act, api, tell, type Decision, type Schema } from '../api/client'

/** A type as it is offered for a document. */
export interface OfferedType {
  type: string
  title: string
  under: string[]
  certainty?: number
}

interface Desk {
  batch: Ref<Schema['BatchDetail'] | null>
  current: Ref<number>
  document: ComputedRef<Schema['DocumentView'] | undefined>
  locked: ComputedRef<boolean>
  decide: (decision: Decision) => Promise<unknown>
  load: () => Promise<void>
}

/** Says what a document is: of a type and layout that there are, or of a new one; and that it is to be learned from. */
export function useNaming({ batch, current, document, locked, decide, load }: Desk) {
  const naming = ref(false)
  /** The type whose specimen is looked at while the types are shown. */
  const looking = ref('')

  const look = (type: string) => (looking.value = type)
  function toggleNaming() {
    naming.value = !naming.value && !locked.value && !!document.value
  }
  function name(type: string, variant?: string) {
    naming.value = false
    void decide({ act: 'nameType', page: current.value, type, ...(variant ? { variant } : {}) })
  }
  /** The types as they are offered: the best guesses first, then all others. */
  const offered = computed<OfferedType[]>(() => {
    const all = batch.value?.types ?? []
    const guesses = document.value?.type.guesses ?? []
    const guessed = guesses.flatMap((g) => {
      const type = all.find((x) => x.type === g.type)
      return type ? [{ type: type.type, title: type.title, under: type.under, certainty: g.certainty }] : []
    })
    const rest = all.filter((x) => !guesses.some((g) => g.type === x.type))
    return [...guessed, ...rest.map(({ type, title, under }) => ({ type, title, under }))]
  })
  /** While the types are shown, a figure takes one. */
  function pick(n: number) {
    const type = offered.value[n - 1]
    if (naming.value && type) name(type.type)
  }
  const specimen = computed(() => {
    const type = naming.value && batch.value?.types.find((x) => x.type === looking.value)
    return type && type.specimen ? { ...type.specimen, title: type.title } : undefined
  })
  /** The type of the current document, with the layouts that are known of it. */
  const ofType = computed(() => batch.value?.types.find((x) => x.type === document.value?.type.type))

  /** The document is one by which its type is known from now on. */
  async function teach() {
    const type = document.value?.type.type
    if (!locked.value && type && batch.value) await taught(batch.value, { page: current.value, type })
  }
  async function teachNew(title: string, like: string | null) {
    if (batch.value && (await taught(batch.value, { page: current.value, title, like }))) naming.value = false
  }
  async function taught(
    seen: Schema['BatchDetail'],
    said: { page: number; type: string } | { page: number; title: string; like: string | null },
  ) {
    const path = { no: seen.no }
    const { error } = await act(seen, (header) =>
      'type' in said
        ? api.POST('/api/batches/{no}/samples', { params: { path, header }, body: said })
        : api.POST('/api/batches/{no}/types', { params: { path, header }, body: said as never }),
    )
    if (error) tell(error)
    else await load()
    return !error
  }
  return { naming, look, toggleNaming, name, offered, pick, specimen, ofType, teach, teachNew }
}
