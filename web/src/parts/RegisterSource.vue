<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import NoteBanner from './base/NoteBanner.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import SettingFields, { type Setting } from './base/SettingFields.vue'

/** Where a register comes from by itself: a file that is dropped, or a query; tried before it is kept. */
const props = defineProps<{ name: string; source?: Schema['Source']; busy: boolean; refused: string }>()
const emit = defineEmits<{ try: [name: string, settings: Schema['SourceSettings']]; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const box = ref<FormInstance>()
const form = reactive<Record<string, string | number | boolean | undefined>>({
  kind: 'file',
  system: 'mariadb',
  tls: false,
  ...(props.source?.settings as object),
  name: props.name,
})
const typed = form as Record<string, string | undefined>
const tls = computed({ get: () => !!form.tls, set: (on) => (form.tls = on) })
const needed = { required: true, message: t('channels.needed'), trigger: 'change' }
const SYSTEMS = [
  { value: 'mariadb', label: 'MariaDB' },
  { value: 'postgresql', label: 'PostgreSQL' },
]
const WHEN: Setting[] = [{ name: 'everySeconds', type: 'number' }, { name: 'cron' }]
const FIELDS: Record<string, Setting[]> = {
  file: [{ name: 'file', needed: true }, ...WHEN],
  database: [
    { name: 'host', needed: true },
    { name: 'port', type: 'number' },
    { name: 'database', needed: true },
    { name: 'user', needed: true },
    { name: 'password', type: 'password' },
    { name: 'query', type: 'textarea', needed: true },
    { name: 'seconds', type: 'number' },
    ...WHEN,
  ],
}
const fields = computed(() => FIELDS[String(form.kind)])
async function attempt() {
  if (!(await box.value?.validate().catch(() => false))) return
  const used = [
    'kind',
    ...fields.value.map((f) => f.name),
    ...(form.kind === 'database' ? ['system', 'tls'] : []),
  ]
  const given = used.filter((f) => form[f] !== '' && form[f] !== null && form[f] !== undefined)
  emit('try', String(form.name), Object.fromEntries(given.map((f) => [f, form[f]])) as never)
}
</script>

<template>
  <ElForm ref="box" :model="form" label-position="top" @submit.prevent="attempt">
    <ElFormItem :label="t('registers.as')" prop="name" :rules="needed">
      <ElInput v-model="typed.name" class="mono" maxlength="63" :disabled="!!source" />
    </ElFormItem>
    <ElFormItem :label="t('channels.kind')">
      <PickOne v-model="form.kind" :options="choices(['file', 'database'], 'registers.from')" />
    </ElFormItem>
    <template v-if="form.kind === 'database'">
      <ElFormItem :label="t('registers.system')">
        <PickOne v-model="form.system" :options="SYSTEMS" />
      </ElFormItem>
      <ElCheckbox v-model="tls" :label="t('registers.tls')" />
    </template>
    <SettingFields v-bind="{ settings: fields, form }" words="registers.f" :least="1" :keeps="!!source" />
    <NoteBanner v-if="refused" kind="wrong">{{ refused }}</NoteBanner>
    <div class="row">
      <KeyButton main submit :disabled="busy">{{ t(busy ? 'registers.asking' : 'registers.try') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </div>
  </ElForm>
</template>
