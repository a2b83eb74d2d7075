<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import RightForm from './RightForm.vue'
import FieldBox from './base/FieldBox.vue'
import PickOne from './base/PickOne.vue'
import WaitingFor from './base/WaitingFor.vue'
import { RIGHTS, ruleOf, type Right } from './rights'

/** Who may do what with the documents of a stream and of each of its types. */
const { t } = useI18n()
const { data: streams, loading, problem, load } = useLoad(() => api.GET('/api/rights/streams'))
const rules = useLoad(() => api.GET('/api/rights'))
const groups = useLoad(() => api.GET('/api/groups'))
const stream = ref<string | null>(null)
const editing = ref<{ right: Right; type: string; title: string } | null>(null)
watchEffect(() => (stream.value ??= streams.value?.[0]?.stream ?? null))

const options = computed(() => (streams.value ?? []).map((s) => ({ value: s.stream, label: s.title })))
const rows = computed(() => [
  { type: '', title: t('people.wholeStream'), confidential: false },
  ...(streams.value?.find((s) => s.stream === stream.value)?.types ?? []),
])
const rule = (right: Right, type: string) => ruleOf(rules.data.value ?? [], right, stream.value ?? '', type)

/** Whom a cell names. */
function whom(right: Right, type: string) {
  const of = rule(right, type)
  if (!of) return t(type ? 'people.asStream' : `people.byRole.${right}`)
  return (groups.data.value ?? [])
    .filter((g) => of.groups.includes(g.id))
    .map((g) => g.name)
    .join(', ')
}
function saved(all: Schema['Rule'][]) {
  rules.data.value = all
  editing.value = null
}
</script>

<template>
  <p class="soft lead">{{ t('people.rightsLead') }}</p>
  <WaitingFor
    v-bind="{ loading, problem }"
    :empty="streams?.length === 0 && t('people.noStreams')"
    @again="load"
  />
  <template v-if="streams?.length">
    <FieldBox :label="t('people.stream')" class="choose">
      <PickOne v-model="stream" :options="options" />
    </FieldBox>
    <ElTable :data="rows" row-key="type">
      <ElTableColumn :label="t('people.stream')" min-width="180">
        <template #default="{ row }">
          <component :is="row.type ? 'span' : 'b'" :class="{ inner: row.type }">{{ row.title }}</component>
          <span v-if="row.confidential" class="secret">{{ t('people.confidential') }}</span>
        </template>
      </ElTableColumn>
      <ElTableColumn v-for="r in RIGHTS" :key="r" :label="t(`people.right.${r}`)" min-width="150">
        <template #default="{ row }">
          <ElButton
            link
            class="whom"
            :class="{ soft: !rule(r, row.type) }"
            :aria-label="`${row.title}, ${t(`people.right.${r}`)}: ${whom(r, row.type)}`"
            @click="editing = { right: r, type: row.type, title: row.title }"
          >
            {{ whom(r, row.type) }}
          </ElButton>
        </template>
      </ElTableColumn>
    </ElTable>
  </template>
  <ElDialog
    :model-value="!!editing"
    :title="editing ? t('people.whoMay', { right: t(`people.rightIs.${editing.right}`) }) : ''"
    width="520px"
    destroy-on-close
    @update:model-value="editing = null"
  >
    <RightForm
      v-if="editing && stream"
      v-bind="{ right: editing.right, type: editing.type, stream }"
      :title="editing.type ? editing.title : (options.find((o) => o.value === stream)?.label ?? '')"
      :groups="groups.data.value ?? []"
      :chosen="rule(editing.right, editing.type)?.groups ?? []"
      @saved="saved"
      @close="editing = null"
    />
  </ElDialog>
</template>

<style scoped>
.lead {
  margin: 0 0 10px;
}
.choose {
  max-width: 420px;
  margin-bottom: 10px;
}
.inner {
  padding-inline-start: 14px;
}
.secret {
  margin-inline-start: 8px;
  font-weight: 600;
}
.whom {
  padding: 0;
  white-space: normal;
  text-align: start;
  height: auto;
  line-height: 1.35;
}
</style>
