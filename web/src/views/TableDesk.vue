<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useBatch } from '../composables/useBatch'
import { startOf } from '../composables/useIndexing'
import { useKeys } from '../composables/useKeys'
import { useTable } from '../composables/useTable'
import { useTableKeys } from '../composables/useTableKeys'
import BatchHeld from '../parts/BatchHeld.vue'
import BatchLine from '../parts/BatchLine.vue'
import FindReplace from '../parts/FindReplace.vue'
import TableGrid from '../parts/TableGrid.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import PickOne from '../parts/base/PickOne.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

/** All documents of a type at once: what is alike is filled in together. */
const props = defineProps<{ no: string }>()
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const desk = useBatch(props.no, true)
const { batch, loading, problem, pageByNo, load, undo, redo } = desk
const grid = ref<InstanceType<typeof TableGrid>>()
const finding = ref(false)

const table = useTable(desk, startOf(route.query), () => void grid.value?.show())
const { type, types, doubtsOnly, rows, fields, document, field, message, locked, doubts } = table

function open() {
  const at = { document: document.value?.no, field: field.value?.field }
  void router.push({ name: 'index', params: { no: props.no }, query: at })
}
function close() {
  finding.value = false
  void grid.value?.show()
}
const anywhere = { ctrl: true, typing: true }
useKeys([
  ...useTableKeys(table).listed,
  { key: 'Ctrl+Enter', on: ['Enter'], ...anywhere, label: t('table.open'), run: open },
  { key: 'Ctrl+H', on: ['h'], ...anywhere, label: t('table.replace'), run: () => (finding.value = true) },
  { key: 'Ctrl+Z', on: ['z'], ...anywhere, shift: false, label: t('pageDesk.undo'), run: () => void undo() },
  {
    key: 'Ctrl+Shift+Z',
    on: ['Z'],
    ...anywhere,
    shift: true,
    label: t('pageDesk.redo'),
    run: () => void redo(),
  },
])
</script>

<template>
  <div class="desk-frame">
    <BatchLine
      v-if="batch"
      :batch="batch"
      :current="document?.no ?? null"
      @go="(n) => table.goTo({ row: rows.findIndex((d) => d.no === n), column: 0 })"
    />
    <BatchHeld v-if="batch" :batch="batch" @changed="load" />
    <template v-if="batch && fields.length">
      <div class="row above">
        <PickOne
          v-model="type"
          class="types"
          :options="types.map((of) => ({ value: of.type, label: of.title }))"
          :aria-label="t('table.ofType')"
        />
        <ElCheckbox v-model="doubtsOnly">{{ t('table.doubtsOnly') }}</ElCheckbox>
        <span class="soft stretch" role="status">{{ message }}</span>
        <KeyButton k="Ctrl+H" :disabled="locked" @click="finding = true">{{ t('table.replace') }}</KeyButton>
        <KeyButton k="Ctrl+D" :disabled="locked" @click="table.fillDown">{{ t('table.fillDown') }}</KeyButton>
        <KeyButton k="Ctrl+Z" :disabled="!batch.canUndo" @click="undo">{{ t('pageDesk.undo') }}</KeyButton>
      </div>
      <FindReplace v-if="finding" :title="field?.title ?? ''" @replace="table.replace" @close="close" />
      <TableGrid ref="grid" :table="table" :batch-no="no" :pages="pageByNo" @vue:mounted="grid?.show()" />
      <div class="row under">
        <span class="soft">{{ t('table.documents', rows.length) }}</span>
        <span class="soft stretch">
          {{ doubts ? t('indexDesk.left', doubts) : t('indexDesk.allSettled') }}
        </span>
        <KeyButton k="Ctrl+Enter" @click="open">{{ t('table.open') }}</KeyButton>
        <KeyButton v-if="doubts" k="Ctrl+↓" @click="table.toDoubt()">{{ t('indexDesk.next') }}</KeyButton>
      </div>
    </template>
    <WaitingFor
      v-else
      v-bind="{ loading, problem }"
      :empty="batch?.stage !== 'intake' && t('table.nothing')"
      @again="load"
    />
  </div>
</template>

<style scoped>
.above,
.under {
  padding: 5px 12px;
  gap: 10px;
  background: var(--panel);
  border-block: 1px solid var(--line);
}
.types {
  width: 320px;
}
</style>
