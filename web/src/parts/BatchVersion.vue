<script setup lang="ts">
import { shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import ChangeList from './ChangeList.vue'
import KeyButton from './base/KeyButton.vue'

/** The version that a batch goes by, and where a newer one is in force what that would make of it. */
const props = defineProps<{ no: string }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const newer = shallowRef<Schema['NewerVersion']>()
const params = { path: { no: props.no } }
const load = async () => (newer.value = (await api.GET('/api/batches/{no}/version', { params })).data)
void load()
async function move() {
  const { error } = await api.POST('/api/batches/{no}/version', {
    params,
    body: { version: newer.value!.newest },
  })
  if (error) tell(error)
  await load()
  emit('changed')
}
</script>

<template>
  <section v-if="newer && newer.version < newer.newest" class="newer">
    <h3>{{ t('card.newer.title', { n: newer.newest, was: newer.version }) }}</h3>
    <p>
      {{ t('card.newer.documents', { now: newer.documents, then: newer.documentsThen }) }}
      {{ t('card.newer.doubts', { now: newer.doubts, then: newer.doubtsThen }) }}
      {{ t('card.newer.values', newer.values) }}
    </p>
    <p v-if="newer.readAgain" class="soft">{{ t('card.newer.readAgain') }}</p>
    <ChangeList :changes="newer.says" />
    <KeyButton @click="move">{{ t('card.newer.move', { n: newer.newest }) }}</KeyButton>
  </section>
</template>

<style scoped>
.newer {
  border-top: 1px solid var(--line-faint);
  padding: 6px 0;
}
</style>
