<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, worded } from '../api/client'
import { useAsking } from '../composables/useAsking'
import { useChoices } from '../composables/useChoices'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PickOne from './base/PickOne.vue'
import SettingFields from './base/SettingFields.vue'
import { FIELDS } from './placeFields'

/** A place to file in: tried by writing there, and saved. */
const props = defineProps<{ place: Schema['OwnPlace'] | null }>()
const emit = defineEmits<{ saved: [name: string]; removed: [name: string]; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const box = ref<FormInstance>()
const form = reactive<Record<string, string | number | undefined>>({
  kind: 'sftp',
  ...(props.place?.settings as object),
  name: props.place?.name,
})
const typed = form as Record<string, string | undefined>
const { busy, refused, asking } = useAsking()
const told = ref('')
/** Kinds of whose trial something else is to be said. */
const TRIED: Record<string, string> = { mail: 'mail', program: 'program' }
const fields = computed(() => FIELDS[String(form.kind)])
/** The key that it was found to have, when none was said. */
const foundKey = computed(() => {
  const problem = refused.value as Schema['Problem'] | undefined
  return problem?.code === 'placeHostKey' ? (problem.with as { key?: string }).key : undefined
})

/** @param work asks the server about the place as it is written */
async function ask(work: (name: string, settings: never) => Promise<{ error?: unknown }>, then: () => void) {
  if (!(await box.value?.validate().catch(() => false))) return
  const used = ['kind', ...fields.value.map((f) => f.name)]
  const given = used.filter((f) => form[f] !== '' && form[f] != null)
  const settings = Object.fromEntries(given.map((f) => [f, form[f]]))
  told.value = ''
  return asking(() => work(String(form.name), settings as never), then)
}
const attempt = () =>
  ask(
    (name, body) => api.POST('/api/places/{name}/try', { params: { path: { name } }, body }),
    () => (told.value = t(`places.tried.${TRIED[String(form.kind)] ?? 'files'}`, { name: form.name })),
  )
const save = () =>
  ask(
    (name, body) => api.PUT('/api/places/{name}', { params: { path: { name } }, body }),
    () => emit('saved', String(form.name)),
  )
async function remove() {
  const name = props.place?.name ?? ''
  const { error } = await api.DELETE('/api/places/{name}', { params: { path: { name } } })
  if (error) refused.value = error
  else emit('removed', name)
}
function takeKey() {
  form.hostKey = foundKey.value
  refused.value = undefined
  void attempt()
}
</script>

<template>
  <ElForm ref="box" :model="form" label-position="top" @submit.prevent="attempt">
    <ElFormItem
      :label="t('places.f.name')"
      prop="name"
      :rules="{ required: true, message: t('channels.needed'), trigger: 'change' }"
    >
      <ElInput v-model="typed.name" class="mono" maxlength="63" :disabled="!!place" />
    </ElFormItem>
    <ElFormItem :label="t('channels.kind')">
      <PickOne v-model="form.kind" :options="choices(Object.keys(FIELDS), 'places')" :disabled="!!place" />
    </ElFormItem>
    <SettingFields v-bind="{ settings: fields, form }" words="places.f" :least="1" :keeps="!!place" />
    <div class="foot">
      <NoteBanner v-if="refused !== undefined" kind="wrong">
        {{ worded(refused) }}
        <template v-if="foundKey" #acts>
          <KeyButton @click="takeKey">{{ t('places.takeKey') }}</KeyButton>
        </template>
      </NoteBanner>
      <NoteBanner v-if="told">{{ told }}</NoteBanner>
      <div class="row">
        <KeyButton submit :main="!told" :disabled="busy">
          {{ t(busy ? 'places.trying' : 'places.tryIt') }}
        </KeyButton>
        <KeyButton :main="!!told" :disabled="busy" @click="save">{{ t('places.save') }}</KeyButton>
        <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
        <span class="stretch" />
        <ElPopconfirm
          v-if="place"
          :title="t('places.removeAsk', { name: place.name })"
          :confirm-button-text="t('places.remove')"
          :cancel-button-text="t('app.close')"
          @confirm="remove"
        >
          <template #reference>
            <KeyButton>{{ t('places.remove') }}</KeyButton>
          </template>
        </ElPopconfirm>
      </div>
    </div>
  </ElForm>
</template>

<style scoped>
/* What it answered and what to do next stay in sight, however far down the fields go. */
.foot {
  position: sticky;
  inset-block-end: calc(-1 * var(--el-drawer-padding-primary));
  display: grid;
  gap: 8px;
  padding-block: 10px;
  background: var(--el-drawer-bg-color);
  border-top: 1px solid var(--line);
}
</style>
