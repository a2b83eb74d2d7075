import { ref, type ComputedRef, type Ref } from 'vue'
import type { Decision } from '../api/client'

interface Desk {
  current: Ref<number>
  chosen: ComputedRef<number[]>
  locked: ComputedRef<boolean>
  decide: (decision: Decision) => Promise<unknown>
}

/** Pages taken up with a key and put down before another page: what dragging does, for the hands on the keys. */
export function useCarry({ current, chosen, locked, decide }: Desk) {
  const carried = ref<number[]>([])
  function carry() {
    if (locked.value) return
    if (!carried.value.length) {
      carried.value = [...chosen.value]
      return
    }
    const pages = carried.value
    carried.value = []
    if (!pages.includes(current.value)) void decide({ act: 'movePages', pages, before: current.value })
  }
  return { carried, carry }
}
