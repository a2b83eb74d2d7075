<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, csrf, tell, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { moment } from '../parts/times'

interface Sending {
  file: File
  share: number
  state: 'waiting' | 'sending' | 'sent' | 'rejected' | 'failed'
  note: string
}
const { t } = useI18n()
const router = useRouter()
const streams = ref<Schema['Listed'][]>([])
const folders = ref<Schema['State'][]>([])
const stream = ref('')
const list = ref<Sending[]>([])
const no = ref('')
const over = ref(false)
const busy = ref(false)
const finished = ref(false)
const input = ref<HTMLInputElement>()
let stopped = false
let request: XMLHttpRequest | null = null

onMounted(async () => {
  const [s, f] = await Promise.all([api.GET('/api/streams'), api.GET('/api/folders')])
  if (s.data) {
    streams.value = s.data
    const last = localStorage.getItem('jalon.stream')
    stream.value = s.data.find((x) => x.name === last)?.name ?? s.data[0]?.name ?? ''
  } else tell(s.error)
  folders.value = f.data ?? []
})

function take(files: FileList | null | undefined) {
  if (!files?.length || busy.value || finished.value) return
  const sorted = [...files].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
  list.value = sorted.map((file) => ({ file, share: 0, state: 'waiting', note: '' }))
  void send()
}

async function send() {
  localStorage.setItem('jalon.stream', stream.value)
  busy.value = true
  stopped = false
  const opened = await api.POST('/api/batches', { body: { stream: stream.value } })
  if (!opened.data) {
    tell(opened.error)
    busy.value = false
    return
  }
  no.value = opened.data.no
  for (const s of list.value) {
    if (stopped) break
    s.state = 'sending'
    await sendOne(s)
  }
  await api.POST('/api/batches/{no}/arrived', { params: { path: { no: no.value } } })
  busy.value = false
  finished.value = true
}

/** fetch cannot tell how much of an upload has gone out; the older request can. */
async function sendOne(s: Sending) {
  const token = await csrf()
  await new Promise<void>((done) => {
    const x = new XMLHttpRequest()
    request = x
    x.open('POST', `/api/batches/${no.value}/files`)
    x.setRequestHeader('X-XSRF-TOKEN', token)
    x.upload.onprogress = (e) => (s.share = e.total ? e.loaded / e.total : 1)
    x.onload = () => {
      const answer = JSON.parse(x.responseText || '{}') as { pages?: number; rejected?: string; detail?: string }
      if (x.status >= 300) [s.state, s.note] = ['failed', t('intake.failed', { why: answer.detail ?? x.statusText })]
      else if (answer.rejected) [s.state, s.note] = ['rejected', answer.rejected]
      else [s.state, s.note] = ['sent', t('intake.sent', { pages: answer.pages ?? 0 })]
      s.share = 1
      done()
    }
    x.onerror = () => {
      ;[s.state, s.note] = ['failed', t('intake.failed', { why: t('app.noServer') })]
      done()
    }
    x.onabort = () => {
      ;[s.state, s.note] = ['failed', '']
      done()
    }
    const form = new FormData()
    form.append('file', s.file)
    x.send(form)
  })
}
function cancel() {
  stopped = true
  request?.abort()
}
function again() {
  list.value = []
  finished.value = false
  no.value = ''
}
const pages = computed(() => list.value.reduce((n, s) => n + (s.state === 'sent' ? parseInt(s.note) : 0), 0))
useKeys([
  { key: 'O', on: ['o', 'O'], label: t('intake.choose'), run: () => input.value?.click() },
  { key: 'B', on: ['b', 'B'], label: t('intake.go'), run: () => void router.push({ name: 'board' }) },
])
</script>

