<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useSession } from '../session'

/**
 * Signing in by the organisation's directory, where there is one: at the sign-in screen the browser goes there; over a
 * screen in use another window does, so that what is on it stays.
 */
const props = defineProps<{ beside?: boolean }>()
const { t } = useI18n()
const session = useSession()
const { data } = useLoad(() => api.GET('/api/sign-in-ways'))
const waiting = ref(false)

const back = () => void session.signedInElsewhere()
function go(at: string) {
  if (!props.beside) {
    location.assign(at)
    return
  }
  waiting.value = true
  window.open(at, '_blank')
  window.addEventListener('focus', back)
}
onBeforeUnmount(() => window.removeEventListener('focus', back))
</script>

<template>
  <ElButton v-for="w in data ?? []" :key="w.at" class="way" @click="go(w.at)">
    {{ t('signIn.by', { name: w.name }) }}
  </ElButton>
  <p v-if="waiting" class="soft">{{ t('signIn.elsewhere') }}</p>
</template>

<style scoped>
.way {
  width: 100%;
  margin-top: 14px;
}
</style>
