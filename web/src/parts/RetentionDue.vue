<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useLoad } from '../composables/useLoad'

/** The way to what is kept no longer, with how much that is. */
const { t } = useI18n()
const { data } = useLoad(() => api.GET('/api/retention/due'))
const due = computed(() => (data.value ?? []).reduce((sum, kind) => sum + kind.documents - kind.held, 0))
</script>

<template>
  <RouterLink :to="{ name: 'retention' }">
    {{ due ? t('retention.linkDue', due) : t('retention.title') }}
  </RouterLink>
</template>
