<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'

/** Pages and files of a batch that could not be read, each with its reason and a way to have it tried again. */
const props = defineProps<{ no: string; items: Schema['NotRead'][]; locked: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const { unread } = useWords()
const busy = ref(false)

async function again(item: Schema['NotRead']) {
  busy.value = true
  const { error } = item.page
    ? await api.POST('/api/batches/{no}/pages/{page}/try-again', {
        params: { path: { no: props.no, page: item.page } },
      })
    : await api.POST('/api/batches/{no}/files/{file}/try-again', {
        params: { path: { no: props.no, file: item.fileId } },
      })
  busy.value = false
  if (error) tell(error)
  emit('changed')
}
</script>

<template>
  <ul v-if="items.length" class="not-read">
    <li v-for="(r, i) in items" :key="i" class="row">
      <span>
        <b>{{ r.page ? t('notRead.page', { n: r.page }) : t('notRead.file') }}:</b>
        {{ r.filePage ? t('pageDesk.from', { file: r.file, p: r.filePage }) : r.file }}:
        {{ unread(r.reason) }}
      </span>
      <span class="stretch" />
      <KeyButton :disabled="locked || busy" @click="again(r)">{{ t('notRead.again') }}</KeyButton>
    </li>
  </ul>
</template>

<style scoped>
.not-read {
  margin: 0;
  padding: 6px 14px;
  list-style: none;
  background: var(--wrong-pale);
  color: var(--wrong);
  max-height: 140px;
  overflow: auto;
  flex: none;
}
li {
  padding: 3px 0;
  gap: 12px;
}
li > span:first-child {
  min-width: 0;
  overflow-wrap: anywhere;
}
.act {
  flex: none;
}
</style>
