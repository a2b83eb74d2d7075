<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, worded, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import NoteBanner from './base/NoteBanner.vue'

/** Searches kept under a name: asked again with one press, and the one that is shown kept with two. */
const props = defineProps<{ line: string; sort: string }>()
defineEmits<{ ask: [saved: Schema['SavedSearch']] }>()
const { t } = useI18n()
const name = ref('')
const open = ref(false)
const problem = ref<unknown>()
const { data: saved } = useLoad(() => api.GET('/api/archive/searches'))

async function keep() {
  const { data, error } = await api.PUT('/api/archive/searches', {
    body: { name: name.value, line: props.line, sort: props.sort },
  })
  problem.value = error
  if (!data) return
  saved.value = data
  open.value = false
  name.value = ''
}
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
    <ElPopover v-if="line" v-model:visible="open" trigger="click" :width="320">
      <template #reference>
        <ElButton link>{{ t('archive.keep') }}</ElButton>
      </template>
      <form class="row" @submit.prevent="keep">
        <ElInput
          v-model="name"
          maxlength="60"
          :placeholder="t('archive.keepAs')"
          :aria-label="t('archive.keepAs')"
        />
        <ElButton native-type="submit" type="primary" :disabled="!name.trim()">
          {{ t('archive.keepIt') }}
        </ElButton>
      </form>
      <NoteBanner v-if="problem" kind="wrong">{{ worded(problem) }}</NoteBanner>
    </ElPopover>
  </div>
</template>

<style scoped>
.saved {
  flex-wrap: wrap;
}
</style>
