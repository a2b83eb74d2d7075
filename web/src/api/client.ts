import { ElMessage } from 'element-plus/es/components/message/index'
import createClient from 'openapi-fetch'
import { i18n } from '../i18n'
import type { paths } from './schema'

export type { Schema } from './types'
export type Box = number[]

/** One step of a recipe; written out for the same reason as Decision. */
export type Repair =
  | {
      do: 'straighten' | 'whitenEdges' | 'fillHoles' | 'cleanSpecks' | 'evenLight' | 'sharpen' | 'bitonal'
      colour?: undefined
      brightness?: undefined
      contrast?: undefined
    }
  | {
      do: 'dropColour'
      colour: 'red' | 'green' | 'blue' | 'any'
      brightness?: undefined
      contrast?: undefined
    }
  | { do: 'levels'; brightness: number; contrast: number; colour?: undefined }

/** The recipe in force for a page. */
export const repairsOf = (page: { image: { repairs: unknown } } | undefined) =>
  (page?.image.repairs ?? []) as Repair[]

/** What a person decides; the server's Decision, written out, since OpenAPI does not carry its kinds. */
export type Decision =
  | { act: 'plantStake' | 'liftStake' | 'confirmStake' | 'openGroup' | 'joinGroup'; page: number }
  | { act: 'movePages'; pages: number[]; before: number }
  | { act: 'setAside' | 'putBack'; pages: number[] }
  | { act: 'turn'; page: number; rotation: number }
  | { act: 'openGap'; page: number; note: string }
  | { act: 'closeGap'; page: number; waivedBecause: string | null }
  | { act: 'acceptImage'; pages: number[] }
  | { act: 'askAgain'; page: number; because: string | null }
  | { act: 'repairPage'; page: number; recipe: Repair[] | null }
  | { act: 'acceptCounts'; because: string }
  | { act: 'splitEvery'; page: number; every: number }
  | { act: 'nameType'; page: number; type: string; variant?: string | null }
  | { act: 'settle'; page: number; field: string; value: string | null; valuePage: number; box: Box | null }

export const api = createClient<paths>({ baseUrl: '' })

/** The token that a changing request must carry; the server keeps it in a cookie. */
export async function csrf(): Promise<string> {
  const inCookie = () => /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1]
  if (!inCookie()) await fetch('/api/csrf')
  return inCookie() ?? ''
}

/** When a key or the mouse was touched last: what a screen asks for by itself does not keep a session alive. */
let touched = Date.now()
const ACTIVE_MS = 60_000
for (const kind of ['keydown', 'pointerdown', 'wheel']) {
  window.addEventListener(kind, () => (touched = Date.now()), { passive: true, capture: true })
}

/** What is asked when the session has ended; the one answer to all requests that found it so. */
let door: (() => Promise<void>) | undefined
let atTheDoor: Promise<void> | undefined

/** Says who is asked to sign in again when the session has ended. Nothing of the screen is lost meanwhile. */
export function whenEnded(ask: () => Promise<void>) {
  door = ask
}
/** Waits until somebody has signed in again; false where nobody can be asked. */
export async function signedInAgain(): Promise<boolean> {
  if (!door) return false
  atTheDoor ??= door().finally(() => (atTheDoor = undefined))
  await atTheDoor
  return true
}

/** Requests as they were sent, to be sent again after a new sign-in; a body can be read only once. */
const copies = new WeakMap<Request, Request>()

api.use({
  async onRequest({ request }) {
    if (Date.now() - touched < ACTIVE_MS) request.headers.set('X-Active', '1')
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', await csrf())
    copies.set(request, request.clone())
    return request
  },
  async onResponse({ request, response }) {
    // Whether anybody is signed in is asked for by the door itself.
    if (response.status !== 401 || response.url.endsWith('/api/me')) return
    const copy = copies.get(request)
    if (!copy || !(await signedInAgain())) return
    if (copy.method !== 'GET') copy.headers.set('X-XSRF-TOKEN', await csrf())
    return fetch(copy)
  },
})

/** What an act names: the batch as it was seen, and a key, so that asked again it is done once. */
export type Named = { 'If-Match'?: string; 'Idempotency-Key': string }

/** The browser's own maker of such keys is not there on a plain address in the house. */
const newKey = () => Array.from(crypto.getRandomValues(new Uint32Array(4)), (n) => n.toString(36)).join('-')

const PAUSES = [300, 1000, 3000]

/** Asks for an act on a batch as it was seen, and asks again when the network fails. */
export async function act<T>(
  seen: { revision: number } | null,
  ask: (header: Named) => Promise<T>,
): Promise<T> {
  const header = { ...(seen ? { 'If-Match': `"${seen.revision}"` } : {}), 'Idempotency-Key': newKey() }
  for (const pause of PAUSES) {
    try {
      return await ask(header)
    } catch {
      await new Promise((later) => setTimeout(later, pause))
    }
  }
  return ask(header)
}

/** Whether an act was refused since others had changed the batch. */
export const isStale = (error: unknown) => (error as { code?: string } | undefined)?.code === 'batchChanged'

/** What the server says went wrong: in our words where it has a code, else in its own. */
export function worded(problem: unknown): string {
  const {
    code,
    with: parts,
    detail,
  } = (problem ?? {}) as { code?: string; with?: Record<string, string>; detail?: string }
  return code ? i18n.global.t(`problem.${code}`, parts ?? {}) : (detail ?? i18n.global.t('app.noServer'))
}

export function tell(problem: unknown) {
  ElMessage({ message: worded(problem), type: 'error', duration: 7000, showClose: true })
}

export const pictureOf = (
  no: string,
  page: { no: number; rotation: number },
  width: number,
  recipe: Repair[] = [],
) =>
  `/api/batches/${no}/pages/${page.no}/picture?width=${width}&turn=${page.rotation}` +
  (recipe.length ? `&recipe=${encodeURIComponent(JSON.stringify(recipe))}` : '')

/** A page of an archived document as it was filed, or as it was received. */
export const archivePicture = (id: number | string, page: number, width: number, received = false) =>
  `/api/archive/${id}/pages/${page}/picture?width=${width}${received ? '&received=true' : ''}`
