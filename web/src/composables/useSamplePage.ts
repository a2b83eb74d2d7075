import { computed, ref, shallowRef, watch } from 'vue'
import { api, tell, type Box, type Schema } from '../api/client'
import type { Shape } from '../parts/shapes'
import { usePageWords } from './usePageWords'
import type { Proposals } from './useProposals'
import type { Workbench } from './useWorkbench'

const LEAST_MM = 0.5
/** In hundredths, so that halves stay halves; no side goes off the paper or vanishes. */
const moved = (box: Box, by: number[]) =>
  box.map((mm, i) => Math.max(i > 1 ? LEAST_MM : 0, Math.round((mm + by[i]) * 100) / 100))

/** What holds both. */
const both = ([x, y, w, h]: Box, [x2, y2, w2, h2]: Box): Box => {
  const [left, top] = [Math.min(x, x2), Math.min(y, y2)]
  return [left, top, Math.max(x + w, x2 + w2) - left, Math.max(y + h, y2 + h2) - top]
}

/** The sample page at hand: what is read where on it, what is proposed there, and a box that is drawn on it. */
export function useSamplePage(
  stream: string,
  { batch, trial, change, atHand }: Workbench,
  { current }: Proposals,
) {
  const no = ref(1)
  const page = computed(() => trial.value?.pages.find((p) => p.no === no.value) ?? trial.value?.pages[0])
  const paper = computed(() => trial.value?.papers.find((p) => p.pages.includes(page.value?.no ?? 0)))
  watch(paper, (now) => (atHand.value = now), { immediate: true })
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
  /** As it was drawn, on the upright page: a place that is shown lies on the straight sheet. */
  let asked: Box | null = null
  async function draw(at: Box) {
    asked = at
    const shown = page.value?.no
    const values = shapes.value.map((shape) => shape.box).filter((other) => other !== box.value)
    const like = trial.value?.papers.filter((p) => p.type === paper.value?.type).map((p) => p.pages) ?? []
    const body = { batch: batch.value, page: shown ?? 0, box: at, values, papers: like }
    const { data, error } = await api.POST('/api/workbench/{stream}/box', {
      params: { path: { stream } },
      body,
    })
    if (error) tell(error)
    if (shown !== page.value?.no) return
    drawn.value = data ?? null
    // What was drawn beside a printed rule is meant to lie on it.
    box.value = data ? data.place.boxMm : null
  }
  const words = usePageWords(() =>
    page.value && batch.value ? { no: batch.value, page: page.value.no, turned: page.value.rotation } : null,
  )
  /** A word of the page is asked about. @param more with what was asked about before */
  function word(i: number, more: boolean) {
    const its = words.value[i]?.box
    if (its) void draw(more && asked && drawn.value ? both(asked, its) : its)
  }
  /** Moves or sizes the place that the field at hand is found at. @param by millimetres: right, down, wider, higher */
  function nudge(by: number[]) {
    const at = chosen.value
    if (!at?.field) return
    change((d) => {
      const field = d.types?.find((x) => x.type === at.type)?.fields?.find((f) => f.field === at.field)
      const zone = field?.finders?.find((f) => f.boxMm)
      if (zone) zone.boxMm = moved(zone.boxMm as Box, by)
    })
  }
  return { nudge, no, page, paper, chosen, shapes, words, word, drawn, draw, saying }
}

export type SamplePage = ReturnType<typeof useSamplePage>
