<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useSession } from '../session'
import ChangeList from './ChangeList.vue'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'
import { vFocus } from './base/focus'

/** The versions of a stream: who saved each, what it changed, back to one of them, or a copy under another name. */
const props = defineProps<{ stream: string; title: string }>()
const emit = defineEmits<{ saved: [title: string, version: number]; close: [] }>()
const { t } = useI18n()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const path = { name: props.stream }
const { data, loading, problem } = useLoad(() =>
  api.GET('/api/streams/{name}/versions', { params: { path } }),
)
const newest = computed(() => data.value?.[0]?.version ?? 0)
const chosen = ref(0)
/** The version that it is compared with; 0 for none. */
const against = ref(0)
const changes = shallowRef<Schema['Change'][]>([])
const copying = ref(false)
const copyTitle = ref('')

async function textOf(version: number) {
  const { data: text, error } = await api.GET('/api/streams/{name}/versions/{version}', {
    params: { path: { ...path, version } },
    parseAs: 'text',
  })
  if (error) tell(error)
  return String(text ?? '{}')
}
watch(newest, (n) => (chosen.value ||= n))
watch(chosen, (version) => (against.value = version - 1))
const others = computed(() =>
  (data.value ?? [])
    .filter((v) => v.version !== chosen.value)
    .map((v) => ({ value: v.version, label: t('streams.version', { n: v.version }) })),
)
watch([chosen, against], async ([version, from]) => {
  changes.value = []
  if (!from) return
  const params = { path: { ...path, version }, query: { from } }
  const answer = await api.GET('/api/streams/{name}/versions/{version}/changes', { params })
  if (answer.error) tell(answer.error)
  if (version === chosen.value && from === against.value) changes.value = answer.data ?? []
})
function told({ data: saved, error }: { data?: Schema['Listed']; error?: unknown }) {
  if (error) tell(error)
  if (saved) emit('saved', saved.title, saved.version)
}
const revert = async () =>
  told(await api.POST('/api/streams', { body: { json: await textOf(chosen.value) } }))
const copy = async () =>
  told(
    await api.POST('/api/streams/{name}/versions/{version}/copy', {
      params: { path: { ...path, version: chosen.value } },
      body: { title: copyTitle.value },
    }),
  )
</script>

<template>
  <PanelBox :title="t('versions.title', { title })">
    <template #acts>
      <template v-if="supervisor && data">
        <KeyButton :disabled="chosen === newest" @click="revert">
          {{ t('versions.revert', { n: chosen }) }}
        </KeyButton>
        <KeyButton v-if="!copying" @click="copying = true">{{ t('versions.copy') }}</KeyButton>
        <form v-else class="row" @submit.prevent="copy">
          <ElInput v-model="copyTitle" v-focus maxlength="80" :aria-label="t('versions.copyTitle')" />
          <KeyButton main submit k="Enter">{{ t('versions.copySave') }}</KeyButton>
        </form>
      </template>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <WaitingFor v-bind="{ loading, problem }" />
    <div v-if="data" class="two">
      <ElRadioGroup v-model="chosen" class="versions" :aria-label="t('versions.title', { title })">
        <ElRadio v-for="v in data" :key="v.version" :value="v.version">
          {{ t('streams.version', { n: v.version }) }}
          <span class="soft">{{ t('streams.saved', { when: moment(v.savedAt), by: v.savedBy }) }}</span>
          <span v-if="v.note" class="soft note">{{ v.note }}</span>
        </ElRadio>
      </ElRadioGroup>
      <div>
        <p v-if="!others.length" class="soft">{{ t('versions.first') }}</p>
        <template v-else>
          <label class="row soft">
            {{ t('versions.changed', { n: chosen }) }}
            <PickOne v-model="against" :options="others" :placeholder="t('versions.against')" />
          </label>
          <ChangeList v-if="against" :changes="changes" />
        </template>
      </div>
    </div>
  </PanelBox>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 360px 1fr;
  gap: 16px;
}
.note {
  display: block;
}
.versions {
  flex-direction: column;
  align-items: flex-start;
  max-height: 420px;
  overflow: auto;
}
</style>
