<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { isDoubt } from '../composables/useBatch'

/** One value in the table: its state as a shape, and the line it is typed in while the hand is at it. */
const props = defineProps<{ value: Schema['FieldValue'] | undefined; current: boolean; chosen: boolean }>()
const draft = defineModel<string | null>()
const { t } = useI18n()
const input = ref<InputInstance>()

watch(
  () => props.current && draft.value !== null,
  async (typing) => {
    if (!typing) return
    await nextTick()
    input.value?.focus()
  },
)
</script>

<template>
  <div class="cell" :class="{ current, chosen, doubt: value && isDoubt(value) }">
    <ElInput
      v-if="current && draft !== null"
      ref="input"
      :model-value="draft ?? ''"
      class="mono typed"
      size="small"
      autocomplete="off"
      spellcheck="false"
      @update:model-value="(text: string) => (draft = text)"
    />
    <template v-else-if="value">
      <span class="state" :class="value.state" :title="t(`indexDesk.${value.state}`)" />
      <span class="text mono" dir="auto">{{ value.value ?? '' }}</span>
    </template>
  </div>
</template>

<style scoped>
.cell {
  display: flex;
  align-items: center;
  gap: 6px;
  width: 100%;
  height: 100%;
  padding: 0 8px;
  cursor: default;
  border: 2px solid transparent;
  min-width: 0;
}
.cell.doubt {
  background: var(--doubt-pale);
}
.cell.chosen {
  background: var(--petrol-pale);
}
.cell.current {
  border-color: var(--petrol);
  background: var(--field);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.state {
  flex: none;
}
.typed {
  width: 100%;
  font-size: 15px;
}
</style>
