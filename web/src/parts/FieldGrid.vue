<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/** Values of a filed document under their titles, side by side as far as there is room. */
const { t } = useI18n()
defineProps<{ fields: Schema['FiledField'][] }>()
</script>

<template>
  <dl class="field-grid">
    <div v-for="f in fields" :key="f.name">
      <dt :title="f.name">{{ f.title }}</dt>
      <dd v-if="f.value !== null" class="mono" dir="auto" :title="f.value">{{ f.value }}</dd>
      <dd v-else class="soft">{{ t('archive.confidential') }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.field-grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 4px 16px;
  margin: 0;
}
.field-grid > div {
  min-width: 0;
}
dt {
  overflow-wrap: anywhere;
  font-size: 12.5px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
}
</style>
