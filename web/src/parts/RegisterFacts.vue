<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import RegisterColumns from './RegisterColumns.vue'
import RegisterNewcomers from './RegisterNewcomers.vue'
import RegisterOrigin from './RegisterOrigin.vue'
import { moment } from './times'

/** Beside a register's rows: what its columns hold, where it comes from, what it lacks, and how it became so. */
defineProps<{
  detail: Schema['RegisterDetail']
  newcomers: Schema['Newcomer'][]
  supervisor: boolean
  busy: boolean
}>()
type Kind = Schema['RegisterColumn']['kind']
const emit = defineEmits<{
  change: []
  look: [whatever: boolean]
  byHand: []
  say: [column: string, kind: Kind | null]
}>()
const { t } = useI18n()
</script>

<template>
  <RegisterColumns
    :columns="detail.columns"
    :rows="detail.info.rows"
    :may-say="supervisor"
    @say="(column, kind) => emit('say', column, kind)"
  />
  <ul v-if="detail.info.faults.length" class="faults">
    <li v-for="f in detail.info.faults" :key="f">{{ f }}</li>
  </ul>
  <RegisterOrigin
    v-bind="{ source: detail.source, supervisor, busy }"
    @change="emit('change')"
    @look="(whatever) => emit('look', whatever)"
    @by-hand="emit('byHand')"
  />
  <RegisterNewcomers :newcomers="newcomers" />
  <h3>{{ t('registers.versions') }}</h3>
  <ol class="versions" reversed>
    <li v-for="v in detail.versions" :key="v.version">
      {{ t('registers.version', { n: v.version }) }}:
      {{ v.came == null ? t('registers.unknown') : t('registers.change', { ...v }) }}
      <span class="soft">{{ t('streams.saved', { when: moment(v.savedAt), by: v.savedBy }) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.faults,
.versions {
  margin: 6px 0;
  padding-inline-start: 20px;
}
.versions {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
</style>
