<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import BatchHeld from './BatchHeld.vue'

/** What has to be known before pages are touched: whether they can be, counts that differ, what is missing. */
const props = defineProps<{ batch: Schema['BatchDetail']; locked: boolean }>()
const emit = defineEmits<{
  changed: []
  counts: []
  show: [page: number]
  fill: [page: number]
  waive: [page: number]
}>()
const { t } = useI18n()
const counts = computed(() => props.batch.counts)
const openGaps = computed(() => props.batch.gaps.filter((g) => g.open))
</script>

<template>
  <BatchHeld :batch="batch" @changed="emit('changed')" />
  <NoteBanner v-if="counts?.differ" kind="doubt">
    <span v-if="!counts.acceptedBy" class="state doubtful after">{{ t('counts.differ') }}</span>
    <template v-if="counts.expectedPages != null">
      {{ t('counts.pages', { expected: counts.expectedPages, n: counts.pages }) }}.
    </template>
    <template v-if="counts.expectedDocuments != null">
      {{ t('counts.documents', { expected: counts.expectedDocuments, n: counts.documents }) }}.
    </template>
    <span v-if="counts.acceptedBy" class="soft">
      {{ t('counts.accepted', { by: counts.acceptedBy, why: counts.because ?? '' }) }}
    </span>
    <template v-if="!counts.acceptedBy" #acts>
      <KeyButton :disabled="locked" @click="emit('counts')">{{ t('counts.accept') }}</KeyButton>
    </template>
  </NoteBanner>
  <NoteBanner v-for="g in openGaps" :key="g.page" kind="doubt">
    <span class="state doubtful after">{{ t('gap.after', { page: g.page }) }}</span>
    {{ g.note ?? t('gap.placeholder') }}
    <template #acts>
      <KeyButton @click="emit('show', g.page)">{{ t('gap.show') }}</KeyButton>
      <KeyButton :disabled="locked" @click="emit('fill', g.page)">{{ t('gap.fill') }}</KeyButton>
      <KeyButton :disabled="locked" @click="emit('waive', g.page)">{{ t('gap.waive') }}</KeyButton>
    </template>
  </NoteBanner>
</template>
