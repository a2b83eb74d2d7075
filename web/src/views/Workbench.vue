<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { pictureOf, tell } from '../api/client'
import { readBatches } from '../composables/readBatches'
import { useEvents } from '../composables/useEvents'
import { useFieldSteps } from '../composables/useFieldSteps'
import { useProposals } from '../composables/useProposals'
import { provideKnown } from '../composables/useKnown'
import { useReplay } from '../composables/useReplay'
import { useSamplePage } from '../composables/useSamplePage'
import { useWorkbench } from '../composables/useWorkbench'
import { useWorkbenchKeys } from '../composables/useWorkbenchKeys'
import GoLive from '../parts/GoLive.vue'
import PageViewer from '../parts/PageViewer.vue'
import WorkbenchPanel from '../parts/WorkbenchPanel.vue'
import WorkbenchLine from '../parts/WorkbenchLine.vue'
import WorkbenchSamples from '../parts/WorkbenchSamples.vue'
import WorkbenchTable from '../parts/WorkbenchTable.vue'
import { asRead } from '../parts/papers'
import NoteBanner from '../parts/base/NoteBanner.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

/** Where a stream is made and changed by its samples: every change is seen at once on all of them. */
const props = defineProps<{ stream: string }>()
const { t } = useI18n()
const router = useRouter()
/** From what was corrected: the paper and the field whose rule is to be looked at. */
const asked = useRoute().query
const bench = useWorkbench(props.stream, String(asked.batch ?? ''))
const { draft, json, batch, trial, wrong, conflict, problem } = bench
const proposals = useProposals(props.stream, bench)
const replay = useReplay(props.stream, bench)
const sample = useSamplePage(props.stream, bench, proposals)
const fields = useFieldSteps(props.stream, bench, sample)
const { no, page, paper, chosen, shapes, words, draw, saying } = sample
provideKnown({ draft, trial, chosen })
const tab = ref(asked.type ? 'fields' : 'proposals')
if (asked.type) sample.chosen.value = { type: String(asked.type), field: String(asked.field ?? '') }
const stop = watch(trial, (now) => {
  const its = now?.papers[Number(asked.document ?? 0) - 1]
  if (asked.page) no.value = Number(asked.page)
  else if (its) no.value = its.pages[0]
  if (now) stop()
})
const samples = ref<InstanceType<typeof WorkbenchSamples>>()
const going = ref(false)
const others = ref<{ no: string; pages: number }[]>([])
void readBatches(props.stream).then((all) => (others.value = all))
useEvents((changed) => changed === batch.value && void bench.trySoon())
const onSamples = computed(() => !batch.value || batch.value === bench.bench.value?.samples)
/** The current proposal is to be seen. */
watch(proposals.current, (now) => {
  const seen = now?.proposed.proposal.seen ?? []
  if (seen.length && !seen.some((s) => s.page === no.value)) no.value = seen[0].page
})
function step(by: number) {
  const all = trial.value?.pages ?? []
  const at = all.findIndex((p) => p.no === page.value?.no)
  no.value = all[Math.max(0, Math.min(all.length - 1, at + by))]?.no ?? no.value
}
function field(type: string, name: string) {
  tab.value = 'fields'
  chosen.value = { type, field: name }
}
async function giveUp() {
  const { error } = await bench.giveUp()
  if (error) return tell(error)
  if (bench.bench.value?.newest) await bench.load()
  else await router.push({ name: 'streams' })
}
const right = () => paper.value && onSamples.value && void bench.say(paper.value, asRead(paper.value))
const say = () => (saying.value = onSamples.value && !!paper.value)
async function keepPaper() {
  if (onSamples.value || !paper.value) return
  const first = await bench.keepPaper(paper.value.pages[0])
  if (first) no.value = first
}
useWorkbenchKeys({
  ...{ bench, proposals, replay, step, right, say, keepPaper, nudge: sample.nudge },
  show: (other) => (tab.value = other),
  choose: () => samples.value?.choose(),
  live: () => (going.value = !wrong.value),
})
</script>

<template>
  <div class="desk-frame">
    <WorkbenchLine
      v-if="draft || json"
      :bench="bench"
      :others="others"
      @live="going = true"
      @give-up="giveUp"
    />
    <NoteBanner v-if="conflict" kind="wrong">{{ conflict }}</NoteBanner>
    <GoLive
      v-if="going"
      :bench="bench"
      :worse="replay.worse.value"
      :replayed="replay.held.value"
      @close="going = false"
      @done="router.push({ name: 'streams' })"
    />
    <div v-if="bench.bench.value" class="grid">
      <WorkbenchSamples
        ref="samples"
        class="area-samples"
        v-bind="{ batch, trial }"
        :page="page?.no ?? 0"
        :first="!bench.bench.value.newest"
        :open="onSamples ? bench.samples : null"
        @show="no = $event"
      />
      <PageViewer
        v-if="page"
        class="area-page"
        :src="pictureOf(batch, page, 900)"
        :thumb="pictureOf(batch, page, 200)"
        :alt="t('pageDesk.page', { no: page.no })"
        :width-mm="page.widthMm"
        :height-mm="page.heightMm"
        :lean="page.lean"
        v-bind="{ shapes, words }"
        drag
        @box="draw"
        @word="sample.word"
      />
      <p v-else class="area-page soft hint">
        {{ batch && !trial && !wrong ? t('workbench.trying', { on: batch }) : t('workbench.hint') }}
      </p>
      <WorkbenchPanel
        v-model="tab"
        class="area-says"
        v-bind="{ stream, bench, proposals, replay, sample, fields }"
      />
      <WorkbenchTable
        class="area-table"
        :trial="trial"
        v-bind="{ draft }"
        :page="page?.no ?? 0"
        :samples="onSamples"
        @show="no = $event"
        @field="field"
        @right="right"
        @say="say"
        @keep="keepPaper"
      />
    </div>
    <WaitingFor v-else :loading="!problem" :problem="problem" @again="bench.load" />
  </div>
</template>

<style scoped>
.grid {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: 'samples page says' minmax(0, 1fr) 'table table says' 32% / 270px minmax(0, 1fr) 424px;
}
.area-samples {
  grid-area: samples;
  border-inline-end: 1px solid var(--line);
}
.area-page {
  grid-area: page;
}
.area-says {
  grid-area: says;
  overflow: auto;
  padding: 4px 12px;
  border-inline-start: 1px solid var(--line);
  background: var(--panel);
}
.area-table {
  grid-area: table;
  border-top: 1px solid var(--line);
}
.hint {
  padding: 24px;
}
</style>
