<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { diffLines } from 'diff'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useSession } from '../session'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
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
const lines = ref<{ value: string; added?: boolean; removed?: boolean }[]>([])
const copying = ref(false)
const copyTitle = ref('')

async function textOf(version: number) {
  const { data: text, error } = await api.GET('/api/streams/{name}/versions/{version}', {
    params: { path: { ...path, version } },
    parseAs: 'text',
  })
  if (error) tell(error)
  // Written the same way, so that only what is said differs.
  return JSON.stringify(JSON.parse(String(text ?? '{}')), null, 2)
}
watch(newest, (n) => (chosen.value ||= n))
watch(chosen, async (version) => {
  const now = await textOf(version)
  const before = version > 1 ? await textOf(version - 1) : now
  lines.value = diffLines(before, now).filter((l) => l.added || l.removed)
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
        </ElRadio>
      </ElRadioGroup>
      <div>
        <p class="soft">
          {{
            t(chosen === 1 ? 'versions.first' : lines.length ? 'versions.changed' : 'versions.unchanged', {
              n: chosen,
            })
          }}
        </p>
        <pre
          v-if="lines.length"
          class="mono"
        ><span v-for="(l, i) in lines" :key="i" :class="{ added: l.added }">{{
          l.value.trimEnd().replace(/^/gm, l.added ? '+ ' : '− ') + '\n'
        }}</span></pre>
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
.versions {
  flex-direction: column;
  align-items: flex-start;
  max-height: 420px;
  overflow: auto;
}
pre {
  margin: 0;
  max-height: 420px;
  overflow: auto;
  background: var(--ground);
  padding: 8px;
  font-size: 12.5px;
}
.added {
  font-weight: 600;
}
</style>
