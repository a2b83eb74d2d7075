<script setup lang="ts">
import { useElementBounding } from '@vueuse/core'
import type { TableV2Instance } from 'element-plus'
import { TableV2Alignment as Alignment, TableV2FixedDir, TableV2SortOrder } from 'element-plus'
import { computed, nextTick, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import type { Table } from '../composables/useTable'
import { useTableKeys } from '../composables/useTableKeys'
import CellNote from './CellNote.vue'
import TableCell from './TableCell.vue'

/** Rows of documents, columns of fields; over the cell that the hand is at floats the paper it was read from. */
const props = defineProps<{ table: Table; batchNo: string; pages: Map<number, Schema['DeskPage']> }>()
const { t } = useI18n()
const { rows, fields, at, until, draft, value, sorting, document, field } = props.table
const ROW = 34
const grid = ref<HTMLElement>()
const list = ref<TableV2Instance>()
const here = shallowRef<HTMLElement | null>(null)
const place = useElementBounding(here)
const all = useElementBounding(grid)

const columns = computed(() => [
  {
    key: '#',
    dataKey: 'no',
    title: t('table.no'),
    width: 56,
    fixed: TableV2FixedDir.LEFT,
    align: Alignment.RIGHT,
  },
  ...fields.value.map((f, i) => ({
    key: f.field,
    dataKey: f.field,
    title: f.title,
    width: Math.min(320, Math.max(110, 46 + 7 * f.title.length, 40 + 10 * longest.value[i])),
    flexGrow: 1,
    sortable: true,
  })),
])
const longest = computed(() =>
  fields.value.map((f) =>
    rows.value.reduce((n, d) => Math.max(n, (d.fields[f.field]?.value ?? '').length), 0),
  ),
)
const sortBy = computed(() => ({
  key: sorting.value?.field ?? '',
  order: sorting.value?.down ? TableV2SortOrder.DESC : TableV2SortOrder.ASC,
}))
/** Up, down, and as the batch has them. */
function sort({ key }: { key: unknown }) {
  const same = sorting.value?.field === key
  if (same && sorting.value?.down) sorting.value = null
  else sorting.value = { field: String(key), down: same }
}
const current = (row: number, column: number) => row === at.value.row && column === at.value.column
const chosen = (row: number, column: number) =>
  column === at.value.column && (row - at.value.row) * (row - until.value) <= 0

let shown = false
/** Brings the cell into sight, and the note to it. */
async function show() {
  // Before it knows its height the table puts a row half out of sight.
  if (!shown) await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)))
  shown = true
  list.value?.scrollToRow(until.value, 'smart')
  await nextTick()
  await nextTick()
  here.value = grid.value?.querySelector<HTMLElement>('.cell.current') ?? null
  here.value?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' })
  if (draft.value === null) grid.value?.focus({ preventScroll: true })
  place.update()
}
const keys = useTableKeys(props.table)
defineExpose({ show })
</script>

<template>
  <div
    ref="grid"
    class="grid"
    tabindex="0"
    role="application"
    :aria-label="t('table.title')"
    @keydown="keys.press"
    @copy="keys.copy"
    @paste="keys.paste"
  >
    <p class="visually-hidden" role="status">
      {{
        document && field
          ? `${t('indexDesk.document', { no: document.no, n: rows.length })}, ${field.title}: `
          : ''
      }}
      {{ value?.value ?? '' }} {{ value ? t(`indexDesk.${value.state}`) : '' }}
    </p>
    <ElAutoResizer v-slot="{ width, height }">
      <ElTableV2
        ref="list"
        :columns="columns"
        :data="rows"
        :width="width"
        :height="height"
        :row-height="ROW"
        :header-height="ROW"
        :sort-by="sortBy"
        row-key="no"
        fixed
        @column-sort="sort"
        @scroll="place.update"
      >
        <template #cell="{ column, rowData, rowIndex, columnIndex }">
          <span v-if="column.key === '#'" class="soft mono no">{{ rowData.no }}</span>
          <TableCell
            v-else
            v-model="draft"
            :value="rowData.fields[String(column.key)]"
            :current="current(rowIndex, columnIndex - 1)"
            :chosen="chosen(rowIndex, columnIndex - 1)"
            @click.exact="table.goTo({ row: rowIndex, column: columnIndex - 1 })"
            @click.shift="table.goTo({ row: rowIndex, column: columnIndex - 1 }, true)"
            @dblclick="keys.edit()"
          />
        </template>
      </ElTableV2>
    </ElAutoResizer>
    <CellNote
      v-if="here && value && document && field"
      v-bind="{ value, batchNo, pages }"
      :title="field.title"
      :left="place.left.value"
      :top="place.top.value"
      :bottom="place.bottom.value"
      :from="all.top.value"
      @take="table.put"
    />
  </div>
</template>

<style scoped>
.grid {
  flex: 1;
  min-height: 0;
  outline: none;
}
.grid :deep(.el-table-v2__row-cell) {
  padding: 0;
}
.no {
  padding-inline-end: 8px;
}
.grid :deep(.el-table-v2__left) {
  box-shadow: none;
  border-inline-end: 1px solid var(--line);
}
</style>
