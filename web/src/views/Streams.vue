<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema, worded } from '../api/client'
import { useKeys } from '../composables/useKeys'
import LimitsPanel from '../parts/LimitsPanel.vue'
import { moment } from '../parts/times'
import { useSession } from '../session'
import KeyButton from '../parts/base/KeyButton.vue'

const { t } = useI18n()
const session = useSession()
const streams = ref<Schema['Listed'][]>([])
const registers = ref<Schema['RegisterInfo'][]>([])
const problem = ref('')
const done = ref('')
const input = ref<HTMLInputElement>()
const loaded = ref(false)

async function load() {
  const [s, r] = await Promise.all([api.GET('/api/streams'), api.GET('/api/registers')])
  streams.value = s.data ?? []
  registers.value = r.data ?? []
  if (!s.data) tell(s.error)
  loaded.value = true
}
void load()

async function importOne(file: File | undefined) {
  if (!file) return
  problem.value = done.value = ''
  const { data, error } = await api.POST('/api/streams', { body: { json: await file.text() } })
  if (data) {
    done.value = t('streams.imported', { title: data.title, n: data.version })
    await load()
  } else problem.value = worded(error)
  if (input.value) input.value.value = ''
}
const limitsOf = ref('')
async function limitsSaved(version: number) {
  done.value = t('streams.imported', {
    title: streams.value.find((s) => s.name === limitsOf.value)?.title ?? limitsOf.value,
    n: version,
  })
  limitsOf.value = ''
  await load()
}
const supervisor = () => session.me?.role === 'supervisor'
useKeys([
  { key: 'I', on: ['i', 'I'], label: t('streams.import'), run: () => supervisor() && input.value?.click() },
])
</script>

<template>
  <div class="streams">
    <section class="panel">
      <div class="row">
        <h1 class="stretch">{{ t('streams.title') }}</h1>
        <span v-if="!supervisor()" class="soft">{{ t('streams.only') }}</span>
        <KeyButton v-else main k="I" @click="input?.click()">
          {{ t('streams.import') }}
        </KeyButton>
        <input
          ref="input"
          type="file"
          hidden
          accept=".json,application/json"
          @change="importOne(input?.files?.[0])"
        />
      </div>
      <p v-if="done" class="done state settled">{{ done }}</p>
      <pre v-if="problem" class="problem">{{ problem }}</pre>
      <p v-if="loaded && !streams.length" class="soft">{{ t('streams.none') }}</p>
      <div v-for="s in streams" :key="s.name" class="line">
        <b>{{ s.title }}</b>
        <span class="mono soft">{{ s.name }}</span>
        <span>{{ t('streams.version', { n: s.version }) }}</span>
        <span class="soft">{{ t('streams.saved', { when: moment(s.savedAt), by: s.savedBy }) }}</span>
        <KeyButton
          v-if="supervisor()"
          :aria-expanded="limitsOf === s.name"
          @click="limitsOf = limitsOf === s.name ? '' : s.name"
        >
          {{ t('limits.open') }}
        </KeyButton>
        <a :href="`/api/streams/${s.name}`" :download="`${s.name}.json`">{{ t('streams.export') }}</a>
      </div>
    </section>
    <LimitsPanel
      v-if="limitsOf"
      :key="limitsOf"
      :stream="limitsOf"
      @saved="limitsSaved"
      @close="limitsOf = ''"
    />
    <section class="panel">
      <h2>{{ t('streams.registers') }}</h2>
      <div v-for="r in registers" :key="r.name" class="register">
        <b class="mono after">{{ r.name }}</b>
        <span>{{ t('streams.lines', { n: r.rows }) }}</span>
        <div class="soft">{{ t('streams.columns', { names: r.columns.join(', ') }) }}</div>
        <ul v-if="r.faults.length">
          <li v-for="f in r.faults" :key="f">{{ f }}</li>
        </ul>
      </div>
    </section>
  </div>
</template>

<style scoped>
.streams {
  padding: 14px 16px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  max-width: 1200px;
  margin: 0 auto;
  height: 100%;
  overflow: auto;
}
section {
  padding: 14px 18px;
  background: var(--field);
}
.line {
  display: grid;
  grid-template-columns: 1.2fr 1.2fr 90px 1.6fr 120px 70px;
  gap: 12px;
  padding: 9px 0;
  border-top: 1px solid var(--line-faint);
  align-items: baseline;
}
.line:first-of-type {
  margin-top: 10px;
}
.problem {
  white-space: pre-wrap;
  background: var(--wrong-pale);
  color: var(--wrong);
  border-left: 4px solid var(--wrong);
  padding: 8px 12px;
  font-family: inherit;
}
.register {
  padding: 8px 0;
}
</style>
