<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import UploadPanel from './UploadPanel.vue'

/** Pages brought in for a filed document: a batch of their own, filed as its newer version. */
defineProps<{ found: Schema['Found'] }>()
const { t } = useI18n()
</script>

<template>
  <p class="soft">{{ t('archive.moreLead', { n: found.version + 1 }) }}</p>
  <UploadPanel :stream="found.stream" :document="found.id">
    <template #default="{ no }">
      <RouterLink :to="{ name: 'pages', params: { no } }">{{ t('archive.moreOpen', { no }) }}</RouterLink>
    </template>
  </UploadPanel>
</template>
