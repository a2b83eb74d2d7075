import { computed, ref, type ComputedRef } from 'vue'
import type { Schema } from '../api/client'

/** Which page is current and which are chosen with it; keys and ranges never reach a page that is not shown. */
export function usePageChoice(pages: ComputedRef<Schema['DeskPage'][]>, arrived: (no: number) => void) {
  const current = ref(0)
  const anchor = ref(0)
  const index = computed(() => pages.value.findIndex((p) => p.no === current.value))
  const page = computed(() => pages.value[index.value])

  const onlyEyes = ref(false)
  /** The pages on the ground line: all, or those that need an eye and the current one. */
  const shown = computed(() =>
    onlyEyes.value ? pages.value.filter((p) => p.needsEye || p.no === current.value) : pages.value,
  )
  const place = (no: number) => shown.value.findIndex((p) => p.no === no)
  const chosen = computed(() => {
    const [a, b] = [place(anchor.value), place(current.value)].sort((x, y) => x - y)
    return b < 0 ? [] : a < 0 ? [current.value] : shown.value.slice(a, b + 1).map((p) => p.no)
  })

  function select(no: number, extend = false) {
    current.value = no
    if (!extend) anchor.value = no
    arrived(no)
  }
  function step(by: number, extend: boolean) {
    const to = shown.value[Math.max(0, Math.min(shown.value.length - 1, place(current.value) + by))]
    if (to) select(to.no, extend)
  }
  /** The next of some pages after the current one; from the beginning again when there is none after. */
  function nextOf(wanted: (page: Schema['DeskPage']) => boolean) {
    const found = pages.value.find((p, i) => i > index.value && wanted(p)) ?? pages.value.find(wanted)
    if (found) select(found.no)
  }
  return { current, index, page, onlyEyes, shown, chosen, select, step, nextOf }
}
