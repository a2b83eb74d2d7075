import { ref, shallowRef } from 'vue'

/**
 * Something asked of the server from a form, once at a time: whether it is under way, and why it was refused, which is
 * null where nobody answered.
 */
export function useAsking() {
  const busy = ref(false)
  const refused = shallowRef<unknown>()

  /** @param ask asks the server, @param then is told what it answers when it refuses nothing */
  async function asking<T>(
    ask: () => Promise<{ data?: T; error?: unknown }>,
    then: (data: T | undefined) => void,
  ) {
    if (busy.value) return
    busy.value = true
    refused.value = undefined
    const { data, error } = await ask().catch(() => ({ data: undefined, error: null }))
    busy.value = false
    if (error === undefined) then(data)
    else refused.value = error
  }
  return { busy, refused, asking }
}
