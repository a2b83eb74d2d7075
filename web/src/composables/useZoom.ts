import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, type Ref } from 'vue'
import type { Box } from '../api/client'

/** What a frame has around the page it shows, in pixels. */
const AROUND = 16
/** Pixels per millimetre, at most. */
const MOST = 16

/** How large a page of millimetres is shown in a frame, and which part of it: as a whole, by its width, or freely. */
export function useZoom(frame: Ref<HTMLElement | undefined>, size: { widthMm: number; heightMm: number }) {
  const { width, height } = useElementSize(frame)
  const mode = ref<'whole' | 'width' | 'free'>('whole')
  const free = ref(3)
  /** Pixels per millimetre. */
  const scale = computed(() => {
    const w = Math.max(50, width.value - AROUND)
    const h = Math.max(50, height.value - AROUND)
    if (mode.value === 'width') return w / size.widthMm
    if (mode.value === 'whole') return Math.min(w / size.widthMm, h / size.heightMm)
    return free.value
  })
  /** At a scale, with a point of the page at a part of the frame's width and height. */
  function show(atScale: number, [x, y]: number[], [partX, partY]: number[]) {
    const f = frame.value
    if (!f) return
    free.value = Math.min(MOST, atScale)
    mode.value = 'free'
    void nextTick(() =>
      f.scrollTo(x * scale.value - f.clientWidth * partX, y * scale.value - f.clientHeight * partY),
    )
  }
  const middle = ([x, y, w, h]: Box) => [x + w / 2, y + h / 2]

  /** Larger or smaller, about what is in the middle of the frame. */
  function zoom(factor: number) {
    const f = frame.value
    if (!f) return
    const centre = [f.scrollLeft + f.clientWidth / 2, f.scrollTop + f.clientHeight / 2]
    show(
      Math.max(1, scale.value * factor),
      centre.map((v) => v / scale.value),
      [0.5, 0.5],
    )
  }
  const fit = (to: 'whole' | 'width') => void (mode.value = to)
  /** As large as the paper is, at 96 pixels to the inch. */
  const real = () => zoom(96 / 25.4 / scale.value)
  /** A box as large as it fits. */
  function zoomTo(box: Box) {
    const f = frame.value
    if (f)
      show(Math.min((f.clientWidth - 24) / box[2], (f.clientHeight - 24) / box[3]), middle(box), [0.5, 0.5])
  }
  /** Comes to a box: its line readable, what is around it still there. */
  function goTo(box: Box) {
    const f = frame.value
    if (!f?.clientWidth) return
    const readable = Math.min((f.clientWidth * 0.7) / box[2], 34 / Math.max(box[3], 2.5))
    show(Math.min(7, Math.max(f.clientWidth / size.widthMm, readable)), middle(box), [0.5, 1 / 3])
  }
  return { scale, width, zoom, fit, real, zoomTo, goTo }
}
