import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { api, worded, type Schema } from '../api/client'
import type { Workbench } from './useWorkbench'

type Progress = Schema['Progress']
type Batch = Schema['ReplayedBatch']
export type Place = Batch['places'][number] & { batch: string }
const WHATS = ['cut', 'type', 'value'] as const
const DIDS = ['sureAndRight', 'inDoubt', 'sureAndWrong'] as const

/** So many at most. */
const MOST = 200
/** The last so many batches, or those filed in the last so many days. */
export const CHOICES = {
  ...{ last5: { most: 5, days: 0 }, last20: { most: 20, days: 0 }, last100: { most: 100, days: 0 } },
  ...{ days7: { most: MOST, days: 7 }, days30: { most: MOST, days: 30 }, days90: { most: MOST, days: 90 } },
}
export type Choice = keyof typeof CHOICES
const LOOK_AFTER = 1000

/**
 * The draft held against batches that people confirmed, one after the other. That goes on by itself, whether this
 * screen is open or not; what the last one found is here again when the screen is.
 */
export function useReplay(stream: string, { json }: Workbench) {
  const now = shallowRef<Progress | null>(null)
  const problem = ref('')
  const which = ref<Choice>('last20')
  const params = { path: { stream } }
  const look = useTimeoutFn(see, LOOK_AFTER, { immediate: false })
  function follow(progress: Progress | null) {
    now.value = progress
    problem.value = progress?.trouble ?? ''
    if (progress?.running) look.start()
    else look.stop()
  }
  async function see() {
    const { data } = await api.GET('/api/workbench/{stream}/replay', { params })
    follow(data?.of === undefined ? null : data)
  }
  async function run() {
    const body = { json: json.value, ...CHOICES[which.value] }
    const { data, error } = await api.POST('/api/workbench/{stream}/replay', { params, body })
    if (data) follow(data)
    else problem.value = worded(error)
  }
  async function stop() {
    await api.DELETE('/api/workbench/{stream}/replay', { params })
    await see()
  }
  void see()

  const batches = computed<Batch[]>(() => now.value?.done ?? [])
  const all = computed(() => now.value?.of)
  /** Those that nobody can replay any more. */
  const erased = computed(() => now.value?.erased ?? 0)
  const running = computed(() => !!now.value?.running)
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
  /** Worst first: what nobody would look at, then what is worse, then the rest. */
  const ordered = computed(() => {
    const rank = (p: Place) => (p.worse ? (p.afterDid === 'sureAndWrong' ? 0 : 1) : p.better ? 3 : 2)
    return [...places.value].sort((a, b) => rank(a) - rank(b))
  })
  /** The draft as it stands is not what was held against them. */
  const old = computed(() => !!now.value && now.value.definition !== json.value)
  /** Places where it does worse, and how many batches it was of: what was found of another draft says nothing. */
  const worse = computed(() => (old.value ? 0 : places.value.filter((p) => p.worse).length))
  const held = computed(() => (old.value ? 0 : batches.value.length))
  return { which, batches, all, erased, running, problem, old, counts, took, worse, held, ordered, run, stop }
}

export type Replay = ReturnType<typeof useReplay>
