<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema, worded } from '../api/client'
import { useChoices } from '../composables/useChoices'
import { useEvents } from '../composables/useEvents'
import { USUAL_SETTINGS, useScan } from '../composables/useScan'
import { useScanWords } from '../composables/useScanWords'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PickOne from './base/PickOne.vue'

/** Scanning a stack: settings the device can do, pages as they arrive, and what to do when something goes wrong. */
const props = defineProps<{ stream: string; streamRules: Schema['ScanRules'] | null }>()
const emit = defineEmits<{ finished: [no: string] }>()
const { t } = useI18n()
const said = useScanWords()
const choices = useChoices()
type Settings = Schema['ScanSettings']

const devices = ref<Schema['Device'][]>([])
const loaded = ref(false)
const device = ref<number | null>(null)
const settings = ref<Settings>({ ...USUAL_SETTINGS })
const pages = ref<Schema['Arriving'][]>([])
const expected = ref('')
const pile = ref<HTMLElement>()

const chosen = computed(() => devices.value.find((d) => d.id === device.value) ?? null)
const fixed = computed<Partial<Schema['ScanRules']>>(() => props.streamRules ?? {})
const shown = computed(() =>
  pages.value.filter((_, i) => i % (settings.value.showEvery ?? 1) === 0 || i === pages.value.length - 1),
)

const scanners = computed(() =>
  devices.value.map((d) => ({ value: d.id, label: d.model ? `${d.name} · ${d.model}` : d.name })),
)
const sources = computed(() =>
  choices(
    (['feeder', 'flatbed'] as const).filter((s) => !chosen.value || chosen.value[s]),
    'scan',
  ),
)
const resolutions = computed(() =>
  (chosen.value?.dpi.length ? chosen.value.dpi : [300]).map((dpi) => ({ value: dpi, label: `${dpi} dpi` })),
)
const sides = computed(() => [
  { value: false, label: t('scan.front') },
  { value: true, label: t('scan.both') },
])
const shownPages = computed(() => [
  { value: 1, label: t('scan.everyPage') },
  ...[5, 10, 25].map((n) => ({ value: n, label: t('scan.everyNth', { n }) })),
])

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
  if (!data) return
  const more = data.length > pages.value.length
  pages.value = data
  if (more) requestAnimationFrame(() => pile.value?.scrollTo({ top: pile.value.scrollHeight }))
})
useEvents((no) => no === state.value?.no && void look())

const beginHere = (what: { stream: string } | { batch: string }) =>
  begin({ scanner: device.value, ...what, fillsGap: false, settings: settings.value })
async function start() {
  if (device.value === null || scanning.value) return
  await (state.value ? act('continue') : beginHere({ stream: props.stream }))
}
/** Goes on with a batch that was begun before, perhaps yesterday. */
async function adopt(batch: string) {
  if (state.value || (await resume(batch))) return
  if (device.value !== null) await beginHere({ batch })
}
const stop = () => act('stop')
async function finish() {
  const no = state.value?.no
  if (!no || scanning.value) return
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
    <div v-else class="settings">
      <label>
        {{ t('scan.device') }}
        <PickOne v-model="device" class="device" :options="scanners" :disabled="!!state" />
      </label>
      <label>
        {{ t('scan.source') }}
        <PickOne v-model="settings.source" :options="sources" :disabled="!!state" />
      </label>
      <label>
        {{ t('scan.dpi') }}
        <b v-if="fixed.dpi" class="fixed">{{ fixed.dpi }} dpi</b>
        <PickOne v-else v-model="settings.dpi" :options="resolutions" :disabled="!!state" />
      </label>
      <label>
        {{ t('scan.colour') }}
        <b v-if="fixed.colour" class="fixed">{{ t(`scan.${fixed.colour}`) }}</b>
        <PickOne
          v-else
          v-model="settings.colour"
          :options="choices(chosen?.colours.length ? chosen.colours : ['grey'], 'scan')"
          :disabled="!!state"
        />
      </label>
      <label>
        {{ t('scan.size') }}
        <b v-if="fixed.size" class="fixed">{{ fixed.size }}</b>
        <PickOne
          v-else
          v-model="settings.size"
          :options="['A4', 'A5', 'Letter'].map((s) => ({ value: s, label: s }))"
          :disabled="!!state"
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
          :disabled="!!state || !chosen?.duplex || settings.source === 'flatbed'"
        />
      </label>
      <label>
        {{ t('scan.show') }}
        <PickOne v-model="settings.showEvery" :options="shownPages" />
      </label>
    </div>
    <NoteBanner v-if="chosen?.problem" kind="wrong">
      {{ worded(chosen.problem) }}
      <template #acts>
        <KeyButton @click="load">{{ t('scan.again') }}</KeyButton>
      </template>
    </NoteBanner>
    <div ref="pile" class="pile" aria-live="polite">
      <figure v-for="p in shown" :key="p.no" :class="{ unread: !p.read }">
        <img :src="`/api/batches/${state?.no}/arriving/${p.no}/picture`" loading="lazy" alt="" />
        <figcaption class="spaced">
          <span class="mono">{{ p.no }}</span>
          <span v-if="p.sheet" class="soft">
            {{ t(p.sheet.side === 'back' ? 'scan.sheetBack' : 'scan.sheetFront', { n: p.sheet.no }) }}
          </span>
          <span v-if="p.rejected" class="problem">{{ t('scan.unreadable') }}</span>
        </figcaption>
      </figure>
      <p v-if="!pages.length" class="soft wait">{{ state ? t('scan.waiting') : t('scan.lead') }}</p>
    </div>
    <NoteBanner v-if="state?.standing === 'fault'" kind="wrong" class="fault">
      <b class="after">▲ {{ t('scan.fault') }}</b>
      {{ said(state) }}
    </NoteBanner>
    <p v-else-if="state?.trouble" class="soft" role="status">{{ said(state) }}</p>
    <div class="row">
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
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
.settings label {
  display: flex;
  flex-direction: column;
  font-size: 13px;
  color: var(--ink-soft);
  gap: 2px;
}
.device {
  min-width: 200px;
}
.expected .el-input {
  width: 80px;
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
.pile {
  flex: 1;
  min-height: 150px;
  overflow: auto;
  background: var(--ground);
  border: 1px solid var(--line);
  padding: 10px;
  display: flex;
  flex-wrap: wrap;
  align-content: flex-start;
  gap: 10px;
}
figure {
  margin: 0;
  width: 104px;
  border-bottom: 2px solid #8895a0;
}
figure img {
  width: 100%;
  height: 140px;
  object-fit: contain;
  background: #fff;
  display: block;
  border: 1px solid #a9b3bb;
}
figure.unread img {
  opacity: 0.75;
}
figcaption {
  font-size: 12.5px;
  padding: 2px 0;
}
.wait {
  margin: auto;
}
.pile:has(.wait) {
  align-content: center;
}
.problem {
  color: var(--wrong);
  margin: 0;
}
.expected {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
</style>
