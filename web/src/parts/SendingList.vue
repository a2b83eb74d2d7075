<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Sending } from '../composables/useSending'
import { share as percent } from './figures'

/** Files on their way: a bar for all of them and one for each, with what became of it. */
defineProps<{ list: Sending[]; done: number; share: number }>()
const { t } = useI18n()
const bad = (s: Sending) => s.state === 'rejected' || s.state === 'failed'
function note(s: Sending) {
  if (s.state === 'rejected') return t('intake.rejectedWhy', { why: s.note })
  return s.state === 'failed' ? t('intake.failed', { why: s.note }) : s.note
}
const name = (s: Sending) => s.file.webkitRelativePath || s.file.name
</script>

<template>
  <div class="row all">
    <b>{{ t('intake.all', { done, n: list.length }) }}</b>
    <ElProgress
      class="stretch"
      :percentage="Math.round(share * 100)"
      :format="() => percent(share, 1)"
      :stroke-width="12"
      :aria-label="t('intake.all', { done, n: list.length })"
    />
  </div>
  <ul class="files">
    <li v-for="s in list" :key="s.key" :class="s.state">
      <span class="name mono" dir="auto" :title="name(s)">{{ name(s) }}</span>
      <ElProgress
        :percentage="Math.round(s.share * 100)"
        :status="bad(s) ? 'exception' : undefined"
        :show-text="false"
        :aria-label="name(s)"
      />
      <span class="note">{{ bad(s) ? '✕ ' : '' }}{{ note(s) }}</span>
    </li>
  </ul>
</template>

<style scoped>
.all {
  gap: 12px;
}
.files {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  flex: 1;
}
li {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) 120px minmax(140px, 1.2fr);
  gap: 12px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--line-faint);
  content-visibility: auto;
  contain-intrinsic-size: auto 30px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.rejected .note,
.failed .note {
  color: var(--wrong);
}
</style>
