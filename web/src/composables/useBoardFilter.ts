import { computed, type Ref } from 'vue'
import { useRoute, useRouter, type LocationQueryRaw } from 'vue-router'
import type { Schema } from '../api/client'
import { lateness, workable } from '../parts/late'

type Row = Schema['Row']

/** What the board is narrowed to. The choice stands in the address, so that it can be kept and handed on. */
export function useBoardFilter(rows: Ref<Row[]>, now: Ref<number>) {
  const route = useRoute()
  const router = useRouter()
  /** What the address is about to say: a second change may come before the first one stands there. */
  let coming: LocationQueryRaw | null = null
  const part = (name: string) =>
    computed({
      get: () => String(route.query[name] ?? ''),
      set: (value: string) => {
        coming = { ...(coming ?? route.query), [name]: value || undefined }
        void router.replace({ query: coming }).finally(() => (coming = null))
      },
    })
  const chosen = { stream: part('stream'), stage: part('stage'), only: part('only'), words: part('words') }

  const kinds: Record<string, (r: Row) => boolean> = {
    mine: (r) => r.mine,
    free: (r) => workable(r) && !r.with,
    late: (r) => lateness(r, now.value) !== 'well',
    held: (r) => !!r.onHold,
    byItself: (r) => r.byItself,
  }
  const says = (r: Row, words: string) =>
    [r.no, r.title, r.with ?? ''].some((said) => said.toLowerCase().includes(words.trim().toLowerCase()))

  const shown = computed(() =>
    rows.value.filter(
      (r) =>
        (!chosen.stream.value || r.stream === chosen.stream.value) &&
        (!chosen.stage.value || r.stage === chosen.stage.value) &&
        (kinds[chosen.only.value]?.(r) ?? true) &&
        says(r, chosen.words.value),
    ),
  )
  const streams = computed(() => [...new Map(rows.value.map((r) => [r.stream, r.title])).entries()])
  return { ...chosen, kinds, streams, shown }
}
