import { shallowRef, watch } from 'vue'
import { api, type Schema } from '../api/client'
import type { SamplePage } from './useSamplePage'
import type { Workbench } from './useWorkbench'

/** How the value of the field at hand comes to be on the paper at hand: as read, and after each tidy step. */
export function useFieldSteps(stream: string, { json, batch }: Workbench, { chosen, paper }: SamplePage) {
  const steps = shallowRef<Schema['FieldSteps']>()
  let asked = 0
  // The paper is another one whenever it was tried: a draft with a fault has its answer from before.
  watch(
    [paper, () => chosen.value?.type, () => chosen.value?.field],
    async () => {
      const mine = ++asked
      const { type, field } = chosen.value ?? {}
      if (!type || !field || paper.value?.type !== type) return (steps.value = undefined)
      const { data } = await api.POST('/api/workbench/{stream}/steps', {
        params: { path: { stream } },
        body: { json: json.value, batch: batch.value, pages: paper.value.pages, type, field },
      })
      if (mine === asked) steps.value = data?.steps ? data : undefined
    },
    { immediate: true },
  )
  return { steps }
}

export type FieldSteps = ReturnType<typeof useFieldSteps>
