<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema, worded } from '../api/client'
import ChannelForm from './ChannelForm.vue'
import { clock, stretch } from './times'
import KeyButton from './base/KeyButton.vue'

/** The waiting line, and every channel with how it is, when it was looked at and what to do where it fails. */
const props = defineProps<{ streams: Schema['Listed'][]; supervisor: boolean }>()
const { t } = useI18n()
const channels = ref<Schema['Channel'][]>([])
const line = ref<Schema['Line'] | null>(null)
const editing = ref<Schema['Channel'] | 'new' | null>(null)
const now = ref(Date.now())

async function load() {
  const { data } = await api.GET('/api/channels')
  if (!data) return
  channels.value = data.channels
  line.value = data.line
  now.value = Date.now()
}
void load()
useIntervalFn(load, 3000)

const title = (name?: string) => props.streams.find((s) => s.name === name)?.title ?? name
const where = (c: Schema['Channel']) => {
  const s = c.settings as { kind: string; folder?: string; host?: string; user?: string; address?: string }
  return s.kind === 'folder' ? s.folder : s.kind === 'mailbox' ? `${s.user} · ${s.host}` : s.address
}
const kind = (c: Schema['Channel']) => String(c.settings.kind)
const state = (c: Schema['Channel']) => (c.paused ? 'paused' : c.problem ? 'problem' : 'well')
const minutes = computed(() => (line.value ? Math.ceil(line.value.pages / (line.value.workers * 40)) : 0))
async function act(c: Schema['Channel'], what: 'pause' | 'resume' | 'run') {
  const { error } = await api.POST(`/api/channels/{id}/${what}`, { params: { path: { id: c.id } } })
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
    <h2>{{ t('channels.line') }}</h2>
    <p v-if="line" :class="{ soft: !line.pages }">
      {{
        line.pages ? t('channels.waiting', { n: line.pages, minutes }, line.pages) : t('channels.noneWaiting')
      }}
    </p>
    <div class="row">
      <h2>{{ t('channels.title') }}</h2>
      <span class="stretch" />
      <KeyButton v-if="supervisor" @click="editing = 'new'">{{ t('channels.add') }}</KeyButton>
    </div>
    <ChannelForm
      v-if="editing"
      :channel="editing === 'new' ? null : editing"
      :streams="streams"
      @saved="saved"
      @close="editing = null"
    />
    <p v-if="!channels.length" class="soft">{{ t('channels.none') }}</p>
    <article v-for="c in channels" :key="c.id" :class="state(c)">
      <div class="row">
        <b>{{ c.name }}</b>
        <span class="soft">{{ t(`channels.${kind(c)}`) }}</span>
        <span class="stretch" />
        <span class="how" :class="state(c)">{{ t(`channels.${state(c)}`) }}</span>
      </div>
      <div class="mono path">{{ where(c) }}</div>
      <div v-if="kind(c) !== 'scanner'" class="soft small">
        {{ c.stream ? title(c.stream) : t('channels.byFolder') }} ·
        {{ c.lookedAt ? t('intake.looked', { time: clock(c.lookedAt) }) : t('intake.never') }}
        <template v-if="c.nextAt && !c.paused && new Date(c.nextAt).getTime() - now > 60_000">
          · {{ t('channels.next', { time: stretch(Math.max(0, new Date(c.nextAt).getTime() - now)) }) }}
        </template>
      </div>
      <div v-if="kind(c) !== 'scanner'" class="small">
        {{ t('intake.taken', { n: c.taken }, c.taken) }}
        <template v-if="c.rejected">· {{ t('channels.rejected', { n: c.rejected }, c.rejected) }}</template>
      </div>
      <p v-if="c.problem" class="trouble" role="alert">
        <span class="soft small">
          {{ c.problemAt ? t('channels.since', { time: clock(c.problemAt) }) : '' }}
        </span>
        {{ worded(c.problem) }}
      </p>
      <div v-if="supervisor" class="row">
        <template v-if="kind(c) !== 'scanner'">
          <KeyButton :disabled="c.paused" @click="act(c, 'run')">{{ t('channels.run') }}</KeyButton>
          <KeyButton @click="act(c, c.paused ? 'resume' : 'pause')">
            {{ c.paused ? t('channels.resume') : t('channels.pause') }}
          </KeyButton>
        </template>
        <KeyButton @click="editing = c">{{ t('channels.change') }}</KeyButton>
      </div>
    </article>
  </div>
</template>

<style scoped>
h2 {
  margin: 4px 0;
}
p {
  margin: 2px 0 8px;
}
article {
  padding: 8px 0 10px;
  border-top: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.path {
  overflow-wrap: anywhere;
  font-size: 13px;
}
.small {
  font-size: 13.5px;
}
.how {
  font-weight: 600;
  font-size: 13.5px;
}
.how.well::before {
  content: '● ';
  color: var(--petrol);
}
.how.paused::before {
  content: '‖ ';
}
.how.problem {
  color: var(--wrong);
}
.how.problem::before {
  content: '▲ ';
}
.trouble {
  color: var(--wrong);
  background: var(--wrong-pale);
  padding: 5px 8px;
  margin: 2px 0;
}
</style>
