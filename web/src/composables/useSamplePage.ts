import { computed, ref, shallowRef, watch } from 'vue'
import { api, tell, type Box, type Schema } from '../api/client'
import type { Shape } from '../parts/shapes'
import type { Proposals } from './useProposals'
import type { Workbench } from './useWorkbench'

/** The sample page at hand: what is read where on it, what is proposed there, and a box that is drawn on it. */
export function useSamplePage(stream: string, { batch, trial }: Workbench, { current }: Proposals) {
  const no = ref(1)
  const page = computed(() => trial.value?.pages.find((p) => p.no === no.value) ?? trial.value?.pages[0])
  const paper = computed(() => trial.value?.papers.find((p) => p.pages.includes(page.value?.no ?? 0)))
  const chosen = ref<{ type: string; field: string } | null>(null)
  /** A box drawn on the page, as a zone would have it. */
  const drawn = shallowRef<Schema['DrawnBox'] | null>(null)
  /** Where it was drawn, as long as it is asked about. */
  const box = shallowRef<Box | null>(null)
  watch(drawn, (now) => now || (box.value = null))
  /** What is right on its paper is being said. */
  const saying = ref(false)
  watch([batch, () => page.value?.no], () => ((drawn.value = null), (saying.value = false)))
  const shapes = computed<Shape[]>(() => {
    const here = (at: { page: number }) => at.page === page.value?.no
    const values = Object.entries(paper.value?.values ?? {})
      .filter(([, v]) => v.boxMm && here(v))
      .map(([name, v]): Shape => {
        const now = chosen.value?.field === name && chosen.value.type === paper.value?.type
        return { box: v.boxMm, kind: now ? 'field' : 'other', label: v.value ?? '' }
      })
    const proposed = (current.value?.proposed.proposal.seen ?? [])
      .filter((s) => s.box && here(s))
      .map((s): Shape => ({ box: s.box!, kind: 'mark', label: s.value ?? '' }))
    const asked = box.value ? [{ box: box.value, kind: 'field' as const, label: '' }] : []
    return [...values, ...proposed, ...asked]
  })
  async function draw(at: Box) {
    const shown = page.value?.no
    const values = shapes.value.map((shape) => shape.box)
    const like = trial.value?.papers.filter((p) => p.type === paper.value?.type).map((p) => p.pages) ?? []
    const body = { batch: batch.value, page: shown ?? 0, box: at, values, papers: like }
    const { data, error } = await api.POST('/api/workbench/{stream}/box', {
      params: { path: { stream } },
      body,
    })
    if (error) tell(error)
    if (shown !== page.value?.no) return
    drawn.value = data ?? null
    box.value = data ? at : null
  }
  return { no, page, paper, chosen, shapes, drawn, draw, saying }
}

export type SamplePage = ReturnType<typeof useSamplePage>
