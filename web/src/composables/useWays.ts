import type { ComputedRef, Ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schema } from '../api/client'

interface Desk {
  batch: Ref<Schema['BatchDetail'] | null>
  documents: ComputedRef<Schema['DocumentView'][]>
  document: ComputedRef<Schema['DocumentView'] | undefined>
  current: Ref<number>
  locked: ComputedRef<boolean>
  select: (no: number) => void
  moveTo: (to: 'index') => Promise<boolean>
}

/** Where the Page desk leads: from document to document, and on to indexing. */
export function useWays({ batch, documents, document, current, locked, select, moveTo }: Desk) {
  const router = useRouter()
  const goTo = (no: number) => select(documents.value[no - 1]?.pages[0] ?? current.value)
  const stepDocument = (by: number) =>
    goTo(Math.max(1, Math.min(documents.value.length, (document.value?.no ?? 0) + by)))
  async function on() {
    const no = batch.value?.no
    if (!locked.value) await moveTo('index')
    void router.push({ name: locked.value && batch.value?.filed ? 'filing' : 'index', params: { no } })
  }
  return { goTo, stepDocument, on }
}
