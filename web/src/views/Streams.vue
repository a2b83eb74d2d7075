<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { dayBefore } from '../composables/useDay'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import BegunStreams from '../parts/BegunStreams.vue'
import ImportStream from '../parts/ImportStream.vue'
import CertaintyPanel from '../parts/CertaintyPanel.vue'
import LimitsPanel from '../parts/LimitsPanel.vue'
import NamesPanel from '../parts/NamesPanel.vue'
import NewStream from '../parts/NewStream.vue'
import SamplesPanel from '../parts/SamplesPanel.vue'
import StreamTable, { type StreamPanel } from '../parts/StreamTable.vue'
import WatchPanel from '../parts/WatchPanel.vue'
import VersionsPanel from '../parts/VersionsPanel.vue'
import PickFiles from '../parts/base/PickFiles.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import PanelBox from '../parts/base/PanelBox.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { useSession } from '../session'

const { t } = useI18n()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const { data: streams, loading, problem, load } = useLoad(() => api.GET('/api/streams'))
const { data: day } = useLoad(() => {
  const { from, to } = dayBefore(0)
  return api.GET('/api/day', { params: { query: { from: from.toISOString(), to: to.toISOString() } } })
}, supervisor.value)

const done = ref('')
const picker = ref<InstanceType<typeof PickFiles>>()
/** Counts up when there is one more. */
const drafts = ref(0)
const importing = ref<InstanceType<typeof ImportStream>>()
const opened = ref<{ what: StreamPanel; stream: string } | null>(null)
const panels = {
  types: SamplesPanel,
  names: NamesPanel,
  limits: LimitsPanel,
  certainty: CertaintyPanel,
}
const titleOf = (name: string) => streams.value?.find((s) => s.name === name)?.title ?? name
/** While something of a stream is looked at, only that one is listed: what is looked at needs the room. */
const shown = computed(() =>
  (streams.value ?? []).filter((s) => !opened.value || s.name === opened.value.stream),
)
const open = (what: StreamPanel, stream: string) => (opened.value = { what, stream })
async function saved(title: string, version: number) {
  done.value = t('streams.imported', { title, n: version })
  opened.value = null
  await load()
}
const newStream = ref<InstanceType<typeof NewStream>>()
useKeys([
  { key: 'N', on: ['n', 'N'], label: t('workbench.begin'), run: () => newStream.value?.ask() },
  { key: 'I', on: ['i', 'I'], label: t('streams.import'), run: () => picker.value?.choose() },
])
</script>

<template>
  <div class="streams">
    <PanelBox :title="t('streams.title')" :level="1">
      <template #acts>
        <span v-if="!supervisor" class="soft">{{ t('streams.only') }}</span>
        <NewStream v-if="supervisor" ref="newStream" />
        <PickFiles
          v-if="supervisor"
          ref="picker"
          accept=".json,.zip,application/json,application/zip"
          k="I"
          @files="([file]) => importing?.bring(file)"
        >
          {{ t('streams.import') }}
        </PickFiles>
      </template>
      <NoteBanner v-if="done">{{ done }}</NoteBanner>
      <ImportStream ref="importing" @brought="drafts++" />
      <WaitingFor v-bind="{ loading, problem }" @again="load" />
      <BegunStreams v-if="supervisor" :key="drafts" />
      <StreamTable v-if="streams" :streams="shown" :day="day" :supervisor="supervisor" @open="open" />
    </PanelBox>
    <div v-if="opened">
      <VersionsPanel
        v-if="opened.what === 'versions'"
        :key="opened.stream"
        :stream="opened.stream"
        :title="titleOf(opened.stream)"
        @saved="saved"
        @close="opened = null"
      />
      <WatchPanel
        v-else-if="opened.what === 'watch'"
        :key="'watch' + opened.stream"
        :stream="opened.stream"
        :title="titleOf(opened.stream)"
        @close="opened = null"
      />
      <component
        :is="panels[opened.what]"
        v-else
        :key="opened.what + opened.stream"
        :stream="opened.stream"
        @saved="(version: number) => saved(titleOf(opened!.stream), version)"
        @close="opened = null"
      />
    </div>
  </div>
</template>

<style scoped>
.streams {
  padding: 14px 16px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  max-width: 1300px;
  margin: 0 auto;
  height: 100%;
  overflow: auto;
}
.streams > * {
  flex: none;
}
</style>
