<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { clock } from './times'

/** What is wrong with a delivery, and what a person can say is to become of it. */
const props = defineProps<{ delivery: Schema['DeskDelivery']; busy: boolean }>()
const emit = defineEmits<{ fate: [fate: 'now' | 'rename' | 'number' | 'leaveOut', name?: string] }>()
const { t } = useI18n()
const renaming = ref(false)
const name = ref('')
const input = ref<HTMLInputElement | null>(null)

async function rename() {
  name.value = props.delivery.path.split('/').pop() ?? ''
  renaming.value = true
  await nextTick()
  input.value?.select()
}
function done() {
  if (!name.value.trim()) return
  emit('fate', 'rename', name.value)
  renaming.value = false
}
</script>

<template>
  <div class="fate">
    <div class="reason">
      {{ delivery.reason }}<template v-if="delivery.nextAt">. {{ t('filing.nextTry', { time: clock(delivery.nextAt) }) }}</template>
    </div>
    <form v-if="renaming" class="row" @submit.prevent="done">
      <input ref="input" v-model="name" class="mono" :aria-label="t('filing.otherName')" @keydown.esc.stop="renaming = false" />
      <button class="act main" :disabled="busy || !name.trim()">{{ t('filing.rename') }}</button>
      <button class="act" type="button" @click="renaming = false">{{ t('filing.notSo') }}</button>
    </form>
    <div v-else class="row">
      <button class="act" :disabled="busy" @click="emit('fate', 'now')">{{ t('filing.now') }}</button>
      <template v-if="delivery.state === 'refused'">
        <button class="act" :disabled="busy" @click="rename">{{ t('filing.otherName') }}</button>
        <button class="act" :disabled="busy" @click="emit('fate', 'number')">{{ t('filing.number') }}</button>
      </template>
      <button class="act" :disabled="busy" @click="emit('fate', 'leaveOut')">{{ t('filing.leaveOut') }}</button>
    </div>
  </div>
</template>

<style scoped>
.fate { padding: 2px 6px 8px; display: flex; flex-direction: column; gap: 5px; }
.fate .row { gap: 6px; flex-wrap: wrap; }
.reason { color: var(--wrong); font-size: 13.5px; overflow-wrap: anywhere; }
input { flex: 1; min-width: 180px; }
</style>
