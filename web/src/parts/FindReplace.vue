<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import KeyButton from './base/KeyButton.vue'

/** What is to be found in the values and what stands there then, in one column or in all. */
defineProps<{ title: string }>()
const emit = defineEmits<{ replace: [find: string, by: string, everywhere: boolean]; close: [] }>()
const { t } = useI18n()
const find = ref('')
const by = ref('')
const everywhere = ref(false)
const input = ref<InputInstance>()
onMounted(() => input.value?.focus())
</script>

<template>
  <form
    class="finding row"
    @submit.prevent="find && emit('replace', find, by, everywhere)"
    @keydown.esc="emit('close')"
  >
    <label for="find-what">{{ t('table.find') }}</label>
    <ElInput id="find-what" ref="input" v-model="find" class="mono" maxlength="200" />
    <label for="find-by">{{ t('table.by') }}</label>
    <ElInput id="find-by" v-model="by" class="mono" maxlength="200" />
    <ElCheckbox v-model="everywhere">{{ t('table.everywhere', { title }) }}</ElCheckbox>
    <KeyButton main submit k="Enter" :disabled="!find">{{ t('table.replaceAll') }}</KeyButton>
    <KeyButton k="Esc" @click="emit('close')">{{ t('app.close') }}</KeyButton>
  </form>
</template>

<style scoped>
.finding {
  gap: 8px;
  padding: 6px 12px;
  background: var(--doubt-pale);
  border-bottom: 1px solid var(--line);
}
.finding .el-input {
  width: 180px;
}
</style>
