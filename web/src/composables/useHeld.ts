import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** True from when it is set until its key comes up. A window that loses the focus never hears that, so then too. */
export function useHeld(key: string) {
  const held = ref(false)
  useEventListener(window, 'keyup', (e: KeyboardEvent) => {
    if (e.key.toLowerCase() === key) held.value = false
  })
  useEventListener(window, 'blur', () => (held.value = false))
  return held
}
