<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, tell } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import { vFocus } from './base/focus'

/** A stream begun by its title; what it does is said in the workbench. */
const { t } = useI18n()
const router = useRouter()
const asking = ref(false)
const title = ref('')
async function begin() {
  const { data, error } = await api.POST('/api/workbench', { body: { title: title.value } })
  if (error) tell(error)
  if (data) await router.push({ name: 'workbench', params: { stream: data.stream } })
}
defineExpose({ ask: () => (asking.value = true) })
</script>

<template>
  <KeyButton v-if="!asking" k="N" main @click="asking = true">{{ t('workbench.begin') }}</KeyButton>
  <form v-else class="row" @submit.prevent="begin" @keydown.esc.stop="asking = false">
    <ElInput
      v-model="title"
      v-focus
      maxlength="80"
      :placeholder="t('workbench.beginTitle')"
      :aria-label="t('workbench.beginTitle')"
    />
    <KeyButton main submit k="Enter" :disabled="!title.trim()">{{ t('workbench.beginSave') }}</KeyButton>
  </form>
</template>
