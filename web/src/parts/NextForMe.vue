<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import { lateness } from './late'
import { dueWords } from './due'

/** What a person should do next, with one key to do it. */
defineProps<{ next: Schema['Row'] | null; now: number; loaded: boolean }>()
defineEmits<{ start: [] }>()
const { t } = useI18n()
</script>

<template>
  <section class="next panel" :aria-label="t('board.next')">
    <h2>{{ t('board.next') }}</h2>
    <template v-if="next">
      <strong class="mono">{{ next.no }}</strong>
      <span class="title" :title="next.title" dir="auto">{{ next.title }}</span>
      <span class="soft">{{ t('intake.sent', { pages: next.pages }, next.pages) }}</span>
      <span v-if="next.doubts">
        {{ t('board.doubtsIn', { n: next.doubts, stage: t(`stages.${next.stage}`) }, next.doubts) }}
      </span>
      <span v-else>{{ t('board.noDoubts') }}</span>
      <span :class="lateness(next, now)">{{ dueWords(next, now) }}</span>
      <span class="stretch" />
      <KeyButton main k="Enter" @click="$emit('start')">{{ t('board.start') }}</KeyButton>
    </template>
    <span v-else-if="loaded" class="soft">{{ t('board.nothing') }}</span>
  </section>
</template>

<style scoped>
.next {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  padding: 12px 16px;
  min-height: 58px;
}
.title {
  min-width: 0;
  max-width: 30em;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
