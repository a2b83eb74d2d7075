<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema, worded } from '../api/client'
import { useEvents } from '../composables/useEvents'
import { USUAL_SETTINGS, useScan } from '../composables/useScan'
import { useScanWords } from '../composables/useScanWords'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import ScanPile from './ScanPile.vue'
import ScanSettings from './ScanSettings.vue'

/**
 * Scanning a stack, as a batch or as more pages of a filed document: settings the device can do, pages as they
 * arrive, and what to do when something goes wrong.
 */
const props = defineProps<{ stream: string; streamRules: Schema['ScanRules'] | null; document?: number }>()
const emit = defineEmits<{ finished: [no: string] }>()
const { t } = useI18n()
const said = useScanWords()

const devices = ref<Schema['Device'][]>([])
const loaded = ref(false)
const device = ref<number | null>(null)
const settings = ref<Schema['ScanSettings']>({ ...USUAL_SETTINGS })
const pages = ref<Schema['Arriving'][]>([])
const expected = ref('')

const chosen = computed(() => devices.value.find((d) => d.id === device.value) ?? null)
const fixed = computed<Partial<Schema['ScanRules']>>(() => props.streamRules ?? {})

async function load() {
  const { data, error } = await api.GET('/api/scanners')
  loaded.value = true
  if (!data) return tell(error)
  devices.value = data
  const last = Number(localStorage.getItem('jalon.scanner'))
  device.value = (data.find((d) => d.id === last) ?? data.find((d) => !d.problem) ?? data[0])?.id ?? null
}
watch(chosen, (d) => {
  if (d) localStorage.setItem('jalon.scanner', String(d.id))
  if (d?.last) settings.value = { ...settings.value, ...d.last }
})
onMounted(load)

const { state, scanning, begin, resume, act, look } = useScan(async (now) => {
  const { data } = await api.GET('/api/batches/{no}/arriving', { params: { path: { no: now.no } } })
  if (data) pages.value = data
})
useEvents((no) => no === state.value?.no && void look())

const beginHere = (what: { stream: string } | { batch: string } | { document: number }) =>
  begin({ scanner: device.value, ...what, fillsGap: false, settings: settings.value })
async function start() {
  if (device.value === null || scanning.value) return
  await (state.value
    ? act('continue')
    : beginHere(props.document === undefined ? { stream: props.stream } : { document: props.document }))
}
/** Goes on with a batch that was begun before, perhaps yesterday. */
async function adopt(batch: string) {
  if (state.value || (await resume(batch))) return
  if (device.value !== null) await beginHere({ batch })
}
const stop = () => act('stop')
async function finish() {
  const no = state.value?.no
  if (!no || scanning.value || !state.value?.pages) return
  if (expected.value) {
    const { error } = await api.POST('/api/batches/{no}/expected', {
      params: { path: { no } },
      body: { pages: Number(expected.value) } as never,
    })
    if (error) return tell(error)
  }
  const { error } = await api.POST('/api/batches/{no}/arrived', { params: { path: { no } } })
  if (error) return tell(error)
  state.value = null
  pages.value = []
  expected.value = ''
  emit('finished', no)
}
defineExpose({ start, stop, finish, adopt, busy: scanning, begun: computed(() => !!state.value) })
</script>

<template>
  <div class="scan">
    <p v-if="loaded && !devices.length" class="soft">{{ t('scan.none') }}</p>
    <ScanSettings
      v-else
      v-model:device="device"
      v-model:settings="settings"
      v-bind="{ devices, chosen, fixed }"
      :begun="!!state"
    />
    <NoteBanner v-if="chosen?.problem" kind="wrong">
      {{ worded(chosen.problem) }}
      <template #acts>
        <KeyButton @click="load">{{ t('scan.again') }}</KeyButton>
      </template>
    </NoteBanner>
    <ScanPile :batch="state?.no ?? null" :pages="pages" :every="settings.showEvery ?? 1" />
    <NoteBanner v-if="state?.standing === 'fault'" kind="wrong" class="fault">
      <b class="after">▲ {{ t('scan.fault') }}</b>
      {{ said(state) }}
    </NoteBanner>
    <p v-else-if="state?.trouble" class="soft" role="status">{{ said(state) }}</p>
    <div class="row acts">
      <KeyButton
        v-if="!scanning"
        :main="!state || state.standing !== 'empty'"
        :disabled="!stream || device === null"
        k="S"
        @click="start"
      >
        {{ state ? t('scan.goOn') : t('scan.start') }}
      </KeyButton>
      <KeyButton v-else k="X" @click="stop">
        {{ t('scan.stop') }}
      </KeyButton>
      <template v-if="state">
        <b>{{ t('scan.count', { no: state.no, sheets: state.sheets, pages: state.pages }) }}</b>
        <span class="stretch" />
        <label class="expected">
          {{ t('scan.expected') }}
          <ElInput v-model="expected" inputmode="numeric" pattern="[0-9]*" />
        </label>
        <KeyButton
          :main="state.standing === 'empty'"
          :disabled="scanning || !state.pages"
          k="Enter"
          @click="finish"
        >
          {{ t('scan.finish') }}
        </KeyButton>
      </template>
    </div>
  </div>
</template>

<style scoped>
.scan {
  display: flex;
  flex-direction: column;
  gap: 12px;
  flex: 1;
  min-height: 0;
}
.acts {
  flex-wrap: wrap;
}
.acts b {
  white-space: nowrap;
}
.expected .el-input {
  width: 80px;
}
.expected {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
</style>
