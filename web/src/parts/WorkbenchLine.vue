<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Workbench } from '../composables/useWorkbench'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import { moment } from './times'

/** What is being made or changed, on what it is tried, and what becomes of it. */
const props = defineProps<{ bench: Workbench; others: { no: string; pages: number }[] }>()
const emit = defineEmits<{ live: []; giveUp: [] }>()
const { t } = useI18n()
const { bench, batch, wrong, conflict, canUndo, canRedo, undo, redo } = props.bench
const choices = computed(() => {
  const samples = bench.value?.samples ?? ''
  const others = props.others.map((b) => ({
    value: b.no,
    label: t('limits.choice', { no: b.no, n: b.pages }),
  }))
  // One that was filed stands on no board.
  const known = batch.value === samples || others.some((b) => b.value === batch.value)
  return [
    { value: samples, label: t('workbench.onSamples') },
    ...(known ? [] : [{ value: batch.value, label: batch.value }]),
    ...others,
  ]
})
const state = computed(() => {
  const draft = bench.value!.draft
  if (!draft.revision) return t('workbench.unchanged', { n: draft.baseVersion })
  const at = { when: moment(draft.keptAt), by: draft.keptBy, n: draft.baseVersion }
  return draft.baseVersion ? t('workbench.draftOf', at) : t('workbench.draftNew', at)
})
</script>

<template>
  <header v-if="bench" class="row line">
    <h1 dir="auto">{{ bench.draft.title }}</h1>
    <span class="soft stretch state-of" role="status" :title="state">{{ state }}</span>
    <label class="row">
      <span class="soft tried">{{ t('rules.triedOn') }}</span>
      <PickOne v-model="batch" :options="choices" :aria-label="t('rules.triedOn')" />
    </label>
    <KeyButton k="Z" :disabled="!canUndo" @click="undo">{{ t('pageDesk.undo') }}</KeyButton>
    <KeyButton k="Shift+Z" :disabled="!canRedo" @click="redo">{{ t('pageDesk.redo') }}</KeyButton>
    <ElPopconfirm
      v-if="bench.draft.revision"
      :title="t(bench.newest ? 'workbench.giveUpAsk' : 'workbench.giveUpNew')"
      :confirm-button-text="t('workbench.giveUp')"
      :cancel-button-text="t('app.close')"
      width="280"
      @confirm="emit('giveUp')"
    >
      <template #reference>
        <ElButton class="act">{{ t('workbench.giveUp') }}</ElButton>
      </template>
    </ElPopconfirm>
    <KeyButton k="G" main :disabled="!!wrong || !!conflict || !bench.draft.revision" @click="emit('live')">
      {{ t('workbench.makeVersion', { n: bench.newest + 1 }) }}
    </KeyButton>
  </header>
</template>

<style scoped>
.line {
  padding: 6px 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
.line h1 {
  white-space: nowrap;
}
.state-of {
  flex: 1 1 170px;
  font-size: 13px;
  line-height: 1.25;
}
.line :deep(.pick) {
  width: 190px;
}
.tried {
  white-space: nowrap;
}
</style>
