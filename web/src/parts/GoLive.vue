<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useAsking } from '../composables/useAsking'
import type { Schema } from '../api/client'
import type { Workbench } from '../composables/useWorkbench'
import ChangeList from './ChangeList.vue'
import FieldBox from './base/FieldBox.vue'
import FormEnd from './base/FormEnd.vue'
import PanelBox from './base/PanelBox.vue'
import { vFocus } from './base/focus'

/** The draft made the version in force: what it makes of the pages it was tried on, and a word about it. */
const props = defineProps<{
  bench: Workbench
  /** Places that a replay found worse, and how many batches it was of. */
  worse: number
  replayed: number
}>()
const emit = defineEmits<{ done: []; close: [] }>()
const { t } = useI18n()
const note = ref('')
const { busy, refused, asking } = useAsking()
const { trial, bench, live, changes: changesNow } = props.bench
const changes = shallowRef<Schema['Change'][]>()
void changesNow().then((all) => (changes.value = all))
const values = computed(() => trial.value?.papers.flatMap((p) => Object.values(p.values)) ?? [])
const sure = computed(() => values.value.filter((v) => v.state === 'sure').length)
/** Whether somebody said what is right on a sample. */
const said = computed(() => !!trial.value?.papers.some((p) => p.right))
/** Places that are worse than in the saved version, on batches and on samples. */
const allWorse = computed(() => props.worse + (trial.value?.worse ?? 0))
const tried = computed(() => !!trial.value?.pages.length || props.replayed > 0)
const save = () =>
  asking(
    () => live(note.value),
    (data) => data && emit('done'),
  )
</script>

<template>
  <PanelBox :title="t('workbench.makeVersion', { n: (bench?.newest ?? 0) + 1 })">
    <form class="form" @submit.prevent="save">
      <p v-if="trial?.pages.length">
        {{
          t('workbench.tried', { pages: trial.pages.length, papers: trial.wouldBe, sure, all: values.length })
        }}
      </p>
      <p v-if="said">{{ t('workbench.right.count', trial!.wrong.length) }}</p>
      <p v-if="replayed">{{ t('replay.held', { worse }, replayed) }}</p>
      <p v-if="!tried" class="state doubtful wraps">{{ t('workbench.untried') }}</p>
      <ChangeList v-if="changes && bench?.newest" :changes="changes" />
      <FieldBox :label="t('workbench.note')">
        <ElInput v-model="note" v-focus maxlength="400" />
      </FieldBox>
      <p v-if="allWorse && !note.trim()" class="state doubtful wraps">
        {{ t('replay.sayWhy', { n: allWorse }) }}
      </p>
      <FormEnd
        :act="t('workbench.goLive')"
        v-bind="{ busy, refused }"
        :ready="tried && (!allWorse || !!note.trim())"
        @close="emit('close')"
      />
    </form>
  </PanelBox>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  max-width: 640px;
}
p {
  margin: 0;
}
</style>
