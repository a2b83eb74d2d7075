<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { clock } from './times'
import KeyButton from './base/KeyButton.vue'
import ListRow from './base/ListRow.vue'
import PanelBox from './base/PanelBox.vue'

/** Sign-ins that failed again and again, and how long they have to wait; a supervisor lifts a wait. */
const { t } = useI18n()
const waits = ref<Schema['Wait'][]>([])

async function load() {
  const { data } = await api.GET('/api/sign-in-waits')
  if (data) waits.value = data
}
async function lift(w: Schema['Wait']) {
  const { data, error } = await api.POST('/api/sign-in-waits/lift', { body: { kind: w.kind, who: w.who } })
  if (data) waits.value = data
  else tell(error)
}
const waiting = (w: Schema['Wait']) => new Date(w.until) > new Date()
void load()
useIntervalFn(load, 15_000)
</script>

<template>
  <PanelBox v-if="waits.length" :title="t('signInWaits.title')">
    <ListRow
      v-for="w in waits"
      :key="w.kind + w.who"
      :title="w.who"
      :state="t(waiting(w) ? 'signInWaits.waits' : 'signInWaits.mayTry')"
      :kind="waiting(w) ? 'doubtful' : 'empty'"
    >
      <span class="soft">{{ t(`signInWaits.${w.kind}`) }}</span>
      <div class="soft">
        {{ t('signInWaits.failed', { n: w.failures }, w.failures) }}
        <template v-if="waiting(w)">· {{ t('signInWaits.until', { time: clock(w.until) }) }}</template>
      </div>
      <template #acts>
        <KeyButton @click="lift(w)">
          {{ waiting(w) ? t('signInWaits.lift') : t('signInWaits.forget') }}
        </KeyButton>
      </template>
    </ListRow>
  </PanelBox>
</template>
