<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'

/** The page before one that may begin a document: whether it does is seen from both together. */
defineProps<{ no: string; page: Schema['DeskPage'] }>()
const { t } = useI18n()
</script>

<template>
  <figure class="before">
    <img :src="pictureOf(no, page, 900)" :alt="t('pageDesk.page', { no: page.no })" />
    <figcaption>{{ t('pageDesk.pageBefore', { no: page.no }) }}</figcaption>
  </figure>
</template>

<style scoped>
.before {
  flex: 1 1 0;
  min-width: 0;
  margin: 0;
  padding: 8px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  background: var(--ground);
  border-inline-end: 1px solid var(--line);
}
img {
  flex: 1;
  min-height: 0;
  object-fit: contain;
  object-position: top;
}
figcaption {
  font-size: 12.5px;
  color: var(--ink-soft);
  text-align: center;
}
</style>
