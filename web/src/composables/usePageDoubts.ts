import { computed, watch, type ComputedRef, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import type { Schema } from '../api/client'

interface Desk {
  pages: ComputedRef<Schema['DeskPage'][]>
  documents: ComputedRef<Schema['DocumentView'][]>
  current: Ref<number>
  select: (no: number) => void
  nextOf: (wanted: (page: Schema['DeskPage']) => boolean) => void
}

/** Pages to look at, in reading order: doubtful cuts and types, and images beyond a limit. The first one opens. */
export function usePageDoubts({ pages, documents, current, select, nextOf }: Desk) {
  const route = useRoute()
  const doubts = computed(() => {
    const cuts = new Set(
      documents.value.filter((d) => d.stake.doubtful || d.type.doubtful).map((d) => d.pages[0]),
    )
    return pages.value.filter((p) => p.needsEye || cuts.has(p.no)).map((p) => p.no)
  })
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
  return { doubts, eyes, nextDoubt }
}
