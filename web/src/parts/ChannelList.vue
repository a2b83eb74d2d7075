<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema, worded } from '../api/client'
import { useLoad } from '../composables/useLoad'
import KeyButton from './base/KeyButton.vue'
import ListRow, { type RowAct } from './base/ListRow.vue'
import NoteBanner from './base/NoteBanner.vue'
import WaitingFor from './base/WaitingFor.vue'
import ChannelForm from './ChannelForm.vue'
import { ago, clock, stretch } from './times'
import WaitingLine from './WaitingLine.vue'

type Channel = Schema['Channel']

/** The waiting line, and every channel with how it is, how long ago it was looked at, and what is wrong with it. */
const props = defineProps<{ streams: Schema['Listed'][]; supervisor: boolean }>()
const { t } = useI18n()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/channels'))
const now = ref(Date.now())
useIntervalFn(() => {
  now.value = Date.now()
  void load()
}, 3000)
const channels = computed(() => data.value?.channels ?? [])
const editing = ref<Channel | 'new' | null>(null)

const title = (name?: string) => props.streams.find((s) => s.name === name)?.title ?? name
const kind = (c: Channel) => String(c.settings.kind)
const state = (c: Channel) => (c.paused ? 'paused' : c.problem ? 'problem' : 'well')
const STATES = { paused: 'empty', problem: 'wrong', well: 'sure' }
function where(c: Channel) {
  const s = c.settings as { kind: string; folder?: string; host?: string; user?: string; address?: string }
  if (s.kind === 'folder') return s.folder
  return s.kind === 'mailbox' ? t('channels.at', { user: s.user, host: s.host }) : s.address
}
/** What it brings and when it was looked at, in one line. */
function course(c: Channel) {
  if (kind(c) === 'scanner') return ''
  const next = c.nextAt && !c.paused ? new Date(c.nextAt).getTime() - now.value : 0
  return [
    c.stream ? title(c.stream) : t('channels.byFolder'),
    c.lookedAt ? t('intake.looked', { time: ago(c.lookedAt, now.value) }) : t('intake.never'),
    ...(next > 60_000 ? [t('channels.next', { time: stretch(next) })] : []),
    t('intake.taken', { n: c.taken }, c.taken),
    ...(c.rejected ? [t('channels.rejected', { n: c.rejected }, c.rejected)] : []),
  ].join(' · ')
}
function acts(c: Channel): RowAct[] {
  if (!props.supervisor) return []
  const change = { name: 'change', label: t('channels.change') }
  if (kind(c) === 'scanner') return [change]
  return [
    { name: 'run', label: t('channels.run'), disabled: c.paused },
    { name: c.paused ? 'resume' : 'pause', label: t(c.paused ? 'channels.resume' : 'channels.pause') },
    change,
  ]
}
async function act(c: Channel, what: string) {
  if (what === 'change') {
    editing.value = c
    return
  }
  const { error } = await api.POST(`/api/channels/{id}/${what as 'pause' | 'resume' | 'run'}`, {
    params: { path: { id: c.id } },
  })
  if (error) tell(error)
  await load()
}
async function saved() {
  editing.value = null
  await load()
}
</script>

<template>
  <div class="channels">
    <div class="row">
      <WaitingLine v-if="data" :line="data.line" class="stretch" />
      <KeyButton v-if="supervisor" @click="editing = 'new'">{{ t('channels.add') }}</KeyButton>
    </div>
    <WaitingFor
      v-bind="{ loading, problem }"
      :empty="!!data && !channels.length && t('channels.none')"
      @again="load"
    />
    <ListRow
      v-for="c in channels"
      :key="c.id"
      :title="c.name"
      :state="t(`channels.${state(c)}`)"
      :kind="STATES[state(c)]"
      :acts="acts(c)"
      @act="(what) => act(c, what)"
    >
      <span class="soft">{{ t(`channels.${kind(c)}`) }}</span>
      <div class="mono path" dir="auto">{{ where(c) }}</div>
      <div v-if="course(c)" class="soft small">{{ course(c) }}</div>
      <NoteBanner v-if="c.problem" kind="wrong">
        <small v-if="c.problemAt" class="after">
          {{ t('channels.since', { time: clock(c.problemAt) }) }}
        </small>
        {{ worded(c.problem) }}
      </NoteBanner>
    </ListRow>
    <ElDrawer
      :model-value="!!editing"
      :title="t(editing === 'new' ? 'channels.add' : 'channels.changeOne')"
      size="460px"
      destroy-on-close
      append-to-body
      @update:model-value="editing = null"
    >
      <ChannelForm
        v-if="editing"
        :channel="editing === 'new' ? null : editing"
        :streams="streams"
        @saved="saved"
        @close="editing = null"
      />
    </ElDrawer>
  </div>
</template>

<style scoped>
.path {
  overflow-wrap: anywhere;
  font-size: 13px;
}
.small {
  font-size: 13.5px;
}
</style>
