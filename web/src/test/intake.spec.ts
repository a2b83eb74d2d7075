import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api } from '../api/client'
import { i18n } from '../i18n'
import { filesDropped } from '../parts/drop'
import UploadPanel from '../parts/UploadPanel.vue'

/** A made-up upload: answers in turn what the test wants. */
class Request {
  static answers: (number | 'lost')[] = []
  static sent: string[] = []
  upload: { onprogress?: (e: { loaded: number; total: number }) => void } = {}
  onload?: () => void
  onerror?: () => void
  onabort?: () => void
  status = 0
  statusText = ''
  responseText = ''
  private url = ''
  open(_: string, url: string) {
    this.url = url
  }
  setRequestHeader() {}
  abort() {
    this.onabort?.()
  }
  send() {
    Request.sent.push(decodeURIComponent(this.url))
    const answer = Request.answers.shift() ?? 200
    queueMicrotask(() => {
      if (answer === 'lost') return this.onerror?.()
      this.status = answer
      this.responseText = answer < 300 ? '{"pages":2}' : '{"detail":"The disk is full."}'
      this.onload?.()
    })
  }
}
const paths: string[] = []
beforeEach(() => {
  Request.answers = []
  Request.sent = []
  paths.length = 0
  document.cookie = 'XSRF-TOKEN=x'
  vi.stubGlobal('XMLHttpRequest', Request)
  vi.spyOn(api, 'POST').mockImplementation(((path: string) => {
    paths.push(path)
    return Promise.resolve({ data: { no: 'B-0007' } })
  }) as never)
  vi.useFakeTimers({ toFake: ['setTimeout'] })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})
const file = (name: string) => new File(['x'], name, { lastModified: 5 })

async function bring(...names: string[]) {
  const panel = mount(UploadPanel, { props: { stream: 'dues-letters' }, global: { plugins: [i18n] } })
  const input = panel.find('.files-input input').element as HTMLInputElement
  Object.defineProperty(input, 'files', { value: names.map(file) })
  await panel.find('.files-input input').trigger('change')
  for (let i = 0; i < 12; i++) {
    await flushPromises()
    await vi.advanceTimersByTimeAsync(20_000)
  }
  return panel
}

test('files go in the order of their numbers, each under its own key, and then the batch is complete', async () => {
  const panel = await bring('scan10.jpg', 'scan2.jpg', '.hidden')
  expect(Request.sent.map((u) => u.replace(/.*key=/, ''))).toEqual(['scan2.jpg|1|5', 'scan10.jpg|1|5'])
  expect(paths.at(-1)).toBe('/api/batches/{no}/arrived')
  expect(panel.text()).toContain('2 of 2 files')
  expect(panel.text()).toContain('B-0007: 4 pages')
})

test('a lost connection is tried again under the same key, a refusal is shown and waits for a person', async () => {
  Request.answers = ['lost', 'lost', 200, 507]
  const panel = await bring('a.jpg', 'b.jpg')
  expect(Request.sent.filter((u) => u.includes('a.jpg'))).toHaveLength(3)
  expect(panel.text()).toContain('The disk is full.')
  expect(paths).not.toContain('/api/batches/{no}/arrived')
  await panel
    .findAll('button')
    .find((b) => b.text().startsWith('Go on'))!
    .trigger('click')
  for (let i = 0; i < 6; i++) {
    await flushPromises()
    await vi.advanceTimersByTimeAsync(1000)
  }
  expect(Request.sent.filter((u) => u.includes('b.jpg'))).toHaveLength(2)
  expect(paths.filter((p) => p === '/api/batches')).toHaveLength(1)
  expect(paths.at(-1)).toBe('/api/batches/{no}/arrived')
})

test('a dropped folder gives the files of its folders too, however many', async () => {
  const leaf = (name: string) => ({ isFile: true, file: (done: (f: File) => void) => done(file(name)) })
  const folder = (...parts: unknown[][]) => ({
    isFile: false,
    createReader: () => ({ readEntries: (done: (e: unknown[]) => void) => done(parts.shift() ?? []) }),
  })
  const entry = folder([leaf('1.jpg'), folder([leaf('2.jpg')])], [leaf('3.jpg')])
  const data = { items: [{ webkitGetAsEntry: () => entry }], files: [] } as unknown as DataTransfer
  expect((await filesDropped(data)).map((f) => f.name)).toEqual(['1.jpg', '2.jpg', '3.jpg'])
})
