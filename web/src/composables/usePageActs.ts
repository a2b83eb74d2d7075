import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { Decision, Schema } from '../api/client'

interface Desk {
  batch: Ref<Schema['BatchDetail'] | null>
  pages: ComputedRef<Schema['DeskPage'][]>
  current: Ref<number>
  chosen: ComputedRef<number[]>
  page: ComputedRef<Schema['DeskPage'] | undefined>
  document: ComputedRef<Schema['DocumentView'] | undefined>
  locked: ComputedRef<boolean>
  decide: (decision: Decision) => Promise<unknown>
  nextDoubt: () => void
}

/** What is done with the pages chosen at the Page desk: stakes, order, turning, setting aside, naming the type. */
export function usePageActs(desk: Desk) {
  const { batch, pages, current, chosen, page, document, locked, decide, nextDoubt } = desk
  const naming = ref(false)
  const isFirst = computed(() => document.value?.pages[0] === current.value)

  function toggleStake() {
    if (locked.value || page.value?.role !== 'content') return
    void decide({ act: isFirst.value ? 'liftStake' : 'plantStake', page: current.value })
  }
  function confirm() {
    if (!locked.value && isFirst.value)
      void decide({ act: 'confirmStake', page: current.value }).then(nextDoubt)
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
  /** While the types are shown, a figure takes one. */
  function pick(n: number) {
    const type = batch.value?.types[n - 1]
    if (naming.value && type) name(type.type)
  }
  return { naming, isFirst, toggleStake, confirm, toggleAside, turn, nudge, drop, toggleNaming, name, pick }
}

export type PageActs = ReturnType<typeof usePageActs>
