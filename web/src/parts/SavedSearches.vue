<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, worded, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import AskReason from './AskReason.vue'
import NoteBanner from './base/NoteBanner.vue'

/** Searches kept under a name: asked again with one press, and the one that is shown kept with two. */
const props = defineProps<{ line: string; sort: string }>()
defineEmits<{ ask: [saved: Schema['SavedSearch']] }>()
const { t } = useI18n()
const naming = ref(false)
const problem = ref<unknown>()
const { data: saved } = useLoad(() => api.GET('/api/archive/searches'))

async function keep(name: string) {
  const { data, error } = await api.PUT('/api/archive/searches', {
    body: { name, line: props.line, sort: props.sort },
  })
  problem.value = error
  if (!data) return
  saved.value = data
  naming.value = false
}
watch(
  () => props.line,
  () => {
    naming.value = false
    problem.value = undefined
  },
)
async function remove(search: Schema['SavedSearch']) {
  const { data } = await api.DELETE('/api/archive/searches', { params: { query: { name: search.name } } })
  if (data) saved.value = data
}
</script>

<template>
  <div class="row saved">
    <span v-if="saved?.length" class="soft">{{ t('archive.saved') }}</span>
    <ElTag v-for="s in saved" :key="s.name" closable disable-transitions type="info" @close="remove(s)">
      <ElButton link :title="s.line" @click="$emit('ask', s)">{{ s.name }}</ElButton>
    </ElTag>
    <AskReason v-if="naming" :label="t('archive.keepAs')" @said="keep" @close="naming = false" />
    <ElButton v-else-if="line" link @click="naming = true">{{ t('archive.keep') }}</ElButton>
    <NoteBanner v-if="problem" kind="wrong">{{ worded(problem) }}</NoteBanner>
  </div>
</template>

<style scoped>
.saved {
  flex-wrap: wrap;
}
</style>
