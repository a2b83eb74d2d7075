import { shallowRef, watch } from 'vue'
import { api, type Schema } from '../api/client'
import { byUrgency, nextFor } from '../parts/late'
import { useOpenBatch } from './useOpenBatch'

/**
 * The batch whose doubts come next when this one has none left for whoever sits here.
 *
 * @param done whether nothing is left here
 * @param leave what becomes of this batch before the next is opened
 */
export function useNextBatch(no: string, done: () => boolean, leave: () => Promise<unknown>) {
  const next = shallowRef<Schema['Row'] | null>(null)
  const open = useOpenBatch()
  async function look() {
    if (!done()) return
    const { data } = await api.GET('/api/board').catch(() => ({ data: undefined }))
    const others = (data?.batches ?? []).filter((r) => r.no !== no && r.stage === 'index' && r.doubts)
    next.value = nextFor(others.sort(byUrgency))
  }
  watch(done, look, { immediate: true })
  async function go() {
    if (!next.value) return
    await leave()
    await open(next.value)
  }
  return { next, go }
}
