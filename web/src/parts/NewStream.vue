<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, tell } from '../api/client'
import { useChoices } from '../composables/useChoices'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import { vFocus } from './base/focus'

/** A stream begun by its title; what it does is said in the workbench. */
const { t } = useI18n()
const router = useRouter()
const asking = ref(false)
const title = ref('')
const STARTERS = ['nothing', 'form', 'letters', 'invoices', 'certificates', 'mixed'] as const
const starter = ref<(typeof STARTERS)[number]>('nothing')
const choices = useChoices()
async function begin() {
  const { data, error } = await api.POST('/api/workbench', {
    body: { title: title.value, starter: starter.value },
  })
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
    <PickOne
      v-model="starter"
      :options="choices(STARTERS, 'workbench.starters')"
      :aria-label="t('workbench.starter')"
    />
    <KeyButton main submit k="Enter" :disabled="!title.trim()">{{ t('workbench.beginSave') }}</KeyButton>
  </form>
</template>
