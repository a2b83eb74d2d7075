import { computed, ref, shallowRef, watch } from 'vue'
import { api, type Box, type Schema } from '../api/client'
import type { Shape } from '../parts/shapes'
import type { Proposals } from './useProposals'
import type { Workbench } from './useWorkbench'

const LEAST_LETTERS = 4
const CLEAR = 0.85
const MOST_ANCHORS = 24

/** Turned about the middle of the sheet, as if it had been fed straight. */
export function straight([x, y, w, h]: Box, page: { widthMm: number; heightMm: number; lean: number }): Box {
  const a = (-page.lean * Math.PI) / 180
  const dx = x + w / 2 - page.widthMm / 2
  const dy = y + h / 2 - page.heightMm / 2
  const round = (mm: number) => Math.round(mm * 10) / 10
  return [
    round(page.widthMm / 2 + dx * Math.cos(a) - dy * Math.sin(a) - w / 2),
    round(page.heightMm / 2 + dx * Math.sin(a) + dy * Math.cos(a) - h / 2),
    round(w),
    round(h),
  ]
}

const inside = ([x, y, w, h]: Box, word: Box) => {
  const cx = word[0] + word[2] / 2
  const cy = word[1] + word[3] / 2
  return cx >= x && cx <= x + w && cy >= y && cy <= y + h
}

/** The sample page at hand: what is read where on it, what is proposed there, and a box that is drawn on it. */
export function useSamplePage({ batch, trial }: Workbench, { current }: Proposals) {
  const no = ref(1)
  const page = computed(() => trial.value?.pages.find((p) => p.no === no.value) ?? trial.value?.pages[0])
  const paper = computed(() => trial.value?.papers.find((p) => p.pages.includes(page.value?.no ?? 0)))
  const chosen = ref<{ type: string; field: string } | null>(null)
  const words = shallowRef<Schema['Word'][]>([])
  const box = shallowRef<Box | null>(null)
  watch(
    () => [batch.value, page.value?.no] as const,
    async ([of, shown]) => {
      words.value = []
      box.value = null
      if (!of || !shown) return
      const params = { path: { no: of, page: shown } }
      const { data } = await api.GET('/api/batches/{no}/pages/{page}/words', { params })
      if (page.value?.no === shown) words.value = data ?? []
    },
    { immediate: true },
  )
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
    return [...values, ...proposed]
  })
  const drawn = computed(() => {
    if (!box.value || !page.value) return null
    const its = words.value.filter((w) => inside(box.value!, w.box))
    const values = shapes.value.map((s) => s.box)
    const anchors = words.value
      .filter((w) => w.certainty >= CLEAR && /^\p{L}+:?$/u.test(w.text) && w.text.length >= LEAST_LETTERS)
      .filter((w) => !its.includes(w) && !values.some((v) => inside(v, w.box)))
      .slice(0, MOST_ANCHORS)
      .map((w) => ({ text: w.text.replace(/:$/, ''), boxMm: straight(w.box, page.value!) }))
    return { box: straight(box.value, page.value), text: its.map((w) => w.text).join(' '), anchors }
  })
  return { no, page, paper, chosen, words, shapes, box, drawn }
}
