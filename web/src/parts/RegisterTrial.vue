<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Trial } from '../composables/useRegisters'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import RegisterColumns from './RegisterColumns.vue'

/** What a register would become by a file: what comes, goes and changes, and what cannot be used. */
const props = defineProps<{ trial: Trial; known: string[]; busy: boolean }>()
const emit = defineEmits<{ save: []; close: []; rename: [name: string] }>()
const { t } = useI18n()
const name = ref(props.trial.name)
watch(
  () => props.trial.name,
  (now) => (name.value = now),
)
const isNew = computed(() => !props.known.includes(props.trial.name))
const origin = computed(() => {
  const s = props.trial.source as Record<string, string> | undefined
  return s && t('registers.comesFrom', { place: t(`registers.place.${s.kind}`, s) })
})
const rows = computed(() =>
  props.trial.found.change.examples.map((e) => ({
    what: t(`registers.${e.what}`),
    cells: props.trial.found.info.columns.map((c) => ({ was: e.was[c] ?? '', is: e.is[c] ?? '' })),
  })),
)
</script>

<template>
  <PanelBox :title="t('registers.trial', { name: trial.name })">
    <template #acts>
      <KeyButton main :disabled="busy" k="Ctrl+Enter" @click="emit('save')">
        {{ t('registers.save') }}
      </KeyButton>
      <KeyButton @click="emit('close')">{{ t('registers.leave') }}</KeyButton>
    </template>
    <form class="row named" @submit.prevent="emit('rename', name)">
      <label for="register-name">{{ t('registers.as') }}</label>
      <ElInput id="register-name" v-model="name" class="mono" maxlength="63" @change="emit('rename', name)" />
      <span class="soft">{{ t(isNew ? 'registers.isNew' : 'registers.isKnown') }}</span>
    </form>
    <p>
      {{ t('registers.rows', trial.found.info.rows) }},
      {{ trial.encoding ? t('registers.encoding', { encoding: trial.encoding }) : origin }}.
      <template v-if="!isNew">{{ t('registers.change', { ...trial.found.change }) }}</template>
    </p>
    <ul v-if="trial.found.info.faults.length" class="faults">
      <li v-for="f in trial.found.info.faults" :key="f">{{ f }}</li>
    </ul>
    <RegisterColumns :columns="trial.found.columns" :rows="trial.found.info.rows" />
    <ElTable v-if="!isNew && rows.length" :data="rows" max-height="360" size="small" :scrollbar-tabindex="0">
      <ElTableColumn :label="t('registers.what')" prop="what" width="90" />
      <ElTableColumn v-for="(c, i) in trial.found.info.columns" :key="c" :label="c" min-width="120">
        <template #default="{ row }">
          <s v-if="row.cells[i].was !== row.cells[i].is && row.cells[i].was">{{ row.cells[i].was }}</s>
          {{ row.cells[i].is }}
        </template>
      </ElTableColumn>
    </ElTable>
  </PanelBox>
</template>

<style scoped>
.named {
  gap: 8px;
}
.named .el-input {
  width: 260px;
}
.faults {
  max-height: 140px;
  overflow: auto;
  margin: 6px 0;
  padding: 5px 8px 5px 24px;
  background: var(--doubt-pale);
  border-left: 3px solid var(--doubt);
}
s {
  color: var(--ink-soft);
}
</style>
