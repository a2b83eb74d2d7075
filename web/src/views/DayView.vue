<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { dayBefore, useDay } from '../composables/useDay'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import FiledTroubles from '../parts/FiledTroubles.vue'
import HoursChart from '../parts/HoursChart.vue'
import SignInWaits from '../parts/SignInWaits.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import PanelBox from '../parts/base/PanelBox.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { figure, share } from '../parts/figures'
import { locale } from '../place'

/** The supervisor's day: what came in, what was filed, what is open, and how much of it needed a hand. */
const { t } = useI18n()
const back = ref(0)
const {
  data: day,
  loading,
  problem,
  load,
} = useLoad(() => {
  const { from, to } = dayBefore(back.value)
  return api.GET('/api/day', { params: { query: { from: from.toISOString(), to: to.toISOString() } } })
})
watch(back, load)
useIntervalFn(load, 30_000)
const { streams: rows, received, filed, sheets } = useDay(day)
const date = computed(() =>
  dayBefore(back.value).from.toLocaleDateString(locale(), {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
  }),
)
const named = computed(() =>
  [...new Set([...(day.value?.received ?? []), ...(day.value?.filed ?? [])].map((h) => h.stream))].sort(),
)
const title = (s: string) => day.value?.titles[s] ?? s
const later = () => (back.value = Math.max(0, back.value - 1))
useKeys([
  { key: '←', on: ['ArrowLeft'], label: t('day.before'), run: () => back.value++ },
  { key: '→', on: ['ArrowRight'], label: t('day.after'), run: later },
])
</script>

<template>
  <div class="day">
    <div class="row">
      <h1 class="after">{{ t('day.title') }}</h1>
      <KeyButton k="←" @click="back++">{{ t('day.before') }}</KeyButton>
      <b>{{ date }}</b>
      <KeyButton :disabled="!back" k="→" @click="later">{{ t('day.after') }}</KeyButton>
    </div>
    <WaitingFor v-bind="{ loading, problem }" @again="load" />
    <template v-if="day">
      <div class="charts">
        <PanelBox>
          <h2>
            {{ t('day.received', { n: received }, received) }}
            <template v-if="sheets">{{ t('day.sheets', { n: sheets }, sheets) }}</template>
          </h2>
          <HoursChart v-if="day.received.length" :hours="day.received" :streams="named" :title="title" />
          <WaitingFor v-else :empty="t('day.nothingIn')" />
        </PanelBox>
        <PanelBox>
          <h2>{{ t('day.filed', { n: filed }, filed) }}</h2>
          <HoursChart v-if="day.filed.length" :hours="day.filed" :streams="named" :title="title" />
          <WaitingFor v-else :empty="t('day.nothingOut')" />
        </PanelBox>
      </div>
      <ElTable :data="rows" row-key="stream" :empty-text="t('day.nothingIn')">
        <ElTableColumn :label="t('board.stream')" prop="title" min-width="200" />
        <ElTableColumn :label="t('day.in')" prop="received" align="right" min-width="90" />
        <ElTableColumn :label="t('day.out')" prop="filed" align="right" min-width="100" />
        <ElTableColumn :label="t('day.open')" prop="open" align="right" min-width="130" />
        <ElTableColumn :label="t('day.batches')" prop="openBatches" align="right" min-width="120" />
        <ElTableColumn :label="t('day.untouched')" align="right" min-width="150">
          <template #default="{ row }">
            {{ share(row.untouched, row.documents) }}
            <span class="soft">{{ t('day.of', { n: row.documents }) }}</span>
          </template>
        </ElTableColumn>
        <ElTableColumn :label="t('day.doubts')" align="right" min-width="180">
          <template #default="{ row }">
            {{ row.fields ? figure((100 * row.doubts) / row.fields, 1) : '–' }}
            <span class="soft">{{ t('day.of', { n: row.fields }) }}</span>
          </template>
        </ElTableColumn>
      </ElTable>
      <p class="soft">{{ t('day.note') }}</p>
    </template>
    <FiledTroubles />
    <SignInWaits />
  </div>
</template>

<style scoped>
.day {
  height: 100%;
  overflow: auto;
  padding: 14px 16px;
  max-width: 1500px;
  margin: 0 auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.day > * {
  flex: none;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 12px;
}
h2 {
  font-size: 15px;
}
p {
  margin: 0;
}
</style>
