import { useEventListener, useEventSource, useIntervalFn } from '@vueuse/core'

/** Calls back when a batch has changed, told by the server; falls back to a slow look when the line is cut. */
export function useEvents(changed: (batchNo: string) => void) {
  const { eventSource } = useEventSource('/api/events', ['batch'])
  useEventListener(eventSource, 'batch', (e: MessageEvent<string>) => changed(e.data))
  useIntervalFn(() => changed(''), 20_000)
}
