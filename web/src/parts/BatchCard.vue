<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { clock } from './times'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'

/** What can be done about a batch as a whole: who has it, how urgent it is, whether it waits or is taken out. */
const props = defineProps<{ row: Schema['Row']; supervisor: boolean }>()
const emit = defineEmits<{ changed: []; close: [] }>()
const { t } = useI18n()
const { logged } = useWords()
const colleagues = ref<Schema['Colleague'][]>([])
const log = ref<Schema['Entry'][]>([])
const to = ref('')
const why = ref('')
const asking = ref<'' | 'hold' | 'withdraw'>('')
const due = ref(local(props.row.dueAt))
const open = computed(() => props.row.stage !== 'done' && !props.row.filing)

/** As an input of date and time wants it, in the browser's time. */
function local(instant: string) {
  const d = new Date(instant)
  return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}
onMounted(async () => {
  const [c, l] = await Promise.all([
    api.GET('/api/colleagues'),
    api.GET('/api/batches/{no}/log', { params: { path: { no: props.row.no } } }),
  ])
  colleagues.value = c.data ?? []
  log.value = (l.data ?? []).slice(0, 12)
})
type Act = 'take' | 'pass' | 'hold' | 'release' | 'withdraw' | 'urgency' | 'stage'
async function act(what: Act, body: object) {
  const { error } = await api.POST(`/api/batches/{no}/${what}`, {
    params: { path: { no: props.row.no } },
    body,
  } as never)
  if (error) tell(error)
  asking.value = ''
  why.value = ''
  emit('changed')
}
const BEFORE: Partial<Record<Schema['Row']['stage'], 'pages' | 'index'>> = { index: 'pages', filing: 'index' }
const before = computed(() => BEFORE[props.row.stage])
</script>

<template>
  <aside class="card panel" :aria-label="row.no">
    <div class="row">
      <h2 class="mono">{{ row.no }}</h2>
      <b>{{ row.title }}</b>
      <span class="stretch" />
      <KeyButton k="Esc" @click="emit('close')">
        {{ t('app.close') }}
      </KeyButton>
    </div>
    <dl>
      <dt>{{ t('card.source') }}</dt>
      <dd>{{ row.source }}, {{ clock(row.madeAt) }}</dd>
      <dt>{{ t('card.pages') }}</dt>
      <dd>
        {{
          t(row.sheets ? 'card.onSheets' : 'card.counts', {
            sheets: row.sheets,
            pages: row.pages,
            documents: row.documents,
            doubts: row.doubts,
          })
        }}
      </dd>
      <dt>{{ t('board.with') }}</dt>
      <dd>{{ row.with ?? t('board.nobody') }}</dd>
      <template v-if="row.onHold">
        <dt>{{ t('card.onHold') }}</dt>
        <dd>{{ row.onHold }}</dd>
      </template>
    </dl>
    <template v-if="open">
      <div class="row">
        <KeyButton
          v-if="!row.mine"
          :disabled="!row.free && !supervisor"
          main
          @click="act('take', { over: !row.free })"
        >
          {{ row.free ? t('card.take') : t('card.takeOver') }}
        </KeyButton>
        <KeyButton v-else @click="act('pass', {})">{{ t('card.handBack') }}</KeyButton>
        <PickOne
          v-model="to"
          :options="colleagues.map((c) => ({ value: c.signIn, label: c.name }))"
          :placeholder="t('card.handOn')"
          :aria-label="t('card.handOn')"
        />
        <KeyButton :disabled="!to" @click="act('pass', { to })">{{ t('card.give') }}</KeyButton>
      </div>
      <div class="row">
        <span class="soft">{{ t('card.priority') }}</span>
        <KeyButton
          v-for="p in ['normal', 'high', 'urgent']"
          :key="p"
          :aria-pressed="row.priority === p"
          @click="act('urgency', { priority: p })"
        >
          {{ t(`card.p.${p}`) }}
        </KeyButton>
      </div>
      <div class="row">
        <span class="soft">{{ t('board.due') }}</span>
        <ElInput v-model="due" type="datetime-local" />
        <KeyButton :disabled="!due" @click="act('urgency', { dueAt: new Date(due).toISOString() })">
          {{ t('card.setDue') }}
        </KeyButton>
      </div>
      <div class="row">
        <KeyButton v-if="before && row.free" @click="act('stage', { to: before })">
          {{ t('card.sendBack', { stage: t(`stages.${before}`) }) }}
        </KeyButton>
        <KeyButton v-if="row.onHold" @click="act('release', {})">{{ t('card.release') }}</KeyButton>
        <KeyButton v-else @click="asking = asking === 'hold' ? '' : 'hold'">
          {{ t('card.hold') }}
        </KeyButton>
        <KeyButton v-if="supervisor" @click="asking = asking === 'withdraw' ? '' : 'withdraw'">
          {{ t('card.withdraw') }}
        </KeyButton>
      </div>
      <form v-if="asking" class="row" @submit.prevent="act(asking as Act, { why })">
        <ElInput
          v-model="why"
          class="why"
          :placeholder="t(`card.why.${asking}`)"
          maxlength="400"
          required
          autofocus
        />
        <KeyButton main submit>{{ t(`card.${asking}`) }}</KeyButton>
      </form>
      <p v-if="asking === 'withdraw'" class="soft">{{ t('card.withdrawNote') }}</p>
    </template>
    <h3>{{ t('card.log') }}</h3>
    <ul>
      <li v-for="(e, i) in log" :key="i">
        <span class="soft">{{ clock(e.at) }}</span>
        {{ e.who }}: {{ logged(e.what) }}
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.card {
  width: 360px;
  flex: none;
  padding: 12px 14px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 9px;
}
h2,
h3 {
  margin: 0;
}
h3 {
  font-size: 14px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
dl {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 3px 8px;
  margin: 0;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
.row {
  flex-wrap: wrap;
  gap: 6px;
}
.why {
  flex: 1;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13.5px;
  display: grid;
  gap: 3px;
}
p {
  margin: 0;
}
</style>
