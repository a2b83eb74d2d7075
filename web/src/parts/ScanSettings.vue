<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import PickOne from './base/PickOne.vue'

/** How a stack is scanned: what the device can do, less what the stream has fixed. */
const props = defineProps<{
  devices: Schema['Device'][]
  chosen: Schema['Device'] | null
  fixed: Partial<Schema['ScanRules']>
  begun: boolean
}>()
const device = defineModel<number | null>('device', { required: true })
const settings = defineModel<Schema['ScanSettings']>('settings', { required: true })
const { t } = useI18n()
const choices = useChoices()

const scanners = computed(() =>
  props.devices.map((d) => ({ value: d.id, label: d.model ? `${d.name} · ${d.model}` : d.name })),
)
const sources = computed(() =>
  choices(
    (['feeder', 'flatbed'] as const).filter((s) => !props.chosen || props.chosen[s]),
    'scan',
  ),
)
const resolutions = computed(() =>
  (props.chosen?.dpi.length ? props.chosen.dpi : [300]).map((dpi) => ({ value: dpi, label: `${dpi} dpi` })),
)
const sides = computed(() => [
  { value: false, label: t('scan.front') },
  { value: true, label: t('scan.both') },
])
const shownPages = computed(() => [
  { value: 1, label: t('scan.everyPage') },
  ...[5, 10, 25].map((n) => ({ value: n, label: t('scan.everyNth', { n }) })),
])
</script>

<template>
  <div class="settings">
    <label>
      {{ t('scan.device') }}
      <PickOne v-model="device" class="device" :options="scanners" :disabled="begun" />
    </label>
    <label>
      {{ t('scan.source') }}
      <PickOne v-model="settings.source" :options="sources" :disabled="begun" />
    </label>
    <label>
      {{ t('scan.dpi') }}
      <b v-if="fixed.dpi" class="fixed">{{ fixed.dpi }} dpi</b>
      <PickOne v-else v-model="settings.dpi" :options="resolutions" :disabled="begun" />
    </label>
    <label>
      {{ t('scan.colour') }}
      <b v-if="fixed.colour" class="fixed">{{ t(`scan.${fixed.colour}`) }}</b>
      <PickOne
        v-else
        v-model="settings.colour"
        :options="choices(chosen?.colours.length ? chosen.colours : ['grey'], 'scan')"
        :disabled="begun"
      />
    </label>
    <label>
      {{ t('scan.size') }}
      <b v-if="fixed.size" class="fixed">{{ fixed.size }}</b>
      <PickOne
        v-else
        v-model="settings.size"
        :options="['A4', 'A5', 'Letter'].map((s) => ({ value: s, label: s }))"
        :disabled="begun"
      />
    </label>
    <label>
      {{ t('scan.sides') }}
      <b v-if="fixed.duplex !== undefined && fixed.duplex !== null" class="fixed">
        {{ fixed.duplex ? t('scan.both') : t('scan.front') }}
      </b>
      <PickOne
        v-else
        v-model="settings.duplex"
        :options="sides"
        :disabled="begun || !chosen?.duplex || settings.source === 'flatbed'"
      />
    </label>
    <label>
      {{ t('scan.show') }}
      <PickOne v-model="settings.showEvery" :options="shownPages" />
    </label>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
label {
  display: flex;
  flex-direction: column;
  font-size: 13px;
  color: var(--ink-soft);
  gap: 2px;
  min-width: 165px;
}
.device {
  min-width: 200px;
}
.fixed {
  font-size: 15px;
  color: var(--ink);
  padding: 5px 2px;
  font-weight: 600;
}
.fixed::before {
  content: '= ';
  color: var(--ink-soft);
}
</style>
