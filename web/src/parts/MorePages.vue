<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import BringWays from './BringWays.vue'
import NoteBanner from './base/NoteBanner.vue'
import ScanPanel from './ScanPanel.vue'
import UploadPanel from './UploadPanel.vue'

/** Pages scanned or brought in for a filed document: a batch of their own, filed as its newer version. */
const props = defineProps<{ found: Schema['Found'] }>()
const { t } = useI18n()
const { data: streams } = useLoad(() => api.GET('/api/streams'))
const rules = computed(() => streams.value?.find((s) => s.name === props.found.stream)?.scan ?? null)
const way = ref('scan')
const scan = ref<InstanceType<typeof ScanPanel>>()
const upload = ref<InstanceType<typeof UploadPanel>>()
const scanned = ref('')
const busy = computed(() => !!scan.value?.begun || !!upload.value?.busy)
const go = (to: string) => !busy.value && (way.value = to)
useKeys(
  [
    { key: '1', on: ['1'], label: t('intake.scan'), run: () => go('scan') },
    { key: '2', on: ['2'], label: t('intake.files'), run: () => go('files') },
    { key: 'S', on: ['s', 'S'], label: t('scan.start'), run: () => void scan.value?.start() },
    { key: 'X', on: ['x', 'X'], label: t('scan.stop'), run: () => void scan.value?.stop() },
    { key: 'Enter', on: ['Enter'], label: t('scan.finish'), run: () => void scan.value?.finish() },
    { key: 'O', on: ['o', 'O'], label: t('intake.choose'), run: () => upload.value?.choose() },
  ],
  true,
)
</script>

<template>
  <p class="soft">{{ t('archive.moreLead', { n: found.version + 1 }) }}</p>
  <NoteBanner v-if="scanned">
    {{ t('archive.moreScanned', { no: scanned }) }}
    <template #acts>
      <RouterLink :to="{ name: 'pages', params: { no: scanned } }">
        {{ t('archive.moreOpen', { no: scanned }) }}
      </RouterLink>
    </template>
  </NoteBanner>
  <template v-else>
    <BringWays v-model="way" class="ways" :disabled="busy" />
    <ScanPanel
      v-if="way === 'scan'"
      ref="scan"
      :stream="found.stream"
      :stream-rules="rules"
      :document="found.id"
      @finished="(no) => (scanned = no)"
    />
    <UploadPanel v-else ref="upload" :stream="found.stream" :document="found.id">
      <template #default="{ no }">
        <RouterLink :to="{ name: 'pages', params: { no } }">{{ t('archive.moreOpen', { no }) }}</RouterLink>
      </template>
    </UploadPanel>
  </template>
</template>

<style scoped>
.ways {
  margin-block-end: 12px;
}
</style>
