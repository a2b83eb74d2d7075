import { ref, shallowRef, type ShallowRef } from 'vue'

type Answer<T> = Promise<{ data?: T; error?: unknown }>

/**
 * Something asked of the server for a screen: what came, whether there is nothing yet and it is on its way, and why
 * it did not come. What is shown stays while it is asked for again.
 */
export function useLoad<T>(ask: () => Answer<T>, start = true) {
  const data: ShallowRef<T | undefined> = shallowRef()
  const loading = ref(start)
  const problem = shallowRef<unknown>()
  let asked = 0

  async function load() {
    const mine = ++asked
    loading.value = data.value === undefined
    // A server that is away answers nothing: that is said in the same place as what it says itself.
    const answer = await ask().catch(() => ({ data: undefined, error: null }))
    if (mine !== asked) return
    loading.value = false
    if (answer.data !== undefined) {
      data.value = answer.data
      problem.value = undefined
    } else problem.value = answer.error ?? null
  }
  if (start) void load()
  return { data, loading, problem, load }
}
