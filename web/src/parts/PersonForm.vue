<script setup lang="ts">
import type { FormInstance, InputInstance } from 'element-plus'
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, worded } from '../api/client'
import { useAsking } from '../composables/useAsking'
import { useChoices } from '../composables/useChoices'
import { useLoad } from '../composables/useLoad'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PickOne from './base/PickOne.vue'

type Account = Schema['Account']

/** One person as a supervisor keeps it: name, role, groups, whether it may sign in. */
const props = defineProps<{ person: Account | null; groups: Schema['Group'][] }>()
const emit = defineEmits<{ saved: [name: string, password?: string]; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const ways = useLoad(() => api.GET('/api/sign-in-ways'))
const box = ref<FormInstance>()
const form = reactive<Account>({
  ...(props.person ?? { signIn: '', name: '', role: 'operator', locked: false, directory: false }),
  groups: [...(props.person?.groups ?? [])],
})
const first = ref<InputInstance>()
/** The drawer has the focus until it is there. */
defineExpose({ focus: () => first.value?.focus() })
const { busy, refused, asking } = useAsking()
const needed = { required: true, message: t('channels.needed'), trigger: 'change' }

async function save() {
  if (!(await box.value?.validate().catch(() => false))) return
  if (!props.person)
    return asking(
      () => api.POST('/api/people', { body: form }),
      (made) => emit('saved', form.name, made?.password ?? undefined),
    )
  const path = { signIn: props.person.signIn }
  return asking(
    () => api.PUT('/api/people/{signIn}', { params: { path }, body: form }),
    () => emit('saved', form.name),
  )
}
const giveNew = () =>
  asking(
    () => api.POST('/api/people/{signIn}/password', { params: { path: { signIn: form.signIn } } }),
    (made) => emit('saved', form.name, made?.password ?? undefined),
  )
</script>

<template>
  <ElForm ref="box" :model="form" label-position="top" @submit.prevent="save">
    <ElFormItem :label="t('people.name')" prop="name" :rules="needed">
      <ElInput ref="first" v-model="form.name" maxlength="80" />
    </ElFormItem>
    <ElFormItem :label="t('people.signIn')" prop="signIn" :rules="needed">
      <ElInput v-model="form.signIn" class="mono" maxlength="59" :disabled="!!person" autocapitalize="off" />
      <small v-if="!person" class="soft">{{ t('people.signInHint') }}</small>
    </ElFormItem>
    <ElFormItem :label="t('people.does')">
      <PickOne v-model="form.role" :options="choices(['operator', 'supervisor', 'reader'], 'people.role')" />
      <small class="soft">{{ t(`people.roleIs.${form.role}`) }}</small>
    </ElFormItem>
    <ElFormItem v-if="groups.length" :label="t('people.groups')">
      <ElSelect v-model="form.groups" multiple :placeholder="t('people.noGroup')">
        <ElOption v-for="g in groups" :key="g.id" :value="g.id" :label="g.name" />
      </ElSelect>
    </ElFormItem>
    <ElFormItem v-if="ways.data.value?.length || form.directory">
      <ElCheckbox v-model="form.directory" :label="t('people.byDirectory')" />
      <small class="soft">{{ t('people.byDirectoryIs') }}</small>
    </ElFormItem>
    <ElFormItem v-if="person">
      <ElCheckbox v-model="form.locked" :label="t('people.locked')" />
    </ElFormItem>
    <NoteBanner v-if="refused !== undefined" kind="wrong">{{ worded(refused) }}</NoteBanner>
    <div class="row">
      <KeyButton main submit :disabled="busy">{{ t(person ? 'people.save' : 'people.add') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
      <span class="stretch" />
      <KeyButton v-if="person && !person.locked && !person.directory" :disabled="busy" @click="giveNew">
        {{ t('people.giveNew') }}
      </KeyButton>
    </div>
  </ElForm>
</template>
