<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, tell } from '../api/client'
import { useKeys } from '../composables/useKeys'
import AskReason from './AskReason.vue'
import KeyButton from './base/KeyButton.vue'

/** What can be done about a batch whose filing has begun: look whether all of it lies there, or take it back. */
const props = defineProps<{ no: string; refused: number; done: boolean }>()
const emit = defineEmits<{ taken: [plan: Schema['Plan']]; board: [] }>()
const { t } = useI18n()
const params = { path: { no: props.no } }
const busy = ref(false)
const asking = ref(false)
const told = ref('')

async function check() {
  if (busy.value) return
  busy.value = true
  const { data, error } = await api.POST('/api/batches/{no}/filing/check', { params })
  busy.value = false
  if (data) told.value = t('filing.checking')
  else tell(error)
}
async function takeBack(why: string) {
  asking.value = false
  const { data, error } = await api.POST('/api/batches/{no}/filing/take-back', { params, body: { why } })
  if (data) emit('taken', data)
  else tell(error)
}
useKeys([
  { key: 'V', on: ['v', 'V'], label: t('filing.check'), run: () => void check() },
  { key: 'T', on: ['t', 'T'], label: t('filing.takeBack'), run: () => (asking.value = true) },
])
</script>

<template>
  <AskReason
    v-if="asking"
    class="why"
    :label="t('filing.takeBackWhy')"
    :act="t('filing.takeBack')"
    @said="takeBack"
    @close="asking = false"
  />
  <template v-else>
    <span v-if="refused" class="state wrong">{{ t('filing.needsYou', refused) }}</span>
    <span v-else class="state" :class="done ? 'settled' : 'empty'">
      {{ done ? t('filing.filed') : t('filing.underWay') }}
    </span>
    <span v-if="told" class="soft">{{ told }}</span>
    <KeyButton :disabled="busy" k="T" @click="asking = true">{{ t('filing.takeBack') }}</KeyButton>
    <KeyButton :disabled="busy" k="V" @click="check">{{ t('filing.check') }}</KeyButton>
    <KeyButton main k="Enter" @click="emit('board')">{{ t('filing.toBoard') }}</KeyButton>
  </template>
</template>

<style scoped>
.why {
  flex: 3;
}
</style>
