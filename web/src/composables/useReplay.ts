import { computed, ref, shallowRef, watch } from 'vue'
import { api, worded, type Schema } from '../api/client'
import type { Workbench } from './useWorkbench'

type Batch = Schema['ReplayedBatch']
export type Place = Batch['places'][number] & { batch: string }
const WHATS = ['cut', 'type', 'value'] as const
const DIDS = ['sureAndRight', 'inDoubt', 'sureAndWrong'] as const

/** So many at most. */
const MOST = 200
/** The last so many batches, or those filed in the last so many days. */
export const CHOICES = {
  ...{ last5: { most: 5 }, last20: { most: 20 }, last100: { most: 100 } },
  ...{ days7: { most: MOST, days: 7 }, days30: { most: MOST, days: 30 }, days90: { most: MOST, days: 90 } },
}
export type Choice = keyof typeof CHOICES

/** The draft held against batches that people confirmed, one after the other; stopped, it tells what it has. */
export function useReplay(stream: string, { json }: Workbench) {
  const batches = shallowRef<Batch[]>([])
  const all = ref(0)
  const running = ref(false)
  const problem = ref('')
  /** What the draft was when it was held against them. */
  const replayed = ref('')
  let asked = 0

  /** Those that nobody can replay any more. */
  const erased = ref(0)
  const which = ref<Choice>('last20')
  async function run() {
    const mine = ++asked
    const params = { path: { stream } }
    batches.value = []
    problem.value = ''
    replayed.value = json.value
    running.value = true
    const { data } = await api.GET('/api/workbench/{stream}/confirmed', {
      params: { ...params, query: CHOICES[which.value] },
    })
    all.value = data?.batches.length ?? 0
    erased.value = data?.erased ?? 0
    for (const { batch } of data?.batches ?? []) {
      const body = { json: replayed.value, batch }
      const { data: one, error } = await api.POST('/api/workbench/{stream}/replay', { params, body })
      if (mine !== asked) return
      if (error) problem.value = worded(error)
      else batches.value = [...batches.value, one]
      if (error) break
    }
    running.value = false
  }
  function stop() {
    asked++
    running.value = false
  }
  const sum = (what: string, by: 'before' | 'after', did: (typeof DIDS)[number]) =>
    batches.value.reduce((n, b) => n + (b.compared.find((c) => c.what === what)?.[by][did] ?? 0), 0)
  const places = computed(() =>
    batches.value.flatMap((b) => b.places.map((p): Place => ({ ...p, batch: b.batch }))),
  )
  /** For cuts, types and values: how often better, worse, the same, and sure but wrong before and after. */
  const counts = computed(() =>
    WHATS.map((what) => {
      const its = places.value.filter((p) => p.what === what)
      const better = its.filter((p) => p.better).length
      const worse = its.filter((p) => p.worse).length
      const total = DIDS.reduce((n, did) => n + sum(what, 'after', did), 0)
      const wrong = { before: sum(what, 'before', 'sureAndWrong'), after: sum(what, 'after', 'sureAndWrong') }
      const doubts = { before: sum(what, 'before', 'inDoubt'), after: sum(what, 'after', 'inDoubt') }
      return { what, better, worse, same: total - better - worse, wrong, doubts }
    }),
  )
  const seconds = (of: 'seconds' | 'secondsBefore') => batches.value.reduce((n, b) => n + b[of], 0)
  const took = computed(() => ({ now: seconds('seconds'), before: seconds('secondsBefore') }))
  const worse = computed(() => places.value.filter((p) => p.worse).length)
  /** Worst first: what nobody would look at, then what is worse, then the rest. */
  const ordered = computed(() => {
    const rank = (p: Place) => (p.worse ? (p.afterDid === 'sureAndWrong' ? 0 : 1) : p.better ? 3 : 2)
    return [...places.value].sort((a, b) => rank(a) - rank(b))
  })
  const old = computed(() => !!replayed.value && replayed.value !== json.value)
  watch(json, () => running.value && stop())
  return { which, batches, all, erased, running, problem, old, counts, took, worse, ordered, run, stop }
}

export type Replay = ReturnType<typeof useReplay>
