<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import PlaceForm from '../parts/PlaceForm.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import ListRow from '../parts/base/ListRow.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { moment } from '../parts/times'

type Place = Schema['OwnPlace']

/** Places of the organisation's that documents are filed in: set up, tried, changed. */
const { t } = useI18n()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/places'))
const editing = ref<Place | 'new' | null>(null)
const done = ref('')

function where(p: Place) {
  const s = p.settings as Record<string, string | undefined>
  // As it is sent, whatever the API's description calls it.
  const kind: string = p.settings.kind
  if (kind === 's3') return `${s.url} ${s.bucket}/${s.folder ?? ''}`
  if (kind === 'mail') return `${s.to ?? ''} ${s.host}:${s.port}`.trim()
  if (s.url) return s.folder ? `${s.url} /${s.folder}` : s.url
  return `${s.user}@${s.host}:${s.port}/${s.folder ?? ''}`
}
async function removed(name: string) {
  editing.value = null
  done.value = t('places.removed', { name })
  await load()
}
async function saved(name: string) {
  editing.value = null
  done.value = t('places.saved', { name })
  await load()
}
useKeys([{ key: 'A', on: ['a', 'A'], label: t('places.add'), run: () => (editing.value = 'new') }])
</script>

<template>
  <div class="places">
    <header class="row">
      <h1>{{ t('places.title') }}</h1>
      <span class="soft stretch">{{ t('places.lead') }}</span>
      <KeyButton main k="A" @click="editing = 'new'">{{ t('places.add') }}</KeyButton>
    </header>
    <NoteBanner v-if="done">{{ done }}</NoteBanner>
    <section v-if="data?.length" class="panel list">
      <ListRow v-for="p in data" :key="p.name" :title="p.name">
        <span class="soft">{{ t(`places.${p.settings.kind}`) }}</span>
        <div class="mono" dir="auto">{{ where(p) }}</div>
        <div class="soft">
          {{
            p.streams.length
              ? t('places.usedBy', { streams: p.streams.join(', ') })
              : t('places.unused', { name: p.name })
          }}
        </div>
        <template #acts>
          <KeyButton @click="editing = p">{{ t('places.change') }}</KeyButton>
        </template>
        <div class="soft">{{ t('places.savedBy', { when: moment(p.savedAt), by: p.savedBy }) }}</div>
      </ListRow>
    </section>
    <WaitingFor v-else v-bind="{ loading, problem }" :empty="t('places.none')" @again="load" />
    <ElDrawer
      :model-value="!!editing"
      :title="t(editing === 'new' ? 'places.add' : 'places.changeOne')"
      size="460px"
      destroy-on-close
      @update:model-value="editing = null"
    >
      <PlaceForm
        v-if="editing"
        :place="editing === 'new' ? null : editing"
        @saved="saved"
        @removed="removed"
        @close="editing = null"
      />
    </ElDrawer>
  </div>
</template>

<style scoped>
.places {
  padding: 12px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.list {
  padding: 0 16px;
}
</style>
