<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'

/** Why a batch cannot be worked on now: being read, filed, withdrawn, held, or with a colleague who can be relieved. */
const props = defineProps<{ batch: Schema['BatchDetail'] }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const why = computed(() => {
  const { free, filed, withdrawn, onHold, stage, with: who } = props.batch
  if (withdrawn) return t('board.withdrawnBecause', { why: withdrawn })
  if (filed) return t('pageDesk.filed')
  if (stage === 'intake') return t('pageDesk.beingRead')
  if (free) return ''
  return onHold ? t('board.onHold', { why: onHold }) : t('card.withOther', { who: who ?? '' })
})
const ofColleague = computed(() => {
  const { filed, withdrawn, onHold, stage } = props.batch
  return !filed && !withdrawn && !onHold && stage !== 'intake'
})

async function takeIt() {
  const { error } = await api.POST('/api/batches/{no}/take', {
    params: { path: { no: props.batch.no } },
    body: { over: true },
  })
  if (error) tell(error)
  emit('changed')
}
</script>

<template>
  <NoteBanner v-if="why" :kind="batch.filed || batch.stage === 'intake' ? 'told' : 'doubt'">
    {{ why }}
    <template v-if="ofColleague" #acts>
      <KeyButton @click="takeIt">{{ t('card.takeOver') }}</KeyButton>
    </template>
  </NoteBanner>
</template>
