<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import ListRow from './base/ListRow.vue'
import PanelBox from './base/PanelBox.vue'
import { moment } from './times'

/** Filed files that are gone or are not what was filed; each leads to its batch. */
const { t } = useI18n()
const troubles = ref<Schema['FiledTrouble'][]>([])

async function load() {
  const { data } = await api.GET('/api/filed-troubles')
  if (data) troubles.value = data
}
void load()
useIntervalFn(load, 60_000)
</script>

<template>
  <PanelBox v-if="troubles.length" :title="t('day.filedTroubles', { n: troubles.length }, troubles.length)">
    <ListRow
      v-for="f in troubles"
      :key="f.batch + f.destination + f.path"
      :title="f.path"
      :state="t(`filing.found.${f.found}`, { when: moment(f.at) })"
      kind="wrong"
    >
      <RouterLink :to="{ name: 'filing', params: { no: f.batch } }">
        {{ t('day.filedFrom', { batch: f.batch, document: f.document, destination: f.destination }) }}
      </RouterLink>
    </ListRow>
  </PanelBox>
</template>
