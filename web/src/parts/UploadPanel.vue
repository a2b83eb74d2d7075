<script setup lang="ts">
import { promiseTimeout } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, csrf, tell, worded, type Schema } from '../api/client'
import { filesDropped } from './drop'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'

/** Files and whole folders brought in by hand: a bar for each and one for all; a lost connection is picked up again. */
interface Sending {
  file: File
  key: string
  share: number
  state: 'waiting' | 'sending' | 'sent' | 'rejected' | 'failed'
  pages: number
  note: string
}
const TRIES = 5
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ finished: [no: string] }>()
const { t } = useI18n()
const { unread } = useWords()
const list = ref<Sending[]>([])
const no = ref('')
const over = ref(false)
const busy = ref(false)
const finished = ref(false)
const input = ref<HTMLInputElement>()
const folder = ref<HTMLInputElement>()
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
async function dropped(e: DragEvent) {
  over.value = false
  if (e.dataTransfer) take(await filesDropped(e.dataTransfer))
}

async function send() {
  localStorage.setItem('jalon.stream', props.stream)
  busy.value = true
  stopped = false
  if (!no.value) {
    const opened = await api.POST('/api/batches', { body: { stream: props.stream } })
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
  if (list.value.every((s) => s.state === 'sent' || s.state === 'rejected')) await complete()
}
async function complete() {
  const { error } = await api.POST('/api/batches/{no}/arrived', { params: { path: { no: no.value } } })
  if (error) return tell(error)
  finished.value = true
}
/** A connection that breaks is tried again with growing pauses; the key keeps a file from being taken twice. */
async function persist(s: Sending) {
  for (let tries = 1; ; tries++) {
    await sendOne(s)
    if (s.state !== 'failed' || stopped || tries >= TRIES || s.note !== t('app.noServer')) return
    await promiseTimeout(500 * 2 ** tries)
  }
}
/** fetch cannot tell how much of an upload has gone out; the older request can. */
async function sendOne(s: Sending) {
  s.state = 'sending'
  const token = await csrf()
  await new Promise<void>((done) => {
    const x = new XMLHttpRequest()
    requests.add(x)
    x.open('POST', `/api/batches/${no.value}/files?key=${encodeURIComponent(s.key)}`)
    x.setRequestHeader('X-XSRF-TOKEN', token)
    x.upload.onprogress = (e) => (s.share = e.total ? e.loaded / e.total : 1)
    const end = (state: Sending['state'], note: string, pages = 0) => {
      Object.assign(s, { state, note, pages, share: state === 'failed' ? 0 : 1 })
      requests.delete(x)
      done()
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
  emit('finished', done)
}
const pages = computed(() => list.value.reduce((n, s) => n + s.pages, 0))
const done = computed(() => list.value.filter((s) => s.state === 'sent' || s.state === 'rejected').length)
const share = computed(() => {
  const all = list.value.reduce((n, s) => n + s.file.size, 0)
  return all ? list.value.reduce((n, s) => n + s.file.size * s.share, 0) / all : 0
})
defineExpose({ choose: () => input.value?.click(), busy })
</script>

<template>
  <div
    v-if="!list.length"
    class="drop"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <p class="spaced">
      {{ t('intake.drop') }}
      <KeyButton :disabled="!stream" k="O" @click="input?.click()">
        {{ t('intake.choose') }}
      </KeyButton>
      <KeyButton :disabled="!stream" @click="folder?.click()">{{ t('intake.chooseFolder') }}</KeyButton>
    </p>
    <p class="soft">{{ t('intake.kinds') }}</p>
    <input
      ref="input"
      class="files-input"
      type="file"
      multiple
      hidden
      accept=".tif,.tiff,.jpg,.jpeg,.png,.pdf"
      @change="take([...(input?.files ?? [])])"
    />
    <input
      ref="folder"
      type="file"
      webkitdirectory
      multiple
      hidden
      @change="take([...(folder?.files ?? [])])"
    />
  </div>
  <template v-else>
    <div class="row all">
      <b>{{ t('intake.all', { done, n: list.length }) }}</b>
      <span
        class="bar wide"
        role="progressbar"
        :aria-valuenow="Math.round(share * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
      >
        <i :style="{ width: share * 100 + '%' }" />
      </span>
      <span class="mono">{{ Math.round(share * 100) }} %</span>
    </div>
    <ul class="files">
      <li v-for="s in list" :key="s.key" :class="s.state">
        <span class="name mono">{{ s.file.webkitRelativePath || s.file.name }}</span>
        <span class="bar"><i :style="{ width: s.share * 100 + '%' }" /></span>
        <span class="note">
          {{
            s.state === 'rejected'
              ? t('intake.rejected') + ': '
              : s.state === 'failed'
                ? t('intake.failed', { why: '' })
                : ''
          }}{{ s.note }}
        </span>
      </li>
    </ul>
    <div class="row">
      <KeyButton v-if="busy" @click="cancel">{{ t('intake.cancel') }}</KeyButton>
      <template v-else-if="finished">
        <strong>{{ t('intake.open', { no, pages }, pages) }}</strong>
        <span class="stretch" />
        <KeyButton @click="again">{{ t('intake.again') }}</KeyButton>
        <slot />
      </template>
      <template v-else>
        <KeyButton main @click="send">{{ t('intake.goOn') }}</KeyButton>
        <KeyButton :disabled="!done" @click="complete">{{ t('intake.enough') }}</KeyButton>
      </template>
    </div>
  </template>
</template>

<style scoped>
.drop {
  flex: 1;
  min-height: 220px;
  border: 2px dashed #8a97a1;
  border-radius: 4px;
  display: grid;
  place-content: center;
  text-align: center;
  background: var(--field);
  font-size: 17px;
}
.drop.over {
  border-color: var(--petrol);
  background: var(--petrol-pale);
}
.all {
  gap: 12px;
}
.files {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  flex: 1;
}
.files li {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) 120px minmax(140px, 1.2fr);
  gap: 12px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--line-faint);
  content-visibility: auto;
  contain-intrinsic-size: auto 30px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar {
  height: 10px;
  border: 1px solid #8a97a1;
  background: var(--field);
}
.bar.wide {
  flex: 1;
  height: 14px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--petrol);
}
.rejected .bar i,
.failed .bar i {
  background: repeating-linear-gradient(45deg, var(--wrong) 0 4px, #fff 4px 8px);
}
.rejected .note,
.failed .note {
  color: var(--wrong);
}
</style>
