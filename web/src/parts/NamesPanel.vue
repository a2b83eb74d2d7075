<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { useI18n } from 'vue-i18n'
import { api, type Schema, tell, worded } from '../api/client'
import { useChoices } from '../composables/useChoices'
import { useLoad } from '../composables/useLoad'
import { type NamedStream, useNameValues } from '../composables/useNameValues'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import WaitingFor from './base/WaitingFor.vue'
import NameChips from './NameChips.vue'

/** Folder and file names of a stream's destinations, tried on the documents of a batch while they are made. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const path = { name: props.stream }
const definition = useLoad(() => api.GET('/api/streams/{name}', { params: { path } }))
const board = useLoad(() => api.GET('/api/board'))
const now = ref<NamedStream | null>(null)
watch(
  definition.data,
  (json) => (now.value = json ? (structuredClone(json) as unknown as NamedStream) : null),
)
const which = ref(0)
const at = computed(() => now.value?.destinations?.[which.value])
const batches = computed(() =>
  (board.data.value?.batches ?? []).filter((b) => b.stream === props.stream && b.stage !== 'intake'),
)
const batch = ref<string | null>(null)
watch(batches, (all) => (batch.value ??= all[0]?.no ?? null))

const values = useNameValues(now)
const json = computed(() => JSON.stringify(now.value))
const tried = ref<Schema['TriedName'][]>([])
const fault = ref('')
const shown = computed(() => tried.value.filter((d) => d.destination === at.value?.destination))
watchDebounced(
  [json, batch],
  async () => {
    if (!now.value || !batch.value) return
    const { data, error } = await api.POST('/api/streams/try-names', {
      body: { json: json.value, batch: batch.value },
    })
    fault.value = error ? worded(error) : ''
    if (data) tried.value = data
  },
  { debounce: 300, immediate: true },
)
const changed = computed(() => !!now.value && json.value !== JSON.stringify(definition.data.value))
async function save() {
  const { data, error } = await api.POST('/api/streams', {
    body: { json: JSON.stringify(now.value, null, 2) },
  })
  if (error) tell(error)
  if (data) emit('saved', data.version)
}
</script>

<template>
  <PanelBox :title="t('names.title', { stream: now?.title ?? stream })">
    <template #acts>
      <KeyButton main :disabled="!changed || !!fault" @click="save">{{ t('rules.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <WaitingFor
      v-bind="{ loading: definition.loading.value, problem: definition.problem.value }"
      @again="definition.load"
    />
    <div v-if="now && at" class="names">
      <div class="three">
        <FieldBox :label="t('names.to')">
          <PickOne
            v-model="which"
            :options="(now.destinations ?? []).map((d, i) => ({ value: i, label: d.destination }))"
          />
        </FieldBox>
        <FieldBox :label="t('names.taken')">
          <PickOne
            :model-value="at.taken ?? 'number'"
            :options="choices(['number', 'refuse', 'version', 'append'], 'names.takenBy')"
            @update:model-value="(taken) => (at!.taken = taken ?? 'number')"
          />
        </FieldBox>
        <FieldBox v-if="batches.length" :label="t('names.tryOn')">
          <PickOne v-model="batch" :options="batches.map((b) => ({ value: b.no, label: b.no }))" />
        </FieldBox>
      </div>
      <NameChips
        :key="`folder ${which}`"
        :model-value="at.folder ?? ''"
        :label="t('names.folder')"
        :values="values"
        @update:model-value="(folder) => (at!.folder = folder)"
      />
      <NameChips
        :key="`file ${which}`"
        :model-value="at.file ?? '{type} {batch}-{no:000}'"
        :label="t('names.file')"
        :values="values"
        @update:model-value="(file) => (at!.file = file)"
      />
      <NoteBanner v-if="fault" kind="wrong">{{ fault }}</NoteBanner>
      <p v-if="board.data.value && !batches.length" class="soft">{{ t('names.noBatch') }}</p>
      <template v-else>
        <ElTable :data="shown" row-key="document" size="small" max-height="360">
          <ElTableColumn :label="t('names.document')" prop="document" width="90" />
          <ElTableColumn :label="t('names.path')" min-width="320">
            <template #default="{ row }">
              <span class="mono">{{ row.path }}</span>
              <div v-if="row.twice" class="state doubtful">{{ t('names.twice') }}</div>
              <div v-if="row.taken" class="state doubtful">{{ t('names.isTaken') }}</div>
              <div v-if="row.unsafe.length" class="state doubtful">
                {{ t('names.unsafe', { values: row.unsafe.join(', ') }) }}
              </div>
            </template>
          </ElTableColumn>
        </ElTable>
      </template>
    </div>
  </PanelBox>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr;
  gap: 12px;
}
.names {
  display: grid;
  gap: 12px;
  padding: 12px 14px;
}
</style>
