import { computed, shallowRef, watch } from 'vue'
import { api, type Schema } from '../api/client'
import type { SamplePage } from './useSamplePage'
import type { Workbench } from './useWorkbench'

/** How the values of the field at hand come to be on each paper of its type: as read, and after each tidy step. */
export function useFieldSteps(
  stream: string,
  { json, batch, trial }: Workbench,
  { chosen, paper }: SamplePage,
) {
  const all = shallowRef<Schema['PaperSteps'][]>([])
  let asked = 0
  // What was tried is what is asked about: a draft with a fault has its answer from before.
  watch(
    [trial, () => chosen.value?.type, () => chosen.value?.field],
    async () => {
      const mine = ++asked
      const { type, field } = chosen.value ?? {}
      if (!type || !field || !trial.value) return (all.value = [])
      const { data } = await api.POST('/api/workbench/{stream}/steps', {
        params: { path: { stream } },
        body: { json: json.value, batch: batch.value, type, field },
      })
      if (mine === asked && data) all.value = data
    },
    { immediate: true },
  )
  /** On the paper at hand. */
  const steps = computed(() => all.value.find((p) => p.page === paper.value?.pages[0])?.steps)
  return { all, steps }
}

export type FieldSteps = ReturnType<typeof useFieldSteps>
