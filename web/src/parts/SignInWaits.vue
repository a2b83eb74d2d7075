<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { clock } from './times'
import KeyButton from './base/KeyButton.vue'

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
  <section v-if="waits.length" class="panel waits">
    <h2>{{ t('signInWaits.title') }}</h2>
    <div v-for="w in waits" :key="w.kind + w.who" class="row">
      <span class="who">
        <span class="soft after">{{ t(`signInWaits.${w.kind}`) }}</span>
        <b class="mono">{{ w.who }}</b>
      </span>
      <span>{{ t('signInWaits.failed', { n: w.failures }, w.failures) }}</span>
      <span v-if="waiting(w)" class="state doubtful">
        {{ t('signInWaits.until', { time: clock(w.until) }) }}
      </span>
      <span v-else class="soft">{{ t('signInWaits.mayTry') }}</span>
      <span class="stretch" />
      <KeyButton @click="lift(w)">
        {{ waiting(w) ? t('signInWaits.lift') : t('signInWaits.forget') }}
      </KeyButton>
    </div>
  </section>
</template>

<style scoped>
.waits {
  background: var(--field);
  padding: 10px 14px;
}
h2 {
  font-size: 15px;
  margin: 0 0 6px;
}
.row {
  gap: 14px;
  padding: 3px 0;
}
.who {
  min-width: 260px;
  overflow-wrap: anywhere;
}
</style>
