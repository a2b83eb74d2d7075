import { promiseTimeout } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, csrf, signedInAgain, tell, worded, type Schema } from '../api/client'
import { useWords } from './useWords'

export interface Sending {
  file: File
  key: string
  share: number
  state: 'waiting' | 'sending' | 'sent' | 'rejected' | 'failed'
  pages: number
  note: string
}
const TRIES = 5

type Opened = Promise<{ data?: { no: string }; error?: unknown }>

/**
 * Files sent one after the other as one batch, each under a key of its own: what was lost on the way is sent again.
 *
 * @param open opens the batch that they go to
 * @param whole whether they are all of it; one that takes more stays open, and the list is empty again
 */
export function useSending(open: () => Opened, whole = true) {
  const { t } = useI18n()
  const { unread } = useWords()
  const list = ref<Sending[]>([])
  const no = ref('')
  const busy = ref(false)
  const finished = ref(false)
  let stopped = false
  const requests = new Set<XMLHttpRequest>()

  function take(files: File[]) {
    if (!files.length || busy.value || finished.value) return
    const name = (f: File) => f.webkitRelativePath || f.name
    list.value = files
      .filter((f) => !f.name.startsWith('.'))
      .sort((a, b) => name(a).localeCompare(name(b), undefined, { numeric: true }))
      .map((file) => ({
        file,
        key: `${name(file)}|${file.size}|${file.lastModified}`.slice(-600),
        share: 0,
        state: 'waiting',
        pages: 0,
        note: '',
      }))
    void send()
  }
  async function send() {
    busy.value = true
    stopped = false
    if (!no.value) {
      const opened = await open()
      if (!opened.data) {
        tell(opened.error)
        busy.value = false
        return
      }
      no.value = opened.data.no
    }
    const waiting = list.value.filter((s) => s.state === 'waiting' || s.state === 'failed')
    waiting.forEach((s) => ((s.state = 'waiting'), (s.note = '')))
    // One after the other: pages stand in the order in which their files arrive.
    for (const s of waiting) {
      if (stopped) break
      await persist(s)
    }
    busy.value = false
    if (!list.value.every((s) => s.state === 'sent' || s.state === 'rejected')) return
    if (whole) await complete()
    else list.value = list.value.filter((s) => s.state === 'rejected')
  }
  async function complete() {
    const { error } = await api.POST('/api/batches/{no}/arrived', { params: { path: { no: no.value } } })
    if (error) return tell(error)
    finished.value = true
  }
  /** A connection that breaks is tried again with growing pauses; the key keeps a file from being taken twice. */
  async function persist(s: Sending) {
    for (let tries = 1; ; tries++) {
      const status = await sendOne(s)
      if (status === 401 && !stopped && (await signedInAgain())) continue
      if (s.state !== 'failed' || stopped || tries >= TRIES || s.note !== t('app.noServer')) return
      await promiseTimeout(500 * 2 ** tries)
    }
  }
  /** fetch cannot tell how much of an upload has gone out; the older request can. */
  async function sendOne(s: Sending) {
    s.state = 'sending'
    const token = await csrf()
    return new Promise<number>((done) => {
      const x = new XMLHttpRequest()
      requests.add(x)
      x.open('POST', `/api/batches/${no.value}/files?key=${encodeURIComponent(s.key)}`)
      x.setRequestHeader('X-XSRF-TOKEN', token)
      x.upload.onprogress = (e) => (s.share = e.total ? e.loaded / e.total : 1)
      const end = (state: Sending['state'], note: string, pages = 0) => {
        Object.assign(s, { state, note, pages, share: state === 'failed' ? 0 : 1 })
        requests.delete(x)
        done(x.status)
      }
      x.onload = () => {
        const answer = JSON.parse(x.responseText || '{}') as {
          pages?: number
          rejected?: Schema['Unread']
          detail?: string
        }
        if (x.status >= 300) end('failed', worded(answer))
        else if (answer.rejected) end('rejected', unread(answer.rejected))
        else end('sent', t('intake.sent', { pages: answer.pages ?? 0 }, answer.pages ?? 0), answer.pages)
      }
      x.onerror = () => end('failed', t('app.noServer'))
      x.onabort = () => end('failed', t('intake.stopped'))
      const form = new FormData()
      form.append('file', s.file)
      x.send(form)
    })
  }
  function cancel() {
    stopped = true
    requests.forEach((x) => x.abort())
  }
  function again() {
    list.value = []
    finished.value = false
    const done = no.value
    no.value = ''
    return done
  }
  const pages = computed(() => list.value.reduce((n, s) => n + s.pages, 0))
  const done = computed(() => list.value.filter((s) => s.state === 'sent' || s.state === 'rejected').length)
  const share = computed(() => {
    const all = list.value.reduce((n, s) => n + s.file.size, 0)
    return all ? list.value.reduce((n, s) => n + s.file.size * s.share, 0) / all : 0
  })
  return { list, no, busy, finished, pages, done, share, take, send, complete, cancel, again }
}
