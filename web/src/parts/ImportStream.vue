<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, worded, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import { vFocus } from './base/focus'
import NoteBanner from './base/NoteBanner.vue'

/** A stream brought in from a file, as a draft; under another title where somebody is changing one of its name. */
const emit = defineEmits<{ brought: [] }>()
const { t } = useI18n()
const file = shallowRef<File>()
const title = ref('')
const refused = shallowRef<{ code?: string }>()
const brought = shallowRef<Schema['Brought']>()
const missing = computed(() =>
  Object.entries(brought.value?.missing ?? {})
    .map(([register, columns]) => `${register} (${columns.join(', ')})`)
    .join('; '),
)
async function bring(wanted = file.value) {
  if (!wanted) return
  file.value = wanted
  const form = new FormData()
  form.append('file', wanted)
  const { data, error } = await api.POST('/api/workbench/import', {
    params: { query: { title: title.value.trim() || undefined } },
    body: form as never,
    bodySerializer: (b) => b,
  })
  refused.value = error as { code?: string } | undefined
  brought.value = data
  if (data) emit('brought')
}
defineExpose({ bring: (wanted: File) => ((title.value = ''), bring(wanted)) })
</script>

<template>
  <NoteBanner v-if="brought">
    {{ t('streams.brought', { title: brought.title, n: brought.samples }) }}
    <RouterLink :to="{ name: 'workbench', params: { stream: brought.stream } }">
      {{ t('workbench.open') }}
    </RouterLink>
    <div v-if="missing">{{ t('streams.missing', { what: missing }) }}</div>
  </NoteBanner>
  <NoteBanner v-if="refused" kind="wrong" class="refused">{{ worded(refused) }}</NoteBanner>
  <form v-if="refused?.code === 'draftIsThere'" class="row" @submit.prevent="bring()">
    <ElInput
      v-model="title"
      v-focus
      maxlength="80"
      :placeholder="t('workbench.beginTitle')"
      :aria-label="t('workbench.beginTitle')"
    />
    <KeyButton submit :disabled="!title.trim()">{{ t('streams.importAs') }}</KeyButton>
  </form>
</template>

<style scoped>
.refused {
  white-space: pre-wrap;
}
.row {
  padding: 6px 12px;
}
</style>
