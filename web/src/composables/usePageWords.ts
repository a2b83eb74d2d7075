import { ref, watch } from 'vue'
import { api, type Schema } from '../api/client'

/** The words that were read on the page that is shown; none while they come. */
export function usePageWords(shown: () => { no: string; page: number; turned: number } | null | undefined) {
  const words = ref<Schema['Word'][]>([])
  const key = () => JSON.stringify(shown())
  watch(
    key,
    async (now) => {
      words.value = []
      const its = shown()
      if (!its) return
      const path = { no: its.no, page: its.page }
      const { data } = await api.GET('/api/batches/{no}/pages/{page}/words', { params: { path } })
      if (data && now === key()) words.value = data
    },
    { immediate: true },
  )
  return words
}
