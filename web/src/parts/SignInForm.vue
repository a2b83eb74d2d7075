<script setup lang="ts">
import type { InputInstance } from 'element-plus'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import { vFocus } from './base/focus'

/** Name and password; what is wrong with them is said where they are typed. */
const props = defineProps<{ known?: string }>()
const emit = defineEmits<{ done: [] }>()
const { t } = useI18n()
const session = useSession()
const name = ref(props.known ?? '')
const password = ref('')
const problem = ref<string | null>(null)
const busy = ref(false)
const secret = ref<InputInstance>()
defineExpose({ focus: () => secret.value?.focus() })

async function go() {
  busy.value = true
  try {
    problem.value = await session.signIn(name.value, password.value)
    if (!problem.value) emit('done')
  } catch {
    problem.value = t('app.noServer')
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="sign-in" @submit.prevent="go">
    <FieldBox :label="t('signIn.name')">
      <ElInput v-model="name" v-focus="!known" name="username" autocomplete="username" required />
    </FieldBox>
    <FieldBox :label="t('signIn.password')">
      <ElInput
        ref="secret"
        v-model="password"
        name="password"
        type="password"
        autocomplete="current-password"
        required
      />
    </FieldBox>
    <NoteBanner v-if="problem" kind="wrong">{{ problem }}</NoteBanner>
    <KeyButton :disabled="busy" main submit k="Enter">{{ t('signIn.go') }}</KeyButton>
  </form>
</template>

<style scoped>
.sign-in {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
</style>
