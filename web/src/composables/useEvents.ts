import { onBeforeUnmount } from 'vue'

/** Calls back when a batch has changed, told by the server; falls back to a slow look when the line is cut. */
export function useEvents(changed: (batchNo: string) => void) {
  const source = new EventSource('/api/events')
  source.addEventListener('batch', (e) => changed((e as MessageEvent<string>).data))
  const slow = window.setInterval(() => changed(''), 20_000)
  onBeforeUnmount(() => {
    source.close()
    window.clearInterval(slow)
  })
}
