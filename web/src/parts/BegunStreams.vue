<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { moment } from './times'

/** Streams that are being made and have no version yet. */
const { t } = useI18n()
const { data } = useLoad(() => api.GET('/api/workbench'))
</script>

<template>
  <ul v-if="data?.length" class="begun">
    <li v-for="d in data" :key="d.stream" class="row">
      <RouterLink :to="{ name: 'workbench', params: { stream: d.stream } }" dir="auto">
        <b>{{ d.title }}</b>
      </RouterLink>
      <span class="soft">
        {{ t('workbench.begun') }} · {{ t('streams.saved', { when: moment(d.keptAt), by: d.keptBy }) }}
      </span>
    </li>
  </ul>
</template>

<style scoped>
.begun {
  list-style: none;
  margin: 0 0 8px;
  padding: 0 12px;
}
</style>
