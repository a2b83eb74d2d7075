import { useTimeoutFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, tell, type Schema } from '../api/client'

type State = Schema['State']

/** What a scan begins with where nobody has scanned on the device before. */
export const USUAL_SETTINGS: Schema['ScanSettings'] = {
  source: 'feeder',
  dpi: 300,
  colour: 'grey',
  duplex: false,
  size: 'A4',
  showEvery: 1,
}

/**
 * A stack being scanned: begun, watched while it runs, stopped and gone on with.
 * @param looked after each look at it
 */
export function useScan(looked: (now: State, before: State | null) => void | Promise<void>) {
  const state = ref<State | null>(null)
  const scanning = computed(() => state.value?.standing === 'scanning')

  async function look() {
    const before = state.value
    if (!before) return
    const { data } = await api.GET('/api/scans/{no}', { params: { path: { no: before.no } } })
    if (data) state.value = data
    await looked(state.value ?? before, before)
  }
  const { start: soon } = useTimeoutFn(() => void look().then(() => scanning.value && soon()), 500, {
    immediate: false,
  })
  async function take(answer: Promise<{ data?: State; error?: unknown }>) {
    const { data, error } = await answer
    if (!data) return tell(error)
    state.value = data
    soon()
  }
  /** Takes up a stack that was broken off, or is being scanned already. @returns false when there is none */
  async function resume(no: string): Promise<boolean> {
    const { data } = await api.GET('/api/scans/{no}', { params: { path: { no } } })
    if (!data || data.standing === 'empty') return false
    state.value = data
    await looked(data, null)
    if (scanning.value) soon()
    return true
  }
  /** @param what the scanner, the batch or stream, the place in it, the settings */
  const begin = (what: Record<string, unknown>) => take(api.POST('/api/scans', { body: what as never }))
  const act = async (what: 'stop' | 'continue') => {
    if (state.value)
      await take(api.POST(`/api/scans/{no}/${what}`, { params: { path: { no: state.value.no } } }))
  }
  return { state, scanning, begin, resume, act, look }
}
