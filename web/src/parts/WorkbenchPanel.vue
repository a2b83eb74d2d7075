<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Proposals } from '../composables/useProposals'
import type { Replay } from '../composables/useReplay'
import type { FieldSteps } from '../composables/useFieldSteps'
import type { SamplePage } from '../composables/useSamplePage'
import type { Workbench } from '../composables/useWorkbench'
import BoxQuestion from './BoxQuestion.vue'
import ProposalList from './ProposalList.vue'
import ReplayPanel from './ReplayPanel.vue'
import RightAnswer from './RightAnswer.vue'
import PartList from './PartList.vue'
import StreamSentences from './StreamSentences.vue'
import TypesEditor from './TypesEditor.vue'
import NoteBanner from './base/NoteBanner.vue'
import WordTabs from './base/WordTabs.vue'
import { namedLayout, type Part } from './draft'
import { RULES, type Rule } from './rules'

/** What is being said of the stream: proposals, its rules as sentences, what a replay found, and its JSON. */
const props = defineProps<{
  stream: string
  bench: Workbench
  proposals: Proposals
  replay: Replay
  sample: SamplePage
  fields: FieldSteps
}>()
const { t } = useI18n()
const { draft, json, trial, wrong, batch } = props.bench
const { steps } = props.fields
const { no, paper, chosen, drawn, saying } = props.sample
const tab = defineModel<string>({ required: true })
const rules = computed({
  get: () => draft.value?.cut?.rules ?? [],
  set: (list: Part[]) => props.bench.change((d) => (d.cut = { ...d.cut, rules: list as Rule[] })),
})
function boxed(name: string | null) {
  drawn.value = null
  tab.value = name ? 'fields' : 'cut'
  if (name && paper.value) chosen.value = { type: paper.value.type, field: name }
}
function say(values: Record<string, string | null>, type: string) {
  saying.value = false
  if (paper.value) void props.bench.say(paper.value, values, type)
}
function forget() {
  saying.value = false
  if (paper.value) void props.bench.forget(paper.value)
}
</script>

<template>
  <WordTabs v-model="tab">
    <BoxQuestion
      v-if="drawn && paper && draft"
      :key="drawn.place.boxMm.join()"
      v-bind="{ drawn, draft }"
      :type="paper.type"
      :layout="namedLayout(paper.variant)"
      :change="bench.change"
      @done="boxed"
      @close="drawn = null"
    />
    <RightAnswer
      v-if="saying && paper && draft"
      :key="paper.pages[0]"
      v-bind="{ paper, draft }"
      @say="say"
      @forget="forget"
      @close="saying = false"
    />
    <NoteBanner v-if="wrong" kind="wrong" class="wrong">{{ wrong }}</NoteBanner>
    <ElTabPane name="proposals" :label="t('workbench.tab.proposals')">
      <ProposalList :proposals="proposals" :ready="!!trial?.pages.length" @show="no = $event" />
    </ElTabPane>
    <ElTabPane name="cut" lazy :label="t('workbench.tab.cut')">
      <PartList v-model="rules" :of="RULES" :none="t('rules.none')" />
      <StreamSentences v-if="draft" of="cut" v-bind="{ draft }" :change="bench.change" />
    </ElTabPane>
    <ElTabPane name="fields" lazy :label="t('workbench.tab.fields')">
      <TypesEditor
        v-if="draft"
        v-model="chosen"
        v-bind="{ draft, steps, trial, batch }"
        :at="paper?.type"
        :change="bench.change"
        @show="no = $event"
      />
    </ElTabPane>
    <ElTabPane
      v-for="of in ['pages', 'filing'] as const"
      :key="of"
      :name="of"
      lazy
      :label="t(`workbench.tab.${of}`)"
    >
      <StreamSentences v-if="draft" v-bind="{ draft, of }" :change="bench.change" />
    </ElTabPane>
    <ElTabPane name="replay" :label="t('workbench.tab.replay')">
      <ReplayPanel :replay="replay" :stream="stream" />
    </ElTabPane>
    <ElTabPane name="json" :label="t('workbench.tab.json')">
      <ElInput v-model="json" type="textarea" class="mono" :rows="24" :aria-label="t('workbench.tab.json')" />
    </ElTabPane>
  </WordTabs>
</template>

<style scoped>
.wrong {
  white-space: pre-wrap;
}
</style>
