import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })
afterEach(() => vi.unstubAllGlobals())

test('a request that finds the session ended waits for a new sign-in, and is then sent as it was', async () => {
  document.cookie = 'XSRF-TOKEN=old'
  const sent: [string, string | null, string][] = []
  let ended = true
  const answering = async (r: Request) => {
    sent.push([r.url.replace(/^.*\/api/, ''), r.headers.get('X-XSRF-TOKEN'), await r.text()])
    return ended ? json(401, {}) : json(200, { no: 'B-0007' })
  }
  vi.stubGlobal('fetch', answering)
  // Relative addresses are the browser's to resolve.
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: RequestInfo, init?: RequestInit) {
        super(typeof url === 'string' ? new URL(url, 'http://jalon.example') : url, init)
      }
    },
  )
  vi.resetModules()
  const { api, whenEnded } = await import('./client')
  let goOn = () => {}
  const asked = vi.fn(() => new Promise<void>((signedIn) => (goOn = signedIn)))
  whenEnded(asked)

  const answers = Promise.all([
    api.POST('/api/batches', { body: { stream: 'dues-letters' } }),
    api.GET('/api/board'),
  ])
  await flushPromises()
  await vi.waitFor(() => expect(sent).toHaveLength(2))
  await flushPromises()
  expect(asked).toHaveBeenCalledTimes(1)
  ended = false
  document.cookie = 'XSRF-TOKEN=new'
  goOn()
  const [made] = await answers
  expect(made.data).toEqual({ no: 'B-0007' })
  expect(sent.find(([path, token]) => path === '/batches' && token === 'new')?.[2]).toBe(
    '{"stream":"dues-letters"}',
  )
})
