<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import BatchVersion from './BatchVersion.vue'
import FactList from './base/FactList.vue'
import { clock, typedAs } from './times'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import { vFocus } from './base/focus'

/** What can be done about a batch as a whole: who has it, how urgent it is, whether it waits or is taken out. */
const props = defineProps<{ row: Schema['Row']; supervisor: boolean }>()
const emit = defineEmits<{ changed: []; close: [] }>()
const { t } = useI18n()
const { logged } = useWords()
const choices = useChoices()
const typed = typedAs()
const colleagues = ref<Schema['Colleague'][]>([])
const log = ref<Schema['Entry'][]>([])
const to = ref('')
const why = ref('')
const asking = ref<'' | 'hold' | 'withdraw'>('')
const open = computed(() => props.row.stage !== 'done' && !props.row.filing)

const facts = computed(() => {
  const { source, madeAt, sheets, pages, documents, doubts, with: who, onHold } = props.row
  return [
    { label: t('card.source'), value: t('card.sourceAt', { source, at: clock(madeAt) }) },
    {
      label: t('card.pages'),
      value: t(sheets ? 'card.onSheets' : 'card.counts', { sheets, pages, documents, doubts }),
    },
    { label: t('board.with'), value: who ?? t('board.nobody') },
    ...(onHold ? [{ label: t('card.onHold'), value: onHold }] : []),
  ]
})
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
  else asking.value = why.value = ''
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
    <FactList :facts="facts" />
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
        <ElSegmented
          :model-value="row.priority"
          :options="choices(['normal', 'high', 'urgent'], 'card.p')"
          :aria-label="t('card.priority')"
          @change="(priority: string) => act('urgency', { priority })"
        />
      </div>
      <div class="row">
        <span class="soft">{{ t('board.due') }}</span>
        <ElDatePicker
          :model-value="new Date(row.dueAt)"
          type="datetime"
          :format="`${typed.date} ${typed.time}`"
          :date-format="typed.date"
          :time-format="typed.time"
          :clearable="false"
          :aria-label="t('board.due')"
          @change="(at: Date) => at && act('urgency', { dueAt: at.toISOString() })"
        />
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
          v-focus
          class="why"
          :placeholder="t(`card.why.${asking}`)"
          maxlength="400"
          required
        />
        <KeyButton main submit>{{ t(`card.${asking}`) }}</KeyButton>
      </form>
      <p v-if="asking === 'withdraw'" class="soft">{{ t('card.withdrawNote') }}</p>
    </template>
    <BatchVersion v-if="supervisor && open" :key="row.no" :no="row.no" @changed="emit('changed')" />
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
