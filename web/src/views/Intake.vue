<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, tell, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import ChannelList from '../parts/ChannelList.vue'
import HeaderSheet from '../parts/HeaderSheet.vue'
import ScanPanel from '../parts/ScanPanel.vue'
import TokenList from '../parts/TokenList.vue'
import UploadPanel from '../parts/UploadPanel.vue'
import { useSession } from '../session'
import KeyButton from '../parts/base/KeyButton.vue'

const { t } = useI18n()
const router = useRouter()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const streams = ref<Schema['Listed'][]>([])
const stream = ref('')
const way = ref(localStorage.getItem('jalon.way') ?? 'scan')
const scan = ref<InstanceType<typeof ScanPanel>>()
const upload = ref<InstanceType<typeof UploadPanel>>()
const last = ref('')
const busy = computed(() => !!scan.value?.begun || !!upload.value?.busy)

onMounted(async () => {
  const { data, error } = await api.GET('/api/streams')
  if (!data) return tell(error)
  streams.value = data
  const before = localStorage.getItem('jalon.stream')
  stream.value = data.find((x) => x.name === before)?.name ?? data[0]?.name ?? ''
})
/** Batches that this person began by hand and whose paper is not all here; a colleague may be at his own. */
const begun = ref<Schema['Row'][]>([])
async function lookForBegun() {
  const { data } = await api.GET('/api/board')
  begun.value = (data?.batches ?? []).filter(
    (b) => b.stage === 'intake' && !b.arrived && b.madeByMe && ['upload', 'scanner'].includes(b.channel),
  )
}
void lookForBegun()
async function goOnWith(b: Schema['Row']) {
  stream.value = b.stream
  way.value = 'scan'
  await nextTick()
  await scan.value?.adopt(b.no)
  await lookForBegun()
}
async function complete(b: Schema['Row']) {
  const { error } = await api.POST('/api/batches/{no}/arrived', { params: { path: { no: b.no } } })
  if (error) tell(error)
  else last.value = b.no
  await lookForBegun()
}
const chosen = computed(() => streams.value.find((s) => s.name === stream.value) ?? null)
function go(to: string) {
  if (busy.value) return
  way.value = to
  localStorage.setItem('jalon.way', to)
}
useKeys([
  { key: '1', on: ['1'], label: t('intake.scan'), run: () => go('scan') },
  { key: '2', on: ['2'], label: t('intake.files'), run: () => go('files') },
  { key: 'S', on: ['s', 'S'], label: t('scan.start'), run: () => void scan.value?.start() },
  { key: 'X', on: ['x', 'X'], label: t('scan.stop'), run: () => void scan.value?.stop() },
  { key: 'Enter', on: ['Enter'], label: t('scan.finish'), run: () => void scan.value?.finish() },
  { key: 'O', on: ['o', 'O'], label: t('intake.choose'), run: () => upload.value?.choose() },
  { key: 'B', on: ['b', 'B'], label: t('intake.go'), run: () => void router.push({ name: 'board' }) },
])

function finished(batch: string) {
  last.value = batch
  lookForBegun()
}
</script>

<template>
  <div class="intake">
    <section class="panel bring">
      <div class="row">
        <h1>{{ t('intake.title') }}</h1>
        <span class="stretch" />
        <KeyButton :aria-pressed="way === 'scan'" :disabled="busy" k="1" @click="go('scan')">
          {{ t('intake.scan') }}
        </KeyButton>
        <KeyButton :aria-pressed="way === 'files'" :disabled="busy" k="2" @click="go('files')">
          {{ t('intake.files') }}
        </KeyButton>
      </div>
      <fieldset>
        <legend>{{ t('intake.stream') }}</legend>
        <label v-for="s in streams" :key="s.name" class="choice" :class="{ on: stream === s.name }">
          <input v-model="stream" type="radio" name="stream" :value="s.name" :disabled="busy" />
          {{ s.title }}
        </label>
      </fieldset>
      <p v-if="last" class="done" role="status">
        {{ t('intake.last', { no: last }) }}
        <KeyButton k="B" @click="router.push({ name: 'board' })">
          {{ t('intake.go') }}
        </KeyButton>
      </p>
      <template v-if="!busy">
        <p v-for="b in begun" :key="b.no" class="begun">
          {{ t('intake.begun', { no: b.no, title: b.title, pages: b.pages }, b.pages) }}
          <KeyButton @click="goOnWith(b)">{{ t('scan.goOn') }}</KeyButton>
          <KeyButton :disabled="!b.pages" @click="complete(b)">{{ t('scan.finish') }}</KeyButton>
        </p>
      </template>
      <ScanPanel
        v-if="way === 'scan'"
        ref="scan"
        :stream="stream"
        :stream-rules="chosen?.scan ?? null"
        @finished="finished"
      />
      <UploadPanel v-else ref="upload" :stream="stream" @finished="last = ''">
        <KeyButton main k="B" @click="router.push({ name: 'board' })">
          {{ t('intake.go') }}
        </KeyButton>
      </UploadPanel>
    </section>
    <section class="panel side">
      <ChannelList v-if="streams.length" :streams="streams" :supervisor="supervisor" />
      <HeaderSheet :stream="stream" />
      <TokenList v-if="supervisor && streams.length" :streams="streams" />
    </section>
  </div>
</template>

<style scoped>
.intake {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(330px, 1fr);
  gap: 14px;
  padding: 14px 16px;
  height: 100%;
  max-width: 1500px;
  margin: 0 auto;
}
.bring,
.side {
  padding: 14px 18px;
  overflow: auto;
  min-height: 0;
}
.bring {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
h1 {
  margin: 0;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
legend {
  padding: 0 0 4px;
  font-size: 13px;
  color: var(--ink-soft);
}
.choice {
  padding: 5px 12px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--field);
  cursor: pointer;
  display: flex;
  gap: 7px;
  align-items: center;
}
.choice.on {
  border-color: var(--petrol);
  background: var(--petrol-pale);
}
.choice input {
  accent-color: var(--petrol);
}
.begun {
  margin: 0;
  padding: 4px 10px;
  background: var(--doubt-pale);
  border-left: 4px solid var(--doubt);
}
.done {
  margin: 0;
  padding: 6px 10px;
  background: var(--petrol-pale);
  border-left: 4px solid var(--petrol);
}
</style>
