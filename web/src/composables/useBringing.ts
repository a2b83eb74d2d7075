import { ref, type ComputedRef, type Ref } from 'vue'
import type { Schema } from '../api/client'

interface Desk {
  current: Ref<number>
  page: ComputedRef<Schema['DeskPage'] | undefined>
  gap: ComputedRef<Schema['Gap'] | null>
  locked: ComputedRef<boolean>
  select: (no: number) => void
  step: (by: number, extend: boolean) => void
}
export type Place = 'after' | 'replaces' | 'gap'

/** Pages being brought to a place in a batch, by file or scanner: after a page, instead of it, or into its gap. */
export function useBringing({ current, page, gap, locked, select, step }: Desk) {
  const bringing = ref<{ page: number; place: Place } | null>(null)
  function bring(place: Place) {
    if (!locked.value && page.value) bringing.value = { page: current.value, place }
  }
  /** Into the gap that is open after the current page, else after it. */
  const insert = () => bring(gap.value?.open ? 'gap' : 'after')
  function fillGap(at: number) {
    select(at)
    bring('gap')
  }
  function brought() {
    if (bringing.value?.place === 'replaces' && page.value?.role === 'setAside') step(1, false)
    bringing.value = null
  }
  return { bringing, bring, insert, fillGap, brought }
}
