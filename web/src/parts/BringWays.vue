<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** Whether paper is scanned or files are brought in; the keys are those of whoever shows it. */
defineProps<{ disabled: boolean }>()
const way = defineModel<string>({ required: true })
const { t } = useI18n()
const ways = [
  { value: 'scan', label: t('intake.scan'), key: '1' },
  { value: 'files', label: t('intake.files'), key: '2' },
]
</script>

<template>
  <ElSegmented v-model="way" :options="ways" :disabled="disabled" :aria-label="t('intake.how')">
    <template #default="{ item }">
      {{ item.label }}
      <kbd>{{ item.key }}</kbd>
    </template>
  </ElSegmented>
</template>
