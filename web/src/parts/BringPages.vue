<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, csrf, tell, type Schema } from '../api/client'
import { USUAL_SETTINGS, useScan } from '../composables/useScan'
import { useScanWords } from '../composables/useScanWords'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'
import PickFiles from './base/PickFiles.vue'
import { ACCEPTED } from './drop'

/** Pages to a place in a batch: after a page, instead of it, or into its gap; from a file or scanned now. */
const props = defineProps<{ no: string; page: number; place: 'after' | 'replaces' | 'gap' }>()
const emit = defineEmits<{ close: []; changed: [] }>()
const { t } = useI18n()
const said = useScanWords()
const { unread } = useWords()
const devices = ref<Schema['Device'][]>([])
const sending = ref(false)
const bar = ref<HTMLElement>()
const focus = () => void nextTick(() => bar.value?.querySelector<HTMLButtonElement>('button')?.focus())
const {
  state,
  scanning: running,
  begin,
  act,
} = useScan((now, before) => {
  if (now.pages !== before?.pages || now.standing !== 'scanning') emit('changed')
  if (now.standing !== 'scanning') focus()
})

onMounted(async () => {
  focus()
  const { data } = await api.GET('/api/scanners')
  devices.value = (data ?? []).filter((d) => !d.problem)
})

async function send(file: File) {
  if (sending.value) return
  sending.value = true
  const query = new URLSearchParams(
    props.place === 'replaces'
      ? { replaces: String(props.page) }
      : { after: String(props.page), fillsGap: String(props.place === 'gap') },
  )
  const form = new FormData()
  form.append('file', file)
  const answer = await fetch(`/api/batches/${props.no}/insert?${query}`, {
    method: 'POST',
    headers: { 'X-XSRF-TOKEN': await csrf() },
    body: form,
  }).catch(() => null)
  const told = (await answer?.json().catch(() => ({}))) as { rejected?: Schema['Unread'] } | undefined
  if (!answer?.ok || told?.rejected) tell(told?.rejected ? { detail: unread(told.rejected) } : told)
  emit('changed')
  emit('close')
}
function scan(device: Schema['Device']) {
  const where = props.place === 'replaces' ? { replaces: props.page } : { after: props.page }
  const settings = device.last ?? { ...USUAL_SETTINGS, source: device.feeder ? 'feeder' : 'flatbed' }
  void begin({ scanner: device.id, batch: props.no, ...where, fillsGap: props.place === 'gap', settings })
}
</script>

<template>
  <div ref="bar" class="bring row" role="group" @keydown.esc.stop="!running && emit('close')">
    <b>{{ t(`bring.${place}`, { page }) }}</b>
    <template v-if="!state">
      <PickFiles class="insert" :accept="ACCEPTED" :disabled="sending" @files="([file]) => send(file)">
        {{ sending ? t('bring.sending') : t('bring.file') }}
      </PickFiles>
      <KeyButton v-for="d in devices" :key="d.id" :disabled="sending" @click="scan(d)">
        {{ t('bring.scan', { name: d.name }) }}
      </KeyButton>
      <span v-if="!devices.length" class="soft">{{ t('bring.noScanner') }}</span>
    </template>
    <template v-else>
      <KeyButton v-if="running" @click="act('stop')">{{ t('scan.stop') }}</KeyButton>
      <KeyButton
        v-else-if="state.standing === 'fault' || state.standing === 'stopped'"
        main
        @click="act('continue')"
      >
        {{ t('scan.goOn') }}
      </KeyButton>
      <KeyButton v-if="!running" @click="emit('close')">{{ t('bring.done') }}</KeyButton>
      <span aria-live="polite">
        <b v-if="state.standing === 'fault'" class="fault">▲ {{ t('scan.fault') }}</b>
        {{ t('bring.count', { n: state.pages }, state.pages) }} {{ said(state) }}
      </span>
    </template>
    <span class="stretch" />
    <KeyButton v-if="!state" k="Esc" @click="emit('close')">
      {{ t('app.close') }}
    </KeyButton>
  </div>
</template>

<style scoped>
.bring {
  gap: 8px;
  padding: 6px 14px;
  background: var(--petrol-pale);
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
.fault {
  color: var(--wrong);
}
</style>
