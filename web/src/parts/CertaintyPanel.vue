<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import WaitingFor from './base/WaitingFor.vue'
import { useSession } from '../session'
import { figure, share } from './figures'

/** How often sure was right, field by field; the limit of one is set by what another would mean. */
const props = defineProps<{ stream: string }>()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()
type OfField = Schema['OfField']
const params = { path: { name: props.stream } }
const { data, loading, problem, load } = useLoad(() => api.GET('/api/streams/{name}/certainty', { params }))
const chosen = ref<OfField | null>(null)
const percent = (of: number) => `${figure(100 * of, 2)} %`
const limits = computed(() => {
  const now = chosen.value?.limits.find((l) => l.limit === chosen.value?.sureFrom)
  return (chosen.value?.limits ?? []).map((l) => ({
    ...l,
    inForce: l === now,
    by: l.doubtsADay - (now?.doubtsADay ?? 0),
  }))
})
function moreOrFewer(by: number) {
  if (Math.abs(by) < 0.05) return ''
  return t(by > 0 ? 'certainty.more' : 'certainty.fewer', { n: figure(Math.abs(by), 1) })
}
interface Definition {
  types: { type: string; fields?: { field: string; sureFrom?: number }[] }[]
}
/** Makes a new version of the stream in which the field is sure from there on. */
async function take(limit: number) {
  const of = chosen.value
  if (!of) return
  const { data: text, error: gone } = await api.GET('/api/streams/{name}', { params, parseAs: 'text' })
  if (!text) return tell(gone)
  const definition: Definition = JSON.parse(String(text))
  const field = definition.types.find((x) => x.type === of.type)?.fields?.find((x) => x.field === of.field)
  if (!field) return
  field.sureFrom = limit
  const { data: saved, error } = await api.POST('/api/streams', {
    body: { json: JSON.stringify(definition, null, 2) },
  })
  if (saved) emit('saved', saved.version)
  else tell(error)
}
</script>

<template>
  <PanelBox :title="t('certainty.title')" class="certainty">
    <template #acts>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <WaitingFor
      v-if="!data?.length"
      v-bind="{ loading, problem }"
      :empty="t('certainty.none')"
      @again="load"
    />
    <template v-else>
      <p class="soft">{{ t('certainty.days', data[0].days) }}. {{ t('certainty.audit') }}</p>
      <ElTable
        :data="data"
        size="small"
        highlight-current-row
        max-height="320"
        :scrollbar-tabindex="0"
        @current-change="(row: OfField | null) => (chosen = row)"
      >
        <ElTableColumn :label="t('certainty.field')" min-width="200">
          <template #default="{ row }">
            <ElButton link type="primary" @click="chosen = row as OfField">{{ row.title }}</ElButton>
            <span class="soft">{{ row.typeTitle }}</span>
          </template>
        </ElTableColumn>
        <ElTableColumn :label="t('certainty.sure')" prop="sure" width="80" align="right" />
        <ElTableColumn :label="t('certainty.looked')" prop="sureLooked" width="100" align="right" />
        <ElTableColumn :label="t('certainty.wrong')" prop="sureWrong" width="80" align="right" />
        <ElTableColumn :label="t('certainty.atMost')" width="130" align="right">
          <template #default="{ row }">{{ row.sureLooked ? percent(row.atMost) : '–' }}</template>
        </ElTableColumn>
        <ElTableColumn :label="t('certainty.doubts')" prop="doubts" width="90" align="right" />
        <ElTableColumn :label="t('certainty.needless')" width="110" align="right">
          <template #default="{ row }">{{ row.doubts ? share(row.needless, row.doubts) : '–' }}</template>
        </ElTableColumn>
        <ElTableColumn :label="t('certainty.limit')" prop="sureFrom" width="110" align="right" />
      </ElTable>
      <div v-if="chosen" class="two">
        <section>
          <h3>{{ t('certainty.chosen', { field: chosen.title }) }}</h3>
          <ElTable :data="limits" size="small">
            <ElTableColumn :label="t('certainty.limit')" prop="limit" width="80" align="right" />
            <ElTableColumn :label="t('certainty.aDay')" width="150" align="right">
              <template #default="{ row }">
                {{ figure(row.doubtsADay, 1) }}
                <span class="soft">{{ moreOrFewer(row.by) }}</span>
              </template>
            </ElTableColumn>
            <ElTableColumn :label="t('certainty.thousand')" width="150" align="right">
              <template #default="{ row }">
                {{ row.errorsInThousand == null ? t('certainty.unknown') : figure(row.errorsInThousand, 1) }}
              </template>
            </ElTableColumn>
            <ElTableColumn min-width="150">
              <template #default="{ row }">
                <span v-if="row.inForce" class="soft">{{ t('certainty.inForce') }}</span>
                <ElButton
                  v-else-if="supervisor"
                  size="small"
                  :disabled="row.errorsInThousand == null && row.limit < (chosen?.sureFrom ?? 0)"
                  @click="take(row.limit)"
                >
                  {{ t('certainty.take') }}
                </ElButton>
              </template>
            </ElTableColumn>
          </ElTable>
        </section>
        <section>
          <h3>{{ t('certainty.weeks') }}</h3>
          <ElTable :data="chosen.weeks" size="small">
            <ElTableColumn :label="t('certainty.week')" prop="from" width="120" />
            <ElTableColumn :label="t('certainty.sure')" prop="sure" min-width="86" align="right" />
            <ElTableColumn :label="t('certainty.looked')" prop="sureLooked" min-width="86" align="right" />
            <ElTableColumn :label="t('certainty.wrong')" prop="sureWrong" min-width="86" align="right" />
            <ElTableColumn :label="t('certainty.doubts')" prop="doubts" min-width="86" align="right" />
            <ElTableColumn :label="t('certainty.needless')" prop="needless" min-width="86" align="right" />
          </ElTable>
        </section>
      </div>
    </template>
  </PanelBox>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px;
  margin-top: 14px;
}
h3 {
  margin: 4px 0;
}
p {
  margin: 0 0 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
