import { computed, type ComputedRef, type Ref } from 'vue'
import type { Decision, Schema } from '../api/client'
import { groupBegunBy } from '../parts/groups'
import { useCarry } from './useCarry'
import { useNaming } from './useNaming'

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
  load: () => Promise<void>
  nextDoubt: () => void
}

/** What is done with the pages chosen at the Page desk: stakes, order, turning, setting aside, naming the type. */
export function usePageActs(desk: Desk) {
  const { batch, pages, current, chosen, page, document, place, locked, decide, nextDoubt } = desk
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
  const group = computed(() => batch.value && groupBegunBy(batch.value, document.value))
  /** Opens a group with this page; with a page whose document opens one already, it joins the group before. */
  function toggleGroup() {
    if (locked.value || !batch.value?.groupTitle || page.value?.role !== 'content') return
    const joins = isFirst.value && group.value
    void decide({ act: joins ? 'joinGroup' : 'openGroup', page: current.value })
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
  const named = useNaming(desk)
  const carrying = useCarry(desk)
  /** Neither a type nor a place is looked for any more. */
  function leaveOff() {
    named.naming.value = false
    carrying.carried.value = []
  }
  return {
    ...named,
    ...carrying,
    leaveOff,
    isFirst,
    group,
    toggleGroup,
    toggleStake,
    confirm,
    toggleAside,
    turn,
    nudge,
    drop,
  }
}

export type PageActs = ReturnType<typeof usePageActs>
