import { useRouter } from 'vue-router'
import { api, type Schema } from '../api/client'
import { workable } from '../parts/late'

/** Opens a batch at the stage it is in. Whoever opens one to work on it has it from then on. */
export function useOpenBatch() {
  const router = useRouter()
  return async (r: Schema['Row'] | null | undefined) => {
    if (!r || r.withdrawn || r.stage === 'intake') return
    if (workable(r) && !r.mine)
      await api.POST('/api/batches/{no}/take', { params: { path: { no: r.no } }, body: { over: false } })
    void router.push({ name: r.stage === 'done' ? 'filing' : r.stage, params: { no: r.no } })
  }
}
