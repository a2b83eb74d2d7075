<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import KeyButton from './base/KeyButton.vue'

/** One line to be typed before something is written down: why, or what. */
const props = defineProps<{ label: string; given?: string; act?: string }>()
const emit = defineEmits<{ said: [text: string]; close: [] }>()
const { t } = useI18n()
const text = ref(props.given ?? '')
const input = ref<InputInstance>()
onMounted(() => input.value?.focus())
const say = () => text.value.trim() && emit('said', text.value.trim())
</script>

<template>
  <form class="asking row" @submit.prevent="say" @keydown.esc="emit('close')">
    <label for="reason-typed">{{ label }}</label>
    <ElInput id="reason-typed" ref="input" v-model="text" maxlength="400" required />
    <KeyButton main submit k="Enter">
      {{ act ?? t('gap.say') }}
    </KeyButton>
    <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
  </form>
</template>

<style scoped>
.asking {
  flex-wrap: wrap;
  gap: 8px;
  padding: 6px 14px;
  background: var(--doubt-pale);
  border-bottom: 1px solid var(--line);
}
.asking .el-input {
  flex: 1 1 180px;
}
</style>