<template>
  <div class="intake">
    <section class="panel bring">
      <h1>{{ t('intake.title') }}</h1>
      <fieldset>
        <legend>{{ t('intake.stream') }}</legend>
        <label v-for="s in streams" :key="s.name" class="choice" :class="{ on: stream === s.name }">
          <input v-model="stream" type="radio" name="stream" :value="s.name" :disabled="busy" />{{ s.title }}
        </label>
      </fieldset>
      <div v-if="!list.length" class="drop" :class="{ over }" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="over = false; take($event.dataTransfer?.files)">
        <p>{{ t('intake.drop') }} <button class="act" :disabled="!stream" @click="input?.click()">{{ t('intake.choose') }}<kbd>O</kbd></button></p>
        <p class="soft">{{ t('intake.kinds') }}</p>
        <input ref="input" type="file" multiple hidden accept=".tif,.tiff,.jpg,.jpeg,.png,.pdf" @change="take(input?.files)" />
      </div>
      <template v-else>
        <ul class="files">
          <li v-for="s in list" :key="s.file.name" :class="s.state">
            <span class="name mono">{{ s.file.name }}</span>
            <span class="bar"><i :style="{ width: s.share * 100 + '%' }" /></span>
            <span class="note">{{ s.state === 'rejected' ? t('intake.rejected') + ': ' : '' }}{{ s.note }}</span>
          </li>
        </ul>
        <div class="row">
          <button v-if="busy" class="act" @click="cancel">{{ t('intake.cancel') }}</button>
          <template v-if="finished">
            <strong>{{ t('intake.open', { no, pages }) }}</strong>
            <span class="stretch" />
            <button class="act" @click="again">{{ t('intake.again') }}</button>
            <button class="act main" @click="router.push({ name: 'board' })">{{ t('intake.go') }}<kbd>B</kbd></button>
          </template>
        </div>
      </template>
    </section>
    <section class="panel folders">
      <h2>{{ t('intake.folders') }}</h2>
      <p v-if="!folders.length" class="soft">{{ t('intake.noFolders') }}</p>
      <article v-for="f in folders" :key="f.folder">
        <div class="mono path">{{ f.folder }}</div>
        <div class="soft">{{ streams.find((s) => s.name === f.stream)?.title ?? f.stream }} · {{ f.lookedAt ? t('intake.looked', { time: moment(f.lookedAt) }) : t('intake.never') }}</div>
        <div>{{ t('intake.taken', { n: f.taken }) }}</div>
        <div v-if="f.rejected">{{ t('intake.refused', { n: f.rejected }) }}</div>
        <p v-if="f.problem" class="problem">{{ f.problem }}</p>
      </article>
    </section>
  </div>
</template>

<style scoped>
.intake { display: grid; grid-template-columns: minmax(0, 2fr) minmax(280px, 1fr); gap: 14px; padding: 14px 16px; height: 100%; max-width: 1500px; margin: 0 auto; }
.bring, .folders { padding: 16px 18px; overflow: auto; }
.bring { display: flex; flex-direction: column; gap: 14px; }
fieldset { border: 0; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 8px; }
legend { padding: 0 0 4px; font-size: 13px; color: var(--ink-soft); }
.choice { padding: 6px 12px; border: 1px solid var(--line); border-radius: 3px; background: #fff; cursor: pointer; display: flex; gap: 7px; align-items: center; }
.choice.on { border-color: var(--petrol); background: var(--petrol-pale); }
.choice input { accent-color: var(--petrol); }
.drop { flex: 1; min-height: 220px; border: 2px dashed #8a97a1; border-radius: 4px; display: grid; place-content: center; text-align: center; background: #fff; font-size: 17px; }
.drop.over { border-color: var(--petrol); background: var(--petrol-pale); }
.files { list-style: none; margin: 0; padding: 0; overflow: auto; flex: 1; }
.files li { display: grid; grid-template-columns: minmax(160px, 1fr) 160px minmax(160px, 1.4fr); gap: 12px; align-items: center; padding: 6px 0; border-bottom: 1px solid #e0e4e8; }
.name { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.bar { height: 10px; border: 1px solid #8a97a1; background: #fff; }
.bar i { display: block; height: 100%; background: var(--petrol); }
.rejected .bar i, .failed .bar i { background: repeating-linear-gradient(45deg, var(--wrong) 0 4px, #fff 4px 8px); }
.rejected .note, .failed .note { color: var(--wrong); }
article { padding: 10px 0; border-top: 1px solid var(--line); margin-top: 8px; }
.path { overflow-wrap: anywhere; font-size: 13px; }
.problem { color: var(--wrong); margin: 6px 0 0; }
</style>
