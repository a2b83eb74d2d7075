import { computed, ref, shallowRef } from 'vue'
import { api, tell } from '../api/client'
import { has, take, type Proposed } from '../parts/draft'
import type { Workbench } from './useWorkbench'

/** What the pages alone say a stream could have, one by one: taken into the draft, or left. */
export function useProposals(stream: string, { batch, draft, change }: Workbench) {
  const all = shallowRef<Proposed[]>([])
  const left = ref(new Set<number>())
  const looked = ref(false)
  const busy = ref(false)
  /** Those that nobody has said anything about. */
  const open = computed(() =>
    all.value
      .map((proposed, i) => ({ proposed, i }))
      .filter(({ proposed, i }) => !left.value.has(i) && !(draft.value && has(draft.value, proposed))),
  )
  const current = computed(() => open.value[0])

  async function look() {
    if (!batch.value) return
    busy.value = true
    const params = { path: { stream }, query: { batch: batch.value } }
    const { data, error } = await api.GET('/api/workbench/{stream}/proposals', { params })
    busy.value = false
    if (error) tell(error)
    looked.value = true
    left.value = new Set()
    all.value = data ?? []
  }
  const takeOne = (proposed = current.value?.proposed) =>
    proposed && change((d) => take(d, proposed, all.value))
  const leave = (i = current.value?.i) => i !== undefined && (left.value = new Set([...left.value, i]))
  const takeAll = () => change((d) => open.value.forEach(({ proposed }) => take(d, proposed, all.value)))
  return { open, current, looked, busy, look, takeOne, leave, takeAll }
}

export type Proposals = ReturnType<typeof useProposals>
