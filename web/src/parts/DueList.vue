<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, tell } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import AskReason from './AskReason.vue'
import HoldForm from './HoldForm.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PickOne from './base/PickOne.vue'
import WaitingFor from './base/WaitingFor.vue'
import { day } from './times'
import { useRetention } from '../composables/useRetention'

type Due = Schema['DueDocument']

/** Documents whose last day is over, type by type, to be erased or held. */
const { t } = useI18n()
const { countedFrom, filedAs } = useRetention()
/** As many as come at once. */
const AT_ONCE = 200
const kinds = useLoad(() => api.GET('/api/retention/due'))
const kind = ref<Schema['TitledType'] | null>(null)
const documents = ref<Due[]>([])
const chosen = ref<Due[]>([])
const asking = ref<'erase' | 'hold' | null>(null)
const done = ref('')

watch(kinds.data, (now) => {
  const same = now?.find((k) => k.of.stream === kind.value?.stream && k.of.type === kind.value.type)
  kind.value = (same ?? now?.[0])?.of ?? null
  void show()
})
async function show(from = 0) {
  if (!kind.value) {
    documents.value = []
    return
  }
  const { stream, type } = kind.value
  const { data, error } = await api.GET('/api/retention/due/documents', {
    params: { query: { stream, type, from } },
  })
  if (error) tell(error)
  else documents.value = from ? [...documents.value, ...data] : data
}
const total = computed(
  () =>
    kinds.data.value?.find((k) => k.of.stream === kind.value?.stream && k.of.type === kind.value.type)
      ?.documents ?? 0,
)
const key = (of: Schema['TitledType']) => `${of.stream}/${of.type}`
/** A type with how much of it is due. */
const said = (k: Schema['DueKind']) =>
  t('retention.kind', {
    type: k.of.typeTitle,
    stream: k.of.streamTitle,
    n: k.documents,
    since: day(k.oldest),
  })
function choose(wanted: string | null | undefined) {
  kind.value = kinds.data.value?.find((k) => key(k.of) === wanted)?.of ?? null
  chosen.value = []
  void show()
}
async function erase(why: string) {
  asking.value = null
  const n = chosen.value.length
  const { error } = await api.POST('/api/retention/erase', {
    body: { documents: chosen.value.map(filedAs), why },
  })
  if (error) tell(error)
  else done.value = t('retention.erasing', n)
  await kinds.load()
}
function held(hold: Schema['Hold']) {
  done.value = t('retention.isHeld', { n: chosen.value.length, hold: hold.name }, chosen.value.length)
  asking.value = null
  void kinds.load()
}
const ask = (what: 'erase' | 'hold') => {
  if (chosen.value.length) asking.value = what
}
useKeys([
  { key: 'E', on: ['e', 'E'], label: t('retention.erase'), run: () => ask('erase') },
  { key: 'H', on: ['h', 'H'], label: t('retention.hold'), run: () => ask('hold') },
])
</script>

<template>
  <NoteBanner v-if="done">{{ done }}</NoteBanner>
  <WaitingFor
    v-bind="{ loading: kinds.loading.value, problem: kinds.problem.value }"
    :empty="kinds.data.value && !kinds.data.value.length && t('retention.none')"
    @again="kinds.load"
  />
  <section v-if="kinds.data.value?.length">
    <p class="soft">{{ t('retention.lead') }}</p>
    <div class="row acts">
      <PickOne
        class="kinds"
        :model-value="kind && key(kind)"
        :aria-label="t('retention.type')"
        :options="kinds.data.value.map((k) => ({ value: key(k.of), label: said(k) }))"
        @update:model-value="choose"
      />
      <b>{{ t('retention.chosen', chosen.length) }}</b>
      <span class="stretch" />
      <KeyButton k="H" :disabled="!chosen.length" @click="ask('hold')">{{ t('retention.hold') }}</KeyButton>
      <KeyButton k="E" main :disabled="!chosen.length" @click="ask('erase')">
        {{ t('retention.erase') }}
      </KeyButton>
    </div>
    <template v-if="asking === 'erase'">
      <NoteBanner kind="doubt">{{ t('retention.eraseTo') }}</NoteBanner>
      <AskReason
        :label="t('retention.eraseWhy', chosen.length)"
        :act="t('retention.erase')"
        @said="erase"
        @close="asking = null"
      />
    </template>
    <ElTable
      :data="documents"
      :row-key="(d: Due) => `${d.batch}/${d.document}`"
      @selection-change="(rows: Due[]) => (chosen = rows)"
    >
      <ElTableColumn type="selection" width="44" :selectable="(d: Due) => !d.holds.length" />
      <ElTableColumn :label="t('retention.name')" min-width="240">
        <template #default="{ row }">
          <RouterLink v-if="row.archived" :to="{ name: 'document', params: { id: row.archived } }">
            {{ row.name }}
          </RouterLink>
          <span v-else>{{ row.name }}</span>
          <div class="soft mono">{{ row.batch }}/{{ row.document }}</div>
          <div v-if="row.holds.length" class="state doubtful wraps">
            {{ t('retention.heldBy', { holds: row.holds.join(', ') }) }}
          </div>
        </template>
      </ElTableColumn>
      <ElTableColumn :label="t('retention.pages')" prop="pages" width="70" align="right" />
      <ElTableColumn :label="t('retention.counted')" min-width="190">
        <template #default="{ row }">
          {{ countedFrom(row.kept) }}
          <div v-if="row.kept.field" class="soft">
            {{ t(row.kept.settled ? 'retention.settled' : 'retention.read') }}
          </div>
        </template>
      </ElTableColumn>
      <ElTableColumn :label="t('retention.lastDay')" width="120">
        <template #default="{ row }">{{ day(row.kept.lastDay) }}</template>
      </ElTableColumn>
    </ElTable>
    <KeyButton
      v-if="documents.length < total && documents.length % AT_ONCE === 0"
      @click="show(documents.length)"
    >
      {{ t('retention.more') }}
    </KeyButton>
    <ElDrawer
      :model-value="asking === 'hold'"
      :title="t('retention.holdThese', chosen.length)"
      size="460px"
      destroy-on-close
      @close="asking = null"
    >
      <HoldForm :documents="chosen.map(filedAs)" @done="held" @close="asking = null" />
    </ElDrawer>
  </section>
</template>

<style scoped>
.acts {
  gap: 10px;
  margin: 8px 0;
}
.kinds {
  width: 460px;
}
</style>
