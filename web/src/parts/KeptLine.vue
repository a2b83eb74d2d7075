<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useRetention } from '../composables/useRetention'
import HoldForm from './HoldForm.vue'
import KeyButton from './base/KeyButton.vue'
import { day } from './times'

/** For how long an archived document is kept, and what holds it; supervisors can hold it. */
const props = defineProps<{ id: number; supervisor: boolean }>()
const { t } = useI18n()
const { countedFrom } = useRetention()
const { data, load } = useLoad(() =>
  api.GET('/api/archive/{id}/kept', { params: { path: { id: props.id } } }),
)
const holding = ref(false)
const until = computed(() => {
  const kept = data.value?.kept
  if (!kept?.lastDay) return t('retention.keptForGood')
  const over = new Date(`${kept.lastDay}T23:59:59`) < new Date()
  return t(over ? 'retention.keptOver' : 'retention.keptUntil', {
    day: day(kept.lastDay),
    from: countedFrom(kept),
  })
})
function held() {
  holding.value = false
  void load()
}
</script>

<template>
  <p v-if="data?.kept" class="soft">
    {{ until }}
    <span v-if="data.holds.length" class="state doubtful wraps">
      {{ t('retention.heldBy', { holds: data.holds.join(', ') }) }}
    </span>
    <KeyButton v-if="supervisor" @click="holding = true">{{ t('retention.hold') }}</KeyButton>
  </p>
  <ElDrawer v-model="holding" :title="t('retention.holdThese', 1)" size="460px" destroy-on-close>
    <HoldForm :archived="[id]" @done="held" @close="holding = false" />
  </ElDrawer>
</template>
