<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import { worded, type Schema } from '../api/client'
import { clock } from './times'
import KeyButton from './base/KeyButton.vue'

/** What is wrong with a delivery, and what a person can say is to become of it. */
type Remedy = Schema['DeskDelivery']['remedies'][number]
const props = defineProps<{ delivery: Schema['DeskDelivery']; busy: boolean }>()
const emit = defineEmits<{ fate: [fate: Remedy, name?: string] }>()
const { t } = useI18n()
const renaming = ref(false)
const name = ref('')
const input = ref<InputInstance>()

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
      {{ worded(delivery.reason) }}
      <template v-if="delivery.nextAt">{{ t('filing.nextTry', { time: clock(delivery.nextAt) }) }}</template>
    </div>
    <form v-if="renaming" class="row" @submit.prevent="done">
      <ElInput
        ref="input"
        v-model="name"
        class="mono"
        :aria-label="t('filing.otherName')"
        @keydown.esc.stop="renaming = false"
      />
      <KeyButton :disabled="busy || !name.trim()" main submit>{{ t('filing.rename') }}</KeyButton>
      <KeyButton @click="renaming = false">{{ t('filing.notSo') }}</KeyButton>
    </form>
    <div v-else class="row">
      <KeyButton
        v-for="r in delivery.remedies"
        :key="r"
        :disabled="busy"
        @click="r === 'rename' ? rename() : emit('fate', r)"
      >
        {{ t(`filing.remedies.${r}`) }}
      </KeyButton>
    </div>
  </div>
</template>

<style scoped>
.fate {
  padding: 2px 6px 8px;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.fate .row {
  gap: 6px;
  flex-wrap: wrap;
}
.reason {
  color: var(--wrong);
  font-size: 13.5px;
  overflow-wrap: anywhere;
}
.el-input {
  flex: 1;
  min-width: 180px;
}
</style>
