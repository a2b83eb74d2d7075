<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { moment } from './times'

/** What people found on filed paper that the register does not have yet, for those who keep it. */
defineProps<{ newcomers: Schema['Newcomer'][] }>()
const { t } = useI18n()
</script>

<template>
  <section v-if="newcomers.length">
    <h3>{{ t('registers.newcomers') }}</h3>
    <ul>
      <li v-for="n in newcomers" :key="n.batch + n.document + n.field">
        <b class="mono" dir="auto">{{ n.value }}</b>
        <RouterLink :to="{ name: 'index', params: { no: n.batch }, query: { document: n.document } }">
          {{ t('registers.newcomer', { ...n }) }}
        </RouterLink>
        <span class="soft">{{ t('streams.saved', { when: moment(n.filedAt), by: n.settledBy }) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
  display: grid;
  gap: 6px;
  max-height: 220px;
  overflow: auto;
}
li {
  display: grid;
  font-size: 13.5px;
}
</style>
