import { useLocalStorage } from '@vueuse/core'

/** More is never left lying: what was typed into batches that are long gone goes. */
const MOST = 200

/**
 * What is typed into a batch's fields and not settled yet, kept in the browser until it is: over a reload, a lost
 * session, in another tab.
 */
export function useTyped(no: string) {
  const typed = useLocalStorage<[key: string, text: string][]>('jalon.typed', [])
  const key = (page: number, field: string) => `${no} ${page} ${field}`
  const others = (page: number, field: string) => typed.value.filter(([k]) => k !== key(page, field))
  return {
    of: (page: number, field: string) => typed.value.find(([k]) => k === key(page, field))?.[1],
    keep(page: number, field: string, text: string) {
      typed.value = [...others(page, field).slice(1 - MOST), [key(page, field), text]]
    },
    forget(page: number, field: string) {
      typed.value = others(page, field)
    },
  }
}
