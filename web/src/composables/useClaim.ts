import { useIntervalFn, watchDebounced } from '@vueuse/core'
import { onBeforeUnmount, type Ref } from 'vue'
import { api, tell, type Schema } from '../api/client'

/** The server forgets after three minutes what is not said again. */
const AGAIN_MS = 60_000

/** The document that is open to index is this person's own while it is: others who index the batch leave it. */
export function useClaim(
  no: string,
  batch: Ref<Schema['BatchDetail'] | null>,
  document: Ref<Schema['DocumentView'] | undefined>,
) {
  const params = { path: { no } }
  let mine = 0
  async function claim() {
    const page = document.value?.pages[0]
    const b = batch.value
    if (!page || !b || b.filed || b.stage !== 'index') return
    if (b.claims.some((c) => c.page === page && !c.mine)) return
    const again = page === mine
    mine = page
    const { error } = await api.POST('/api/batches/{no}/claim', { params, body: { page } })
    if (error && !again) tell(error)
  }
  // The desk comes by the first document on its way to the first doubt.
  watchDebounced(() => document.value?.pages[0], claim, { debounce: 150, immediate: true })
  useIntervalFn(claim, AGAIN_MS)
  // Where this cannot be said it is forgotten by itself.
  onBeforeUnmount(() => mine && void api.DELETE('/api/batches/{no}/claim', { params }).catch(() => {}))
}
