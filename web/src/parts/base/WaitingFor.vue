<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { worded } from '../../api/client'
import KeyButton from './KeyButton.vue'
import NoteBanner from './NoteBanner.vue'

/** What stands where something is asked for: that it is on its way, why it does not come, or that there is none. */
defineProps<{ loading?: boolean; problem?: unknown; empty?: string | false }>()
defineEmits<{ again: [] }>()
const { t } = useI18n()
</script>

<template>
  <NoteBanner v-if="problem !== undefined" kind="wrong">
    {{ worded(problem) }}
    <template #acts>
      <KeyButton @click="$emit('again')">{{ t('app.tryAgain') }}</KeyButton>
    </template>
  </NoteBanner>
  <ElSkeleton v-else-if="loading" class="skeleton" :rows="3" :throttle="200" :aria-label="t('app.loading')" />
  <ElEmpty v-else-if="empty" :image-size="1" :description="empty"><slot /></ElEmpty>
</template>

<style scoped>
.skeleton {
  padding: 14px;
}
</style>
