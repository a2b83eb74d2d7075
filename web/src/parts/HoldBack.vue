<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import AskReason from './AskReason.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'

/** A document that goes nowhere when its batch is filed, until somebody releases it. */
const props = defineProps<{ no: string; document: number; held?: Schema['HeldDocument']; begun: boolean }>()
const emit = defineEmits<{ planned: [plan: Schema['Plan']] }>()
const { t } = useI18n()
const busy = ref(false)
const asking = ref(false)
watch(
  () => props.document,
  () => (asking.value = false),
)

async function say(why: string | null) {
  if (busy.value) return
  asking.value = false
  busy.value = true
  const { data, error } = await api.POST('/api/batches/{no}/filing/hold-back', {
    params: { path: { no: props.no } },
    body: { document: props.document, why: why as never },
  })
  busy.value = false
  if (data) emit('planned', data)
  else tell(error)
}
function turn() {
  if (props.held) void say(null)
  else if (!props.begun) asking.value = true
}
useKeys([{ key: 'H', on: ['h', 'H'], label: t('filing.holdOrRelease'), run: turn }])
</script>

<template>
  <AskReason
    v-if="asking"
    :label="t('filing.whyHeldBack', { n: document })"
    :act="t('filing.holdBack')"
    @said="say"
    @close="asking = false"
  />
  <NoteBanner v-else-if="held" kind="doubt">
    {{ t('filing.isHeldBack', { n: document, by: held.by, why: held.why }) }}
    <template #acts>
      <KeyButton :disabled="busy" k="H" @click="turn">{{ t('filing.release') }}</KeyButton>
    </template>
  </NoteBanner>
  <div v-else-if="!begun" class="row bar">
    <strong>{{ t('filing.document', { n: document }) }}</strong>
    <span class="stretch" />
    <KeyButton :disabled="busy" k="H" @click="turn">{{ t('filing.holdBack') }}</KeyButton>
  </div>
</template>

<style scoped>
.bar {
  padding: 5px 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
</style>
