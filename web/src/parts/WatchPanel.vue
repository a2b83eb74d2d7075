<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import DriftingPapers from './DriftingPapers.vue'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import WaitingFor from './base/WaitingFor.vue'
import { titlesOf, type Draft } from './draft'
import { figure, share } from './figures'
import { day } from './times'

/** How a stream does on the paper that it gets; what was corrected opens the rule that was wrong, on that paper. */
const props = defineProps<{ stream: string; title: string }>()
const emit = defineEmits<{ close: [] }>()
const { t, te, tm } = useI18n()
const path = { name: props.stream }
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/streams/{name}/watch', { params: { path } }),
)
const { data: definition } = useLoad(() => api.GET('/api/streams/{name}', { params: { path } }))
const draft = () => (definition.value ?? null) as unknown as Draft | null
const typeTitle = (type: string) => draft()?.types?.find((x) => x.type === type)?.title ?? type
const fieldTitle = (type: string, field: string) =>
  titlesOf(draft(), type).find((f) => f.name === field)?.title ?? field
const word = (key: string, other: string) => (te(key) || te(key, 'en') ? t(key) : other)
/** A reason as such, whatever it was about. */
const reasonOf = (code: string) => String(tm(`reason.${code}`) || code).replace(/\{\w+\}/g, '…')
const ruleOf = (c: Schema['CorrectedRule']) =>
  t('watch.rule', {
    field: fieldTitle(c.type, c.field),
    type: typeTitle(c.type),
    finder: word(`watch.finder.${c.finder}`, c.finder),
  })
type At = { batch: string; document: number }
const bench = (at: At, type: string, field?: string) => ({
  name: 'workbench',
  params: { stream: props.stream },
  query: { batch: at.batch, document: at.document, type, field },
})
const doubts = (w: Schema['WatchedWeek']) => figure((100 * w.doubts) / Math.max(1, w.values), 1)
</script>

<template>
  <PanelBox :title="t('watch.title', { title })" class="watch">
    <template #acts>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <WaitingFor
      v-if="!data?.weeks.length"
      v-bind="{ loading, problem }"
      :empty="t('watch.none')"
      @again="load"
    />
    <template v-else>
      <p class="soft">{{ t('watch.days') }}</p>
      <div class="two">
        <section>
          <h3>{{ t('watch.drifting') }}</h3>
          <p v-if="!data.drifting.length" class="soft">{{ t('watch.noneDrifts') }}</p>
          <div v-for="d in data.drifting" :key="d.type" class="item drift">
            <b>{{ typeTitle(d.type) }}</b>
            <p>{{ t('watch.drift', { ...d }) }}</p>
            <DriftingPapers v-bind="{ stream }" :type="d.type" :to="(at) => bench(at, d.type)" />
          </div>
          <h3>{{ t('watch.corrected') }}</h3>
          <p v-if="!data.corrected.length" class="soft">{{ t('watch.noneCorrected') }}</p>
          <div v-for="c in data.corrected" :key="c.type + c.field + c.finder" class="item">
            <RouterLink
              :to="bench(c.latest[0], c.type, c.field)"
              :title="t('watch.toRule', { ...c.latest[0] })"
            >
              <b>{{ ruleOf(c) }}</b>
            </RouterLink>
            <p class="soft">{{ t('watch.wrong', { ...c }) }}</p>
          </div>
        </section>
        <section>
          <h3>{{ t('watch.weeks') }}</h3>
          <ElTable :data="data.weeks" size="small">
            <ElTableColumn :label="t('watch.week')" min-width="110">
              <template #default="{ row }">{{ day(row.from) }}</template>
            </ElTableColumn>
            <ElTableColumn :label="t('watch.documents')" prop="documents" align="right" />
            <ElTableColumn :label="t('watch.untouched')" align="right">
              <template #default="{ row }">{{ share(row.untouched, row.documents) }}</template>
            </ElTableColumn>
            <ElTableColumn :label="t('watch.doubts')" align="right">
              <template #default="{ row }">{{ doubts(row as Schema['WatchedWeek']) }}</template>
            </ElTableColumn>
            <ElTableColumn :label="t('watch.sureWrong')" prop="sureWrong" align="right" />
          </ElTable>
          <h3>{{ t('watch.causes') }}</h3>
          <p v-if="!data.causes.length" class="soft">{{ t('watch.noDoubts') }}</p>
          <div v-for="c in data.causes" :key="c.reason" class="item">
            <b>{{ reasonOf(c.reason) }}</b>
            <p class="soft">{{ t('watch.cause', { needless: c.needless }, c.doubts) }}</p>
          </div>
        </section>
      </div>
    </template>
  </PanelBox>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
h3 {
  margin: 12px 0 4px;
}
.item {
  padding: 4px 0;
  border-bottom: 1px solid var(--line-faint);
}
.item p {
  margin: 2px 0;
}
.drift {
  border-inline-start: 3px solid var(--doubt);
  padding-inline-start: 8px;
}
</style>
