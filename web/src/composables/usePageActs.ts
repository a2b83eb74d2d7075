import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { Decision, Schema } from '../api/client'

interface Desk {
  batch: Ref<Schema['BatchDetail'] | null>
  pages: ComputedRef<Schema['DeskPage'][]>
  current: Ref<number>
  chosen: ComputedRef<number[]>
  page: ComputedRef<Schema['DeskPage'] | undefined>
  document: ComputedRef<Schema['DocumentView'] | undefined>
  /** Whether a stake may be missing before this page. */
  place: ComputedRef<Schema['PlaceView'] | undefined>
  locked: ComputedRef<boolean>
  decide: (decision: Decision) => Promise<unknown>
  nextDoubt: () => void
}

/** What is done with the pages chosen at the Page desk: stakes, order, turning, setting aside, naming the type. */
export function usePageActs(desk: Desk) {
  const { batch, pages, current, chosen, page, document, place, locked, decide, nextDoubt } = desk
  const naming = ref(false)
  const isFirst = computed(() => document.value?.pages[0] === current.value)

  function toggleStake() {
    if (locked.value || page.value?.role !== 'content') return
    const asked = !!place.value
    const done = decide({ act: isFirst.value ? 'liftStake' : 'plantStake', page: current.value })
    if (asked) void done.then(nextDoubt)
  }
  /** It is as it stands: the document begins here, or where a stake may be missing, none does. */
  function confirm() {
    if (locked.value || !(isFirst.value || place.value)) return
    const act = isFirst.value ? 'confirmStake' : 'liftStake'
    void decide({ act, page: current.value }).then(nextDoubt)
  }
  function toggleAside() {
    if (locked.value || !page.value) return
    void decide({ act: page.value.role === 'content' ? 'setAside' : 'putBack', pages: chosen.value })
  }
  function turn() {
    if (!locked.value && page.value)
      void decide({ act: 'turn', page: current.value, rotation: (page.value.rotation + 90) % 360 })
  }
  function move(what: number[], before: number) {
    if (!locked.value) void decide({ act: 'movePages', pages: what, before })
  }
  /** Moves the chosen pages by one. */
  function nudge(by: -1 | 1) {
    const order = pages.value.map((p) => p.no)
    const first = order.indexOf(chosen.value[0])
    const last = first + chosen.value.length - 1
    if (by < 0 && first > 0) move(chosen.value, order[first - 1])
    if (by > 0 && last < order.length - 1) move(chosen.value, order[last + 2] ?? 0)
  }
  function drop(dragged: number, before: number) {
    const what = chosen.value.includes(dragged) ? chosen.value : [dragged]
    if (!what.includes(before)) move(what, before)
  }
  function toggleNaming() {
    naming.value = !naming.value && !locked.value && !!document.value
  }
  function name(type: string) {
    naming.value = false
    void decide({ act: 'nameType', page: current.value, type })
  }
  /** The types as they are offered: the best guesses first, then all others. */
  const offered = computed(() => {
    const all = batch.value?.types ?? []
    const guesses = document.value?.type.guesses ?? []
    const guessed = guesses.flatMap((g) => {
      const type = all.find((x) => x.type === g.type)
      return type ? [{ type: type.type, title: type.title, certainty: g.certainty }] : []
    })
    const rest = all.filter((x) => !guesses.some((g) => g.type === x.type))
    return [...guessed, ...rest.map((x) => ({ type: x.type, title: x.title, certainty: undefined }))]
  })
  /** While the types are shown, a figure takes one. */
  function pick(n: number) {
    const type = offered.value[n - 1]
    if (naming.value && type) name(type.type)
  }
  return {
    naming,
    isFirst,
    offered,
    toggleStake,
    confirm,
    toggleAside,
    turn,
    nudge,
    drop,
    toggleNaming,
    name,
    pick,
  }
}

export type PageActs = ReturnType<typeof usePageActs>
