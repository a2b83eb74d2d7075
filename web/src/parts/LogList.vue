<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useWords } from '../composables/useWords'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'

/** Who did what, the newest first; of everybody, or of one person. */
const { t } = useI18n()
const { logged } = useWords()
const people = useLoad(() => api.GET('/api/people'))
const who = ref('')
const entries = ref<Schema['LogEntry'][]>([])
const more = ref(false)
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/log', {
    params: {
      query: { who: who.value || undefined, before: more.value ? entries.value.at(-1)?.no : undefined },
    },
  }),
)
/** A page of the log is as long as this. */
const PAGE = 200

watch(data, (page) => (entries.value = more.value ? [...entries.value, ...(page ?? [])] : (page ?? [])))
watch(who, () => {
  more.value = false
  void load()
})
function earlier() {
  more.value = true
  void load()
}
const name = (signIn: string) => people.data.value?.find((p) => p.signIn === signIn)?.name ?? signIn
</script>

<template>
  <FieldBox :label="t('people.who')" class="choose">
    <PickOne
      v-model="who"
      :options="[
        { value: '', label: t('people.everybody') },
        ...(people.data.value ?? []).map((p) => ({ value: p.signIn, label: p.name })),
      ]"
    />
  </FieldBox>
  <WaitingFor
    v-bind="{ loading, problem }"
    :empty="data && !entries.length && t('people.noLog')"
    @again="load"
  />
  <ElTable v-if="entries.length" :data="entries" row-key="no" size="small">
    <ElTableColumn :label="t('people.when')" width="180">
      <template #default="{ row }">{{ moment(row.at) }}</template>
    </ElTableColumn>
    <ElTableColumn :label="t('people.who')" width="150">
      <template #default="{ row }">{{ name(row.who) }}</template>
    </ElTableColumn>
    <ElTableColumn :label="t('people.batch')" width="100">
      <template #default="{ row }">
        <RouterLink v-if="row.batch" class="mono" :to="{ name: 'pages', params: { no: row.batch } }">
          {{ row.batch }}
        </RouterLink>
      </template>
    </ElTableColumn>
    <ElTableColumn :label="t('people.what')" min-width="400">
      <template #default="{ row }">{{ logged(row.what) }}</template>
    </ElTableColumn>
  </ElTable>
  <KeyButton v-if="data?.length === PAGE" class="more" @click="earlier">{{ t('people.more') }}</KeyButton>
</template>

<style scoped>
.choose {
  max-width: 300px;
  margin-bottom: 10px;
}
.more {
  margin-top: 10px;
}
</style>
