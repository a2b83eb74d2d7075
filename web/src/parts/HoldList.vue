<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, tell } from '../api/client'
import { useLoad } from '../composables/useLoad'
import AskReason from './AskReason.vue'
import KeyButton from './base/KeyButton.vue'
import ListRow from './base/ListRow.vue'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'

/** What keeps documents from being erased, and what once did. */
const { t } = useI18n()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/retention/holds'))
const ending = ref<Schema['Hold'] | null>(null)

async function end(why: string) {
  const id = ending.value!.id
  ending.value = null
  const { error } = await api.POST('/api/retention/holds/{id}/end', {
    params: { path: { id } },
    body: { why },
  })
  if (error) tell(error)
  await load()
}
</script>

<template>
  <AskReason
    v-if="ending"
    :label="t('retention.endWhy', { hold: ending.name })"
    @said="end"
    @close="ending = null"
  />
  <WaitingFor
    v-bind="{ loading, problem }"
    :empty="data && !data.length && t('retention.noHolds')"
    @again="load"
  />
  <ListRow
    v-for="h in data ?? []"
    :key="h.id"
    :title="h.name"
    :state="t(h.ended ? 'retention.ends' : 'retention.holding')"
    :kind="h.ended ? '' : 'doubtful'"
  >
    {{ t('retention.holds', h.documents) }}
    <span class="soft">{{ t('retention.by', { by: h.by, when: moment(h.since) }) }}</span>
    <div>{{ h.why }}</div>
    <div v-if="h.ended" class="soft">
      {{ t('retention.ended', { by: h.ended.by, when: moment(h.ended.at), why: h.ended.why }) }}
    </div>
    <template v-if="!h.ended" #acts>
      <KeyButton @click="ending = h">{{ t('retention.end') }}</KeyButton>
    </template>
  </ListRow>
</template>
