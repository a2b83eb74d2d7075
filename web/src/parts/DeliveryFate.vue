<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
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
/** What is being typed: another name, or why it is left out. */
const asking = ref<Remedy | null>(null)
const text = ref('')
const input = ref<InputInstance>()
const planned = computed(() => !props.delivery.id)

async function ask(remedy: Remedy) {
  text.value =
    remedy === 'leaveOut'
      ? ''
      : planned.value
        ? props.delivery.path
        : (props.delivery.path.split('/').pop() ?? '')
  asking.value = remedy
  await nextTick()
  input.value?.select()
}
/** A delivery that was tried is left out without a word more: what was tried says why. */
function choose(remedy: Remedy) {
  if (remedy === 'rename' || (remedy === 'leaveOut' && planned.value)) void ask(remedy)
  else emit('fate', remedy)
}
function done() {
  if (!text.value.trim() || !asking.value) return
  emit('fate', asking.value, text.value)
  asking.value = null
}
</script>

<template>
  <div class="fate">
    <div v-if="delivery.reason" class="reason">
      {{ worded(delivery.reason) }}
      <template v-if="delivery.nextAt">{{ t('filing.nextTry', { time: clock(delivery.nextAt) }) }}</template>
    </div>
    <form v-if="asking" class="row" @submit.prevent="done">
      <ElInput
        ref="input"
        v-model="text"
        :class="{ mono: asking === 'rename' }"
        maxlength="400"
        :aria-label="t(asking === 'rename' ? 'filing.otherName' : 'filing.whyLeftOut')"
        :placeholder="asking === 'rename' ? '' : t('filing.whyLeftOut')"
        @keydown.esc.stop="asking = null"
      />
      <KeyButton :disabled="busy || !text.trim()" main submit>
        {{ t(asking === 'rename' ? 'filing.rename' : 'filing.remedies.leaveOut') }}
      </KeyButton>
      <KeyButton @click="asking = null">{{ t('filing.notSo') }}</KeyButton>
    </form>
    <div v-else class="row">
      <KeyButton v-for="r in delivery.remedies" :key="r" :disabled="busy" @click="choose(r)">
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
