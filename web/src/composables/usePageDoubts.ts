import { computed, reactive, watch, type ComputedRef, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import type { Schema } from '../api/client'

interface Desk {
  pages: ComputedRef<Schema['DeskPage'][]>
  documents: ComputedRef<Schema['DocumentView'][]>
  /** Pages before which a stake may be missing. */
  places: ComputedRef<Schema['PlaceView'][]>
  current: Ref<number>
  select: (no: number) => void
  nextOf: (wanted: (page: Schema['DeskPage']) => boolean) => void
}

/**
 * Pages to look at, in reading order: doubtful cuts and types, places where a stake may be missing, and images beyond a
 * limit. The first one opens.
 */
export function usePageDoubts({ pages, documents, places, current, select, nextOf }: Desk) {
  const route = useRoute()
  const doubts = computed(() => {
    const cuts = new Set([
      ...documents.value.filter((d) => d.stake.doubtful || d.type.doubtful).map((d) => d.pages[0]),
      ...places.value.map((p) => p.page),
    ])
    return pages.value.filter((p) => p.needsEye || cuts.has(p.no)).map((p) => p.no)
  })
  /** The page before the current one, while it is asked whether a document begins there: both are looked at. */
  const beside = computed(() => {
    const asked =
      places.value.some((p) => p.page === current.value) ||
      documents.value.some((d) => d.stake.doubtful && d.pages[0] === current.value)
    const at = pages.value.findIndex((p) => p.no === current.value)
    return asked ? pages.value.slice(0, at).findLast((p) => p.role === 'content') : undefined
  })
  const seen = reactive(new Set<number>())
  watch(current, (no) => seen.add(no), { immediate: true })
  /** How many pages nobody looked at here, once nothing is in doubt any more. */
  const passed = computed(() =>
    doubts.value.length
      ? undefined
      : pages.value.filter((p) => p.role === 'content' && !seen.has(p.no)).length,
  )
  const eyes = computed(() => pages.value.filter((p) => p.needsEye).length)
  const nextDoubt = () => nextOf((p) => doubts.value.includes(p.no))
  watch(
    pages,
    (all) => {
      if (!all.length || all.some((p) => p.no === current.value)) return
      const asked = Number(route.query.page)
      select(all.some((p) => p.no === asked) ? asked : (doubts.value[0] ?? all[0].no))
    },
    { immediate: true },
  )
  return { doubts, eyes, beside, passed, nextDoubt }
}
