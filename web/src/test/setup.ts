import { vi } from 'vitest'

/** Everything is as large as a window here: what measures itself before it shows anything shows it. */
class Measured {
  constructor(private readonly seen: ResizeObserverCallback) {}
  observe(target: Element) {
    const contentRect = { width: 1280, height: 800, top: 0, left: 0 } as DOMRectReadOnly
    const size = [{ inlineSize: 1280, blockSize: 800 }]
    const entry = { target, contentRect, borderBoxSize: size, contentBoxSize: size }
    this.seen([entry as never], this as never)
  }
  unobserve() {}
  disconnect() {}
}
vi.stubGlobal('ResizeObserver', Measured)
for (const [name, size] of [
  ['clientWidth', 1280],
  ['clientHeight', 800],
  ['offsetWidth', 1280],
  ['offsetHeight', 800],
] as const)
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => size })
Element.prototype.scrollIntoView = () => {}
Element.prototype.scrollTo = () => {}

/** The server tells nothing by itself here. */
class Silent extends EventTarget {
  close() {}
}
vi.stubGlobal('EventSource', Silent)
