import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { act, api, isStale, tell, type Decision, type Named, type Schema } from '../api/client'
import { withChanges } from './changes'
import { useEvents } from './useEvents'

/**
 * A batch on a desk: loaded, decided about, undone, kept up to date. Decisions go one after the other, and each says
 * whether the server took it.
 */
export function useBatch(no: string, fields: boolean) {
  const batch = shallowRef<Schema['BatchDetail'] | null>(null)
  const loading = ref(true)
  /** Why the batch cannot be shown at all; what goes wrong later is told and leaves what is shown. */
  const problem = shallowRef<unknown>()
  let line: Promise<unknown> = Promise.resolve()
  let own = 0

  const query = () => ({ fields, since: batch.value?.tag })
  const asked = (since?: string) =>
    api
      .GET('/api/batches/{no}', { params: { path: { no }, query: { fields, since } } })
      .catch(() => ({ data: undefined, error: null }))

  /**
   * Values are read again where the cut has changed, which takes its time: a desk without fields does not wait for
   * it, and shows the doubts it knew until those of now are there.
   */
  const countDoubts = useDebounceFn(async () => {
    const { data } = await api
      .GET('/api/batches/{no}/doubts', { params: { path: { no } } })
      .catch(() => ({ data: undefined }))
    if (data && batch.value && data.revision === batch.value.revision)
      batch.value = { ...batch.value, fieldDoubts: data.fieldDoubts }
  }, 600)
  async function show(answer: Schema['BatchDetail']) {
    // An answer that came in between may be what is known now: then all of it is asked for.
    const data = withChanges(batch.value, answer) ?? (await asked()).data
    if (!data) return
    batch.value = fields ? data : { ...data, fieldDoubts: batch.value?.fieldDoubts ?? 0 }
    if (!fields) void countDoubts()
  }

  async function load() {
    const { data, error } = await asked(batch.value?.tag)
    if (data) await show(data)
    else if (batch.value) tell(error)
    problem.value = batch.value ? undefined : error
    loading.value = false
  }

  function inTurn(
    work: (header: Named) => Promise<{ data?: Schema['BatchDetail']; error?: unknown }>,
  ): Promise<boolean> {
    const next = line.then(async () => {
      own = Date.now()
      try {
        const { data, error } = await act(batch.value, work)
        if (data) await show(data)
        else tell(error)
        if (isStale(error)) await load()
        return !!data
      } catch {
        tell(undefined)
        return false
      }
    })
    line = next
    return next
  }

  const decide = (decision: Decision) =>
    inTurn((header) =>
      api.POST('/api/batches/{no}/decisions', {
        params: { path: { no }, query: query(), header },
        body: decision as never,
      }),
    )
  /** Several decisions as one act: all or none, undone as one. */
  const decideTogether = (together: Decision[]) =>
    inTurn((header) =>
      api.POST('/api/batches/{no}/decisions/together', {
        params: { path: { no }, query: query(), header },
        body: together as never,
      }),
    )
  const undo = () =>
    inTurn((header) =>
      api.POST('/api/batches/{no}/undo', { params: { path: { no }, query: query(), header } }),
    )
  const redo = () =>
    inTurn((header) =>
      api.POST('/api/batches/{no}/redo', { params: { path: { no }, query: query(), header } }),
    )
  const moveTo = (to: 'pages' | 'index' | 'filing') =>
    inTurn((header) =>
      api.POST('/api/batches/{no}/stage', {
        params: { path: { no }, query: { since: batch.value?.tag }, header },
        body: { to },
      }),
    )

  useEvents((changed) => {
    // The answer to an own act has brought the news already.
    if (changed === no && Date.now() - own > 1500) void load()
  })
  void load()

  const pages = computed(() => batch.value?.pages ?? [])
  const documents = computed(() => batch.value?.documents ?? [])
  const places = computed(() => batch.value?.places ?? [])
  const pageByNo = computed(() => new Map(pages.value.map((p) => [p.no, p])))
  return {
    ...{ batch, loading, problem, pages, documents, places, pageByNo },
    ...{ load, decide, decideTogether, undo, redo, moveTo },
  }
}

export type FieldValue = Schema['FieldValue']

/** Whether a person should look at a value. */
export const isDoubt = (v: FieldValue) =>
  v.state === 'doubtful' || v.state === 'wrong' || (v.state === 'empty' && v.reasons.length > 0)

export const documentDoubts = (d: Schema['DocumentView']) =>
  (d.stake.doubtful ? 1 : 0) +
  (d.type.doubtful ? 1 : 0) +
  Object.values(d.fields).filter((v) => isDoubt(v)).length
