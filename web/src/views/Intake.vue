<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, tell, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import BringWays from '../parts/BringWays.vue'
import ChannelList from '../parts/ChannelList.vue'
import ScanPanel from '../parts/ScanPanel.vue'
import SheetPanel from '../parts/SheetPanel.vue'
import StreamChoice from '../parts/StreamChoice.vue'
import TokenList from '../parts/TokenList.vue'
import UploadPanel from '../parts/UploadPanel.vue'
import { useSession } from '../session'
import KeyButton from '../parts/base/KeyButton.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

const { t } = useI18n()
const router = useRouter()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const { data, loading, problem, load } = useLoad(() => api.GET('/api/streams'))
const streams = computed(() => data.value ?? [])
const stream = ref('')
const way = ref(localStorage.getItem('jalon.way') ?? 'scan')
const scan = ref<InstanceType<typeof ScanPanel>>()
const upload = ref<InstanceType<typeof UploadPanel>>()
const last = ref('')
const busy = computed(() => !!scan.value?.begun || !!upload.value?.busy)

const side = ref('channels')
watch(streams, (all) => {
  const before = localStorage.getItem('jalon.stream')
  stream.value ||= all.find((x) => x.name === before)?.name ?? all[0]?.name ?? ''
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
const toBoard = () => void router.push({ name: 'board' })
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
  { key: 'B', on: ['b', 'B'], label: t('intake.go'), run: toBoard },
])

function finished(batch: string) {
  last.value = batch
  lookForBegun()
}
</script>

<template>
  <div class="intake">
    <section class="panel bring">
      <div class="row head">
        <h1 class="stretch">{{ t('intake.title') }}</h1>
        <BringWays :model-value="way" :disabled="busy" @update:model-value="go" />
      </div>
      <WaitingFor v-bind="{ loading, problem }" @again="load" />
      <StreamChoice v-model="stream" :streams="streams" :disabled="busy" />
      <NoteBanner v-if="last" class="done">
        {{ t('intake.last', { no: last }) }}
        <template #acts>
          <KeyButton k="B" @click="toBoard">{{ t('intake.go') }}</KeyButton>
        </template>
      </NoteBanner>
      <template v-if="!busy">
        <NoteBanner v-for="b in begun" :key="b.no" kind="doubt">
          {{ t('intake.begun', { no: b.no, title: b.title, pages: b.pages }, b.pages) }}
          <template #acts>
            <KeyButton @click="goOnWith(b)">{{ t('scan.goOn') }}</KeyButton>
            <KeyButton :disabled="!b.pages" @click="complete(b)">{{ t('scan.finish') }}</KeyButton>
          </template>
        </NoteBanner>
      </template>
      <ScanPanel
        v-if="way === 'scan'"
        ref="scan"
        :stream="stream"
        :stream-rules="chosen?.scan ?? null"
        @finished="finished"
      />
      <UploadPanel v-else ref="upload" :stream="stream" @finished="last = ''">
        <KeyButton main k="B" @click="toBoard">{{ t('intake.go') }}</KeyButton>
      </UploadPanel>
    </section>
    <section class="panel side">
      <ElTabs v-model="side">
        <ElTabPane :label="t('channels.title')" name="channels">
          <ChannelList v-if="streams.length" :streams="streams" :supervisor="supervisor" />
        </ElTabPane>
        <ElTabPane :label="t('header.title')" name="header" lazy>
          <SheetPanel v-if="chosen" :stream="chosen" />
        </ElTabPane>
        <ElTabPane v-if="supervisor" :label="t('tokens.title')" name="tokens" lazy>
          <TokenList :streams="streams" />
        </ElTabPane>
      </ElTabs>
    </section>
  </div>
</template>

<style scoped>
.intake {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(330px, 1fr);
  gap: 14px;
  padding: 14px 16px;
  height: 100%;
  max-width: 1500px;
  margin: 0 auto;
}
.bring,
.side {
  padding: 10px 16px;
  overflow: auto;
  min-height: 0;
}
.bring {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.head {
  flex-wrap: wrap;
}
@media (max-width: 900px), (max-height: 560px) {
  .intake {
    height: auto;
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
