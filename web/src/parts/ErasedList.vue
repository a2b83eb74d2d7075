<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, tell } from '../api/client'
import { useEvents } from '../composables/useEvents'
import { useLoad } from '../composables/useLoad'
import { useRetention } from '../composables/useRetention'
import AskReason from './AskReason.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'

type Gone = Schema['Gone']

/** What was erased, and what is to be and is not all gone yet. */
const { t } = useI18n()
const { countedFrom, filedAs } = useRetention()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/retention/erased'))
const leaving = ref<Gone | null>(null)
useEvents(() => void load())

async function again(gone: Gone) {
  const { error } = await api.POST('/api/retention/erase/again', { body: filedAs(gone) })
  if (error) tell(error)
}
async function leave(why: string) {
  const document = filedAs(leaving.value!)
  leaving.value = null
  const { error } = await api.POST('/api/retention/erase/leave', { body: { document, why } })
  if (error) tell(error)
  await load()
}
/** Each place with what became of the files there, once. */
const places = (gone: Gone) => [
  ...new Set(gone.lay.map((l) => `${l.destination}: ${t(`retention.became.${l.became}`)}`)),
]
</script>

<template>
  <AskReason v-if="leaving" :label="t('retention.leaveWhy')" @said="leave" @close="leaving = null" />
  <WaitingFor
    v-bind="{ loading, problem }"
    :empty="data && !data.length && t('retention.noGone')"
    @again="load"
  />
  <ElTable v-if="data?.length" :data="data" :row-key="(g: Gone) => `${g.batch}/${g.document}`">
    <ElTableColumn :label="t('retention.document')" min-width="200">
      <template #default="{ row }">
        <b>{{ row.of.typeTitle }}</b>
        {{ ' ' }}
        <RouterLink class="mono" :to="{ name: 'filing', params: { no: row.batch } }">
          {{ row.batch }}/{{ row.document }}
        </RouterLink>
        <div class="soft">{{ countedFrom(row.kept) }}</div>
      </template>
    </ElTableColumn>
    <ElTableColumn :label="t('retention.pages')" prop="pages" width="70" align="right" />
    <ElTableColumn :label="t('retention.who')" min-width="200">
      <template #default="{ row }">
        {{ t('retention.by', { by: row.by, when: moment(row.erasedAt ?? row.askedAt) }) }}
        <div>{{ row.why }}</div>
      </template>
    </ElTableColumn>
    <ElTableColumn :label="t('retention.lay')" min-width="320">
      <template #default="{ row }">
        <span class="state" :class="row.erasedAt ? 'sure' : 'doubtful'">
          {{ t(row.erasedAt ? 'retention.done' : 'retention.waits') }}
        </span>
        <div v-for="p in places(row as Gone)" :key="p">{{ p }}</div>
        <template v-if="row.trouble">
          <NoteBanner kind="wrong">{{ row.trouble }}</NoteBanner>
          <div class="row">
            <KeyButton @click="again(row as Gone)">{{ t('retention.again') }}</KeyButton>
            <KeyButton @click="leaving = row as Gone">{{ t('retention.leave') }}</KeyButton>
          </div>
        </template>
      </template>
    </ElTableColumn>
  </ElTable>
</template>
