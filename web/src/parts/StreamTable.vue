<script setup lang="ts">
import { toRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { useDay } from '../composables/useDay'

import { figure, share } from './figures'
import { moment } from './times'

/** What of a stream is looked at below the list. */
export type StreamPanel = 'watch' | 'types' | 'names' | 'versions' | 'limits' | 'certainty'

/** Streams as rows: what each is, how much of its paper of today needed a hand, and which version is in force. */
const props = defineProps<{
  streams: Schema['Listed'][]
  day: Schema['Day'] | undefined
  supervisor: boolean
}>()
const emit = defineEmits<{ open: [what: StreamPanel, stream: string] }>()
const { t } = useI18n()
const { streams: today } = useDay(toRef(props, 'day'))
const of = (name: string) => today.value.find((s) => s.stream === name)
const pages = (name: string) => (of(name)?.received ? figure(of(name)!.received) : '–')
const untouched = (name: string) => share(of(name)?.untouched ?? 0, of(name)?.documents ?? 0)
function doubts(name: string) {
  const s = of(name)
  return s?.fields ? figure((100 * s.doubts) / s.fields, 1) : '–'
}
/** With its samples for supervisors, who see to streams; the definition alone for others. */
function exported({ name, version }: Schema['Listed']) {
  const whole = `/api/workbench/${name}/versions/${version}/export.zip`
  const [href, download] = props.supervisor
    ? [whole, `${name}-${version}.zip`]
    : [`/api/streams/${name}`, `${name}.json`]
  Object.assign(document.createElement('a'), { href, download }).click()
}
const act = (row: Schema['Listed'], what: StreamPanel | 'export') =>
  what === 'export' ? exported(row) : emit('open', what, row.name)
</script>

<template>
  <ElTable :data="streams" row-key="name" :empty-text="t('streams.none')">
    <ElTableColumn :label="t('board.stream')" min-width="240">
      <template #default="{ row }">
        <RouterLink v-if="supervisor" :to="{ name: 'workbench', params: { stream: row.name } }" dir="auto">
          <b>{{ row.title }}</b>
        </RouterLink>
        <b v-else dir="auto">{{ row.title }}</b>
        <div class="mono soft small">{{ row.name }}</div>
      </template>
    </ElTableColumn>
    <template v-if="supervisor">
      <ElTableColumn :label="t('streams.today')" width="110" align="right">
        <template #default="{ row }">{{ pages(row.name) }}</template>
      </ElTableColumn>
      <ElTableColumn :label="t('day.untouched')" width="130" align="right">
        <template #default="{ row }">{{ untouched(row.name) }}</template>
      </ElTableColumn>
      <ElTableColumn :label="t('day.doubts')" width="170" align="right">
        <template #default="{ row }">{{ doubts(row.name) }}</template>
      </ElTableColumn>
    </template>
    <ElTableColumn :label="t('streams.inForce')" min-width="220">
      <template #default="{ row }">
        {{ t('streams.version', { n: row.version }) }}
        <div class="soft small">{{ t('streams.saved', { when: moment(row.savedAt), by: row.savedBy }) }}</div>
      </template>
    </ElTableColumn>
    <ElTableColumn width="110" align="right">
      <template #default="{ row }">
        <ElDropdown
          trigger="click"
          placement="bottom-end"
          @command="(what: StreamPanel | 'export') => act(row as Schema['Listed'], what)"
        >
          <ElButton class="act" :aria-label="t('app.actsFor', { what: row.title })">
            {{ t('app.acts') }}
            <span aria-hidden="true">▾</span>
          </ElButton>
          <template #dropdown>
            <ElDropdownMenu>
              <ElDropdownItem v-if="supervisor" command="watch">{{ t('watch.open') }}</ElDropdownItem>
              <ElDropdownItem command="types">{{ t('streams.types') }}</ElDropdownItem>
              <ElDropdownItem v-if="supervisor" command="names">{{ t('names.show') }}</ElDropdownItem>
              <ElDropdownItem command="versions">{{ t('streams.versions') }}</ElDropdownItem>
              <ElDropdownItem v-if="supervisor" command="limits">{{ t('limits.open') }}</ElDropdownItem>
              <ElDropdownItem command="certainty">{{ t('certainty.open') }}</ElDropdownItem>
              <ElDropdownItem command="export">{{ t('streams.export') }}</ElDropdownItem>
            </ElDropdownMenu>
          </template>
        </ElDropdown>
      </template>
    </ElTableColumn>
  </ElTable>
</template>

<style scoped>
.small {
  font-size: 13.5px;
}
</style>
