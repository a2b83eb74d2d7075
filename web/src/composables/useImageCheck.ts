import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { pictureOf, repairsOf, type Box, type Decision, type Repair, type Schema } from '../api/client'
import { useHeld } from './useHeld'

interface Desk {
  no: string
  pages: ComputedRef<Schema['DeskPage'][]>
  /** Where the current page stands among them. */
  index: ComputedRef<number>
  current: Ref<number>
  chosen: ComputedRef<number[]>
  locked: ComputedRef<boolean>
  decide: (decision: Decision) => Promise<unknown>
  next: () => void
}

/** The image check of the page that is shown: keeping it as it is, repairing it with a preview, before and after. */
export function useImageCheck({ no, pages, index, current, chosen, locked, decide, next }: Desk) {
  const page = computed(() => pages.value[index.value])
  const figuresOpen = ref(false)
  /** A part of the page that a figure speaks of, while it is pointed at. */
  const region = ref<Box | null>(null)
  const repairing = ref(false)
  const preview = ref<Repair[] | null>(null)
  const before = useHeld('b')
  const shownRecipe = computed(() => (before.value ? [] : (preview.value ?? repairsOf(page.value))))

  watch(current, () => {
    repairing.value = false
    preview.value = region.value = null
  })
  function accept() {
    if (locked.value || !page.value?.image.findings.length) return
    void decide({
      act: 'acceptImage',
      pages: chosen.value.filter((n) => pages.value.find((p) => p.no === n)?.needsEye),
    }).then(next)
  }
  function repair() {
    if (locked.value || page.value?.role !== 'content') return
    repairing.value = !repairing.value
    preview.value = null
  }
  /** @param steps null for what the stream says */
  function repairSo(steps: Repair[] | null) {
    repairing.value = false
    void decide({ act: 'repairPage', page: current.value, recipe: steps }).then(() => (preview.value = null))
  }
  function leaveRepair() {
    repairing.value = false
    preview.value = null
  }
  const toggleFigures = () => (figuresOpen.value = !figuresOpen.value)
  const pointAt = (box: Box | null) => (region.value = box)
  /** Neighbours are fetched ahead, so that a page change shows at once. */
  watch([index, pages], () => {
    for (const by of [1, 2, -1]) {
      const near = pages.value[index.value + by]
      if (near) new Image().src = pictureOf(no, near, 900, repairsOf(near))
    }
  })
  return {
    figuresOpen,
    toggleFigures,
    pointAt,
    region,
    repairing,
    preview,
    before,
    shownRecipe,
    accept,
    repair,
    repairSo,
    leaveRepair,
  }
}

export type ImageCheck = ReturnType<typeof useImageCheck>
