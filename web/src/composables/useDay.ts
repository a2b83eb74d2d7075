import { computed, type Ref } from 'vue'
import type { Schema } from '../api/client'

const sum = (hours: Schema['Hour'][] | undefined, stream?: string) =>
  (hours ?? []).filter((h) => !stream || h.stream === stream).reduce((n, h) => n + h.pages, 0)

/** What the figures of a day come to, as a whole and for each stream. */
export function useDay(day: Ref<Schema['Day'] | undefined>) {
  const streams = computed(() =>
    (day.value?.streams ?? []).map((s) => ({
      ...s,
      title: day.value?.titles[s.stream] ?? s.stream,
      received: sum(day.value?.received, s.stream),
      filed: sum(day.value?.filed, s.stream),
    })),
  )
  const received = computed(() => sum(day.value?.received))
  const filed = computed(() => sum(day.value?.filed))
  const sheets = computed(() => (day.value?.received ?? []).reduce((n, h) => n + h.sheets, 0))
  return { streams, received, filed, sheets }
}

/** A day from its first moment to its last, a number of days before today. */
export function dayBefore(back: number): { from: Date; to: Date } {
  const from = new Date()
  from.setHours(0, 0, 0, 0)
  from.setDate(from.getDate() - back)
  const to = new Date(from)
  to.setDate(to.getDate() + 1)
  return { from, to }
}
