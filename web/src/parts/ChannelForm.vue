<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'

/** One channel, new or known: a folder, a mailbox or a scanner. */
const props = defineProps<{ channel: Schema['Channel'] | null; streams: Schema['Listed'][] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const form = reactive({
  name: props.channel?.name ?? '',
  stream: props.channel?.stream ?? props.streams[0]?.name ?? '',
})
const settings = reactive<Record<string, string | number | boolean | null | undefined>>({
  kind: 'folder',
  everySeconds: 5,
  gatherSeconds: 0,
  settleSeconds: 2,
  byStream: false,
  privacy: 'tls',
  port: 993,
  ...(props.channel?.settings as object),
})
/** The same, as what is typed. */
const typed = settings as Record<string, string | number | undefined>
const removing = ref(false)
const byStream = computed({ get: () => !!settings.byStream, set: (on) => (settings.byStream = on) })

const fields = computed(() => {
  if (settings.kind === 'scanner') return [['address', 'text']]
  if (settings.kind === 'mailbox')
    return [
      ['host', 'text'],
      ['port', 'number'],
      ['user', 'text'],
      ['password', 'password'],
      ['certificate', 'text'],
      ['inbox', 'text'],
      ['done', 'text'],
      ['aside', 'text'],
      ['replyFrom', 'text'],
      ['everySeconds', 'number'],
      ['cron', 'text'],
    ]
  return [
    ['folder', 'text'],
    ['everySeconds', 'number'],
    ['cron', 'text'],
    ['gatherSeconds', 'number'],
    ['settleSeconds', 'number'],
  ]
})
async function save() {
  const used = [
    'kind',
    ...fields.value.map(([f]) => f),
    ...(settings.kind === 'folder' ? ['byStream'] : []),
    ...(settings.kind === 'mailbox' ? ['privacy'] : []),
  ]
  const wanted = Object.fromEntries(
    used
      .filter((f) => settings[f] !== '' && settings[f] !== null && settings[f] !== undefined)
      .map((f) => [f, settings[f]]),
  )
  const body = {
    name: form.name,
    stream: settings.kind === 'scanner' || settings.byStream ? undefined : form.stream,
    settings: wanted,
  } as never
  const { error } = props.channel
    ? await api.PUT('/api/channels/{id}', { params: { path: { id: props.channel.id } }, body })
    : await api.POST('/api/channels', { body })
  if (error) tell(error)
  else emit('saved')
}
async function remove() {
  const { error } = await api.DELETE('/api/channels/{id}', { params: { path: { id: props.channel!.id } } })
  if (error) tell(error)
  else emit('saved')
}
</script>

<template>
  <form class="form" @submit.prevent="save">
    <label>
      {{ t('channels.name') }}
      <ElInput v-model="form.name" required maxlength="80" />
    </label>
    <label>
      {{ t('channels.kind') }}
      <PickOne
        v-model="settings.kind"
        :options="choices(['folder', 'mailbox', 'scanner'], 'channels')"
        :disabled="!!channel"
      />
    </label>
    <ElCheckbox v-if="settings.kind === 'folder'" v-model="byStream" :label="t('channels.byStream')" />
    <label v-if="settings.kind !== 'scanner' && !settings.byStream">
      {{ t('intake.stream') }}
      <PickOne v-model="form.stream" :options="streams.map((s) => ({ value: s.name, label: s.title }))" />
    </label>
    <label v-if="settings.kind === 'mailbox'">
      {{ t('channels.privacy') }}
      <PickOne
        v-model="settings.privacy"
        :options="[
          { value: 'tls', label: 'TLS' },
          { value: 'starttls', label: 'STARTTLS' },
        ]"
      />
    </label>
    <label v-for="[f, type] in fields" :key="f">
      {{ t(`channels.f.${f}`) }}
      <ElInput v-if="type === 'number'" v-model.number="typed[f]" type="number" min="0" />
      <ElInput
        v-else
        v-model="typed[f]"
        :type="type"
        :placeholder="f === 'password' && channel ? t('channels.keep') : ''"
        autocomplete="off"
      />
    </label>
    <div class="row">
      <KeyButton main submit>{{ t('channels.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
      <span class="stretch" />
      <KeyButton v-if="channel && !removing" @click="removing = true">
        {{ t('channels.remove') }}
      </KeyButton>
      <KeyButton v-if="removing" @click="remove">{{ t('channels.removeNow') }}</KeyButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  background: var(--field);
  border: 1px solid var(--line);
  padding: 10px 12px;
  display: grid;
  gap: 6px;
  margin-bottom: 10px;
}
label:not(.el-checkbox) {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  gap: 8px;
  align-items: center;
  font-size: 13.5px;
}
.el-checkbox {
  height: auto;
  white-space: normal;
}
</style>
