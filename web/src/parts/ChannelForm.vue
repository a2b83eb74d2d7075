<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import SettingFields, { type Setting } from './base/SettingFields.vue'

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
const all = computed(() => ({ ...settings, ...form }))
const box = ref<FormInstance>()
const byStream = computed({ get: () => !!settings.byStream, set: (on) => (settings.byStream = on) })
const needed = { required: true, message: t('channels.needed'), trigger: 'change' }
const PRIVACY = [
  { value: 'tls', label: 'TLS' },
  { value: 'starttls', label: 'STARTTLS' },
]

const FIELDS: Record<string, Setting[]> = {
  scanner: [{ name: 'address', needed: true }],
  mailbox: [
    { name: 'host', needed: true },
    { name: 'port', type: 'number', needed: true },
    { name: 'user', needed: true },
    { name: 'password', type: 'password' },
    { name: 'certificate' },
    { name: 'inbox' },
    { name: 'done' },
    { name: 'aside' },
    { name: 'replyFrom' },
    { name: 'everySeconds', type: 'number' },
    { name: 'cron' },
  ],
  folder: [
    { name: 'folder', needed: true },
    { name: 'everySeconds', type: 'number' },
    { name: 'cron' },
    { name: 'gatherSeconds', type: 'number' },
    { name: 'settleSeconds', type: 'number' },
  ],
}
const fields = computed(() => FIELDS[String(settings.kind)])
async function save() {
  if (!(await box.value?.validate().catch(() => false))) return
  const used = [
    'kind',
    ...fields.value.map((f) => f.name),
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
  <ElForm ref="box" :model="all" label-position="top" @submit.prevent="save">
    <ElFormItem :label="t('channels.name')" prop="name" :rules="needed">
      <ElInput v-model="form.name" maxlength="80" />
    </ElFormItem>
    <ElFormItem :label="t('channels.kind')">
      <PickOne
        v-model="settings.kind"
        :options="choices(['folder', 'mailbox', 'scanner'], 'channels')"
        :disabled="!!channel"
      />
    </ElFormItem>
    <ElCheckbox v-if="settings.kind === 'folder'" v-model="byStream" :label="t('channels.byStream')" />
    <ElFormItem v-if="settings.kind !== 'scanner' && !settings.byStream" :label="t('intake.stream')">
      <PickOne
        v-model="form.stream"
        :options="streams.map((s) => ({ value: s.name, label: s.title }))"
        filterable
      />
    </ElFormItem>
    <ElFormItem v-if="settings.kind === 'mailbox'" :label="t('channels.privacy')">
      <PickOne v-model="settings.privacy" :options="PRIVACY" />
    </ElFormItem>
    <SettingFields
      v-bind="{ settings: fields, form: settings }"
      words="channels.f"
      :least="0"
      :keeps="!!channel"
    />
    <div class="row">
      <KeyButton main submit>{{ t('channels.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
      <span class="stretch" />
      <ElPopconfirm
        v-if="channel"
        :title="t('channels.removeAsk')"
        :confirm-button-text="t('channels.removeNow')"
        :cancel-button-text="t('app.close')"
        hide-icon
        width="280"
        @confirm="remove"
      >
        <template #reference>
          <ElButton class="act">{{ t('channels.remove') }}</ElButton>
        </template>
      </ElPopconfirm>
    </div>
  </ElForm>
</template>

<style scoped>
.el-checkbox {
  height: auto;
  white-space: normal;
  margin-bottom: 8px;
}
</style>
