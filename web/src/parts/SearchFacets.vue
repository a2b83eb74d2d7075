<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { narrowed } from './query'

/** What the results have, with how many of them have it; a press narrows to it. */
defineProps<{ line: string; facets: Schema['Facet'][] }>()
defineEmits<{ ask: [line: string] }>()
const { t } = useI18n()
</script>

<template>
  <nav :aria-label="t('archive.narrow')">
    <template v-for="f in facets" :key="f.field">
      <section v-if="f.values.length">
        <h3>{{ t(`archive.facet.${f.field}`) }}</h3>
        <ul>
          <li v-for="v in f.values" :key="v.value">
            <ElButton
              link
              :disabled="f.values.length === 1"
              @click="$emit('ask', narrowed(line, f.field, v.value))"
            >
              <span class="value" dir="auto">{{ v.value }}</span>
              <span class="soft">{{ v.documents.toLocaleString('en') }}</span>
            </ElButton>
          </li>
        </ul>
      </section>
    </template>
  </nav>
</template>

<style scoped>
section {
  margin-bottom: 14px;
}
h3 {
  margin-bottom: 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.el-button {
  width: 100%;
  justify-content: space-between;
  height: auto;
  padding: 3px 0;
}
.el-button :deep(> span) {
  width: 100%;
  display: flex;
  justify-content: space-between;
  gap: 8px;
}
.value {
  white-space: normal;
  text-align: start;
  overflow-wrap: anywhere;
}
</style>
