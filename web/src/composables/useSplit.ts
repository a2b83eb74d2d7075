import { useLocalStorage } from '@vueuse/core'

const SPLITS = ['30%', '46%', '64%']

/** How the strip and the page share the room: by a bar that is dragged, or by a key from one share to the next. */
export function useSplit() {
  const split = useLocalStorage<string | number>('jalon.strip', SPLITS[1])
  const resplit = () => (split.value = SPLITS[(SPLITS.indexOf(String(split.value)) + 1) % SPLITS.length])
  return { split, resplit }
}
