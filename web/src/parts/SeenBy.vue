<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useLoad } from '../composables/useLoad'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'

/** What was shown of a document, and to whom: a row for each person, day and part of it. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/archive/{id}/seen', { params: { path: { id: props.id } } }),
)
const empty = computed(() => data.value?.length === 0 && t('archive.seenByNobody'))
</script>

<template>
  <WaitingFor v-bind="{ loading, problem }" :empty="empty" @again="load" />
  <ElTable v-if="data?.length" :data="data" size="small">
    <ElTableColumn :label="t('people.who')" prop="who" min-width="120" />
    <ElTableColumn :label="t('people.what')" min-width="170">
      <template #default="{ row }">
        {{ t(`archive.seen.${row.what}`, { page: row.page }) }}
      </template>
    </ElTableColumn>
    <ElTableColumn :label="t('archive.seenLast')" width="180">
      <template #default="{ row }">{{ moment(row.lastAt) }}</template>
    </ElTableColumn>
    <ElTableColumn :label="t('archive.seenTimes')" prop="times" width="80" align="right" />
  </ElTable>
</template>
