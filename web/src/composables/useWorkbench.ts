import { useDebounceFn, useRefHistory, useThrottleFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, tell, worded, type Schema } from '../api/client'
import type { Draft } from '../parts/draft'
import type { Paper } from '../parts/papers'

/** Values need a look at every paper: asked for when there was no change for so long. */
const TRY_AFTER = 250
const KEEP_AFTER = 800
/** The paper at hand is quick, and shows what is typed while it is typed. */
const PAPER_EVERY = 60

/**
 * A stream being made or changed: its draft, kept by itself, and what it makes of the pages it is tried on.
 *
 * @param on the batch that it is tried on first; else its samples
 */
export function useWorkbench(stream: string, on = '') {
  const bench = shallowRef<Schema['Bench']>()
  const problem = shallowRef<unknown>()
  /** As it is typed, which need not be a stream yet. */
  const json = ref('')
  // At once: what is loaded is cleared from it before anything else is said.
  const history = useRefHistory(json, { capacity: 1000, flush: 'sync' })
  const draft = computed<Draft | null>(() => {
    try {
      return JSON.parse(json.value) as Draft
    } catch {
      return null
    }
  })
  const batch = ref(on)
  const trial = shallowRef<Schema['Trial'] | null>(null)
  /** Why the draft as it stands cannot be used. */
  const wrong = ref('')
  /** Why it is not kept any more: somebody else has changed it. */
  const conflict = ref('')
  const params = { path: { stream } }
  let kept = ''

  async function load() {
    const { data, error } = await api.GET('/api/workbench/{stream}', { params })
    problem.value = error
    if (!data) return
    conflict.value = ''
    bench.value = data
    kept = json.value = data.draft.definition
    history.clear()
    batch.value ||= data.samples ?? ''
    await tryNow()
  }

  /** Changes the draft as it stands; what is said otherwise stays. */
  function change(how: (draft: Draft) => void) {
    if (!draft.value) return
    const other = structuredClone(draft.value)
    how(other)
    json.value = JSON.stringify(other, null, 2)
  }

  async function keep() {
    if (!bench.value || conflict.value || json.value === kept) return
    const body = { json: json.value, revision: bench.value.draft.revision }
    const { data, error } = await api.PUT('/api/workbench/{stream}', { params, body })
    if (error) conflict.value = worded(error)
    if (!data) return
    kept = body.json
    bench.value = { ...bench.value, draft: data }
  }
  let asked = 0
  async function tryNow() {
    if (!batch.value) return
    const mine = ++asked
    const body = { json: json.value, batch: batch.value }
    const { data, error } = await api.POST('/api/workbench/{stream}/try', { params, body })
    // A later question has its own answer.
    if (mine !== asked) return
    wrong.value = error ? worded(error) : ''
    if (data) trial.value = data
  }
  /** The one that is looked at. */
  const atHand = shallowRef<Paper>()
  async function tryPaper() {
    const [mine, now] = [asked, atHand.value]
    if (!now || !draft.value) return
    const body = { json: json.value, batch: batch.value, pages: now.pages }
    const { data } = await api.POST('/api/workbench/{stream}/try-paper', { params, body })
    const its = data?.find((p) => p.pages[0] === now.pages[0] && p.type === now.type)
    // What was tried as a whole meanwhile is newer.
    if (!its || mine !== asked || !trial.value) return
    const papers = trial.value.papers.map((p) =>
      p.pages[0] === its.pages[0] && p.type === its.type ? { ...p, values: its.values } : p,
    )
    trial.value = { ...trial.value, papers }
  }
  const tryPaperNow = useThrottleFn(tryPaper, PAPER_EVERY, true)
  const trySoon = useDebounceFn(tryNow, TRY_AFTER)
  const keepSoon = useDebounceFn(keep, KEEP_AFTER)
  watch(json, () => bench.value && (void tryPaperNow(), void trySoon(), void keepSoon()))
  watch(batch, () => {
    // The pages of the batch before are not those of this one.
    trial.value = null
    if (bench.value) void tryNow()
  })
  void load()

  /** The batch that sample pages go to. */
  const samples = async () => {
    const answer = await api.POST('/api/workbench/{stream}/samples', { params })
    if (answer.data && bench.value) {
      bench.value = { ...bench.value, samples: answer.data.no }
      batch.value = answer.data.no
    }
    return answer
  }
  /** Says what is right on a sample paper; the table is held against it from then on. */
  async function say(paper: Paper, values: Record<string, string | null>, type = paper.type) {
    const body = { pages: paper.pages, type, values: values as Record<string, string> }
    const { error } = await api.PUT('/api/workbench/{stream}/right', { params, body })
    if (error) tell(error)
    await tryNow()
  }
  async function forget(paper: Paper) {
    const path = { stream, page: paper.pages[0] }
    const { error } = await api.DELETE('/api/workbench/{stream}/right/{page}', { params: { path } })
    if (error) tell(error)
    await tryNow()
  }
  /** Keeps a paper of the batch that it is tried on among the samples, as people left it. */
  async function keepPaper(page: number) {
    const body = { batch: batch.value, page }
    const { data, error } = await api.POST('/api/workbench/{stream}/samples/papers', { params, body })
    if (error) tell(error)
    if (!data) return
    await samples()
    return data.pages[0]
  }
  async function live(note: string) {
    await keep()
    // What goes live was tried as it stands, however soon after a change it does.
    await tryNow()
    const body = { revision: bench.value?.draft.revision ?? 0, note }
    return api.POST('/api/workbench/{stream}/live', { params, body })
  }
  /** What the draft says otherwise than the saved version. */
  const changes = async () =>
    (await api.POST('/api/workbench/{stream}/changes', { params, body: { json: json.value, revision: 0 } }))
      .data
  const giveUp = () => api.DELETE('/api/workbench/{stream}', { params })
  return {
    ...{ bench, problem, json, draft, batch, trial, wrong, conflict, atHand },
    ...{ load, change, keep, trySoon, samples, say, forget, keepPaper, changes, live, giveUp },
    ...{ undo: history.undo, redo: history.redo, canUndo: history.canUndo, canRedo: history.canRedo },
  }
}

export type Workbench = ReturnType<typeof useWorkbench>
