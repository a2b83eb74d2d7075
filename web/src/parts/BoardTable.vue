<script setup lang="ts">
import { ElButton } from 'element-plus/es/components/button/index'
import type { Column, TableV2Instance } from 'element-plus'
import { computed, h, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { dueWords } from './due'
import { lateness } from './late'
import StageRail from './StageRail.vue'
import { stretch } from './times'

type Row = Schema['Row']

/** Batches as rows, however many: where each is, what is left in it, when it is due and who has it. */
const props = defineProps<{ rows: Row[]; at: number; now: number; width: number; height: number }>()
const emit = defineEmits<{ open: [index: number]; about: [index: number] }>()
const { t } = useI18n()
const table = ref<TableV2Instance>()

/** Who has it, or for whom and why it waits. */
function whose(r: Row) {
  if (r.onHold) return t('board.onHold', { why: r.onHold })
  if (r.byItself) return t('board.byItself')
  if (r.with) return r.with
  return r.stage === 'intake' || r.stage === 'done' || r.filing || r.withdrawn
    ? '–'
    : t(`board.waits.${r.stage}`)
}
/** How much of its stage is done, as far as it is known: pages read, or that no doubt is left. */
const share = (r: Row) =>
  r.stage === 'intake' ? (r.pages ? r.read / r.pages : 0) : r.doubts || r.filing ? 0 : 1
const waiting = (r: Row) =>
  r.stage === 'intake'
    ? t('board.read', { read: r.read, pages: r.pages })
    : stretch(props.now - new Date(r.since).getTime())

const cut = (text: string, kind = '') => h('span', { class: ['cut', kind], title: text, dir: 'auto' }, text)
const urgency = (r: Row) =>
  r.priority === 'normal'
    ? null
    : h('span', { class: 'urgent', title: t(`card.p.${r.priority}`) }, r.priority === 'urgent' ? '!!' : '!')
type Cell = { rowData: Row; rowIndex: number }
interface Shown {
  key: string
  title: string
  width: number
  grow?: number
  align?: 'right'
  cell: (c: Cell) => unknown
}
const all = computed<Shown[]>(() => [
  {
    key: 'no',
    title: t('board.batch'),
    width: 96,
    cell: ({ rowData: r }) => h('span', { class: 'mono no' }, [urgency(r), r.no]),
  },
  {
    key: 'title',
    title: t('board.stream'),
    width: 130,
    grow: 3,
    cell: ({ rowData: r }) => cut(r.title),
  },
  { key: 'pages', title: t('board.pages'), width: 66, align: 'right', cell: ({ rowData: r }) => r.pages },
  {
    key: 'stage',
    title: t('board.stage'),
    width: 246,
    cell: ({ rowData: r }) => h(StageRail, { stage: r.stage, share: share(r) }),
  },
  {
    key: 'doubts',
    title: t('board.doubts'),
    width: 72,
    align: 'right',
    cell: ({ rowData: r }) => (r.stage === 'done' ? '' : r.doubts || '–'),
  },
  {
    key: 'waiting',
    title: t('board.waiting'),
    width: 140,
    cell: ({ rowData: r }) => h('span', { class: 'soft' }, waiting(r)),
  },
  {
    key: 'due',
    title: t('board.due'),
    width: 132,
    cell: ({ rowData: r }) => cut(dueWords(r, props.now), lateness(r, props.now)),
  },
  {
    key: 'with',
    title: t('board.with'),
    width: 90,
    grow: 2,
    cell: ({ rowData: r }) => cut(whose(r), r.mine ? 'mine' : ''),
  },
  {
    key: 'about',
    title: '',
    width: 44,
    cell: ({ rowData: r, rowIndex }) =>
      h(
        ElButton,
        {
          link: true,
          class: 'about',
          title: t('board.about'),
          'aria-label': t('board.aboutOne', { no: r.no }),
          onClick: (e: MouseEvent) => {
            e.stopPropagation()
            emit('about', rowIndex)
          },
        },
        () => '⋯',
      ),
  },
])
/** What a narrow board does without: it is on the card of the batch as well. */
const NEEDLESS = ['waiting', 'pages']
const columns = computed(() =>
  all.value
    .filter((c) => props.width >= 960 || c.key !== NEEDLESS[0])
    .filter((c) => props.width >= 720 || !NEEDLESS.includes(c.key))
    .map(
      ({ key, title, width, grow, align, cell }) =>
        ({ key, dataKey: key, title, width, flexGrow: grow ?? 0, align, cellRenderer: cell }) as Column<Row>,
    ),
)
const handlers = { onClick: ({ rowIndex }: { rowIndex: number }) => emit('open', rowIndex) }
const rowProps = ({ rowIndex }: { rowIndex: number }) =>
  rowIndex === props.at ? { 'aria-current': 'true' } : {}
watch(
  () => props.at,
  (at) => table.value?.scrollToRow(at, 'smart'),
)
</script>

<template>
  <ElTableV2
    ref="table"
    class="board-table"
    :columns="columns"
    :data="rows"
    :width="width"
    :height="height"
    :row-height="38"
    :header-height="34"
    :row-event-handlers="handlers"
    :row-class="({ rowIndex }: { rowIndex: number }) => (rowIndex === at ? 'at' : '')"
    :row-props="rowProps"
    row-key="no"
  >
    <template #empty><slot /></template>
  </ElTableV2>
</template>

<style scoped>
.board-table :deep(.el-table-v2__row) {
  cursor: pointer;
}
.board-table :deep(.at) {
  background: var(--petrol-pale);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.board-table :deep(.no) {
  font-weight: 600;
  white-space: nowrap;
}
.board-table :deep(.cut) {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.board-table :deep(.late) {
  font-weight: 650;
  color: var(--wrong);
}
.board-table :deep(.late)::before {
  content: '⚑ ';
}
.board-table :deep(.near) {
  font-weight: 600;
}
.board-table :deep(.near)::before {
  content: '◔ ';
}
.board-table :deep(.urgent) {
  font-weight: 700;
  color: var(--wrong);
  margin-right: 3px;
}
.board-table :deep(.mine) {
  font-weight: 650;
}
</style>
