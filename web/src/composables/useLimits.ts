import { computed, ref, watch } from 'vue'
import { api, tell, type Schema } from '../api/client'
import { readBatches } from './readBatches'

/** The limits of a stream being tried on the pages of a batch that was read before; nothing is changed until saved. */
export function useLimits(stream: string) {
  const measures = ref<Schema['MeasureInfo'][]>([])
  const batches = ref<{ no: string; pages: number }[]>([])
  const batch = ref('')
  const pages = ref<Schema['ImageFigures'][]>([])
  const definition = ref<{ pages?: { limits?: Record<string, number | null> } } & Record<string, unknown>>({})
  const limits = ref<Record<string, number | null>>({})
  const chosen = ref('blur')
  const loaded = ref(false)

  async function begin() {
    const [m, read, s] = await Promise.all([
      api.GET('/api/measures'),
      readBatches(stream),
      api.GET('/api/streams/{name}', { params: { path: { name: stream } }, parseAs: 'text' }),
    ])
    measures.value = m.data ?? []
    batches.value = read
    batch.value = read[0]?.no ?? ''
    definition.value = JSON.parse(String(s.data ?? '{}'))
    for (const one of measures.value)
      limits.value[one.measure] =
        one.measure in (definition.value.pages?.limits ?? {})
          ? definition.value.pages!.limits![one.measure]
          : (one.usual ?? null)
    loaded.value = true
  }
  void begin()
  watch(batch, async (no) => {
    pages.value = []
    if (!/^B-\d+$/.test(no)) return
    const { data, error } = await api.GET('/api/batches/{no}/figures', { params: { path: { no } } })
    if (data) pages.value = data.filter((p) => p.role === 'content')
    else tell(error)
  })

  const measure = computed(() => measures.value.find((m) => m.measure === chosen.value))
  const beyond = (m: Schema['MeasureInfo'], figure: number) => {
    const limit = limits.value[m.measure]
    return limit != null && (m.tooMuch ? figure > limit : figure < limit)
  }
  const figuresOf = (m: string) =>
    pages.value.flatMap((p) =>
      p.figures
        .filter((f) => (f.kind as string) === m)
        .map((f) => ({ no: p.page, rotation: p.rotation, figure: f.figure, said: f.said })),
    )
  const flagged = (m: Schema['MeasureInfo']) => figuresOf(m.measure).filter((f) => beyond(m, f.figure)).length
  const any = computed(
    () =>
      pages.value.filter((p) =>
        p.figures.some((f) =>
          measures.value.some((m) => m.measure === (f.kind as string) && beyond(m, f.figure)),
        ),
      ).length,
  )
  const sorted = computed(() => figuresOf(chosen.value).sort((a, b) => a.figure - b.figure))
  const range = computed(() => {
    const all = [
      ...sorted.value.map((f) => f.figure),
      measure.value?.usual ?? 0,
      limits.value[chosen.value] ?? 0,
    ]
    const most = Math.max(...all) * 1.1 || 1
    return { most, step: most / 400 }
  })
  /** Nearest to the limit on either side. */
  const near = computed(() => {
    const m = measure.value
    const limit = limits.value[chosen.value]
    if (!m || limit == null) return { inside: [], outside: [] }
    const byDistance = (a: { figure: number }, b: { figure: number }) =>
      Math.abs(a.figure - limit) - Math.abs(b.figure - limit)
    return {
      inside: sorted.value
        .filter((f) => !beyond(m, f.figure))
        .sort(byDistance)
        .slice(0, 5),
      outside: sorted.value
        .filter((f) => beyond(m, f.figure))
        .sort(byDistance)
        .slice(0, 5),
    }
  })
  function set(value: number | null) {
    limits.value = { ...limits.value, [chosen.value]: value == null ? null : Number(value.toPrecision(3)) }
  }
  /** Makes a new version of the stream, with those limits that are not the usual ones. @returns its number */
  async function save() {
    const changed: Record<string, number | null> = {}
    for (const m of measures.value)
      if (limits.value[m.measure] !== (m.usual ?? null)) changed[m.measure] = limits.value[m.measure]
    const json = JSON.stringify(
      { ...definition.value, pages: { ...definition.value.pages, limits: changed } },
      null,
      2,
    )
    const { data, error } = await api.POST('/api/streams', { body: { json } })
    if (!data) tell(error)
    return data?.version
  }
  return {
    loaded,
    measures,
    measure,
    chosen,
    limits,
    batches,
    batch,
    pages,
    beyond,
    flagged,
    any,
    sorted,
    range,
    near,
    set,
    save,
  }
}
