<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import KeyButton from './KeyButton.vue'

/** Something to be told across a panel: a shape and a colour by kind, acts at its end, undo where it can be undone. */
withDefaults(defineProps<{ kind?: 'told' | 'doubt' | 'wrong'; undo?: boolean; undoKey?: string }>(), {
  kind: 'told',
  undoKey: undefined,
})
defineEmits<{ undo: [] }>()
const { t } = useI18n()
const TYPES = { told: 'primary', doubt: 'warning', wrong: 'error' } as const
</script>

<template>
  <ElAlert
    class="banner"
    :class="kind"
    :type="TYPES[kind]"
    :closable="false"
    :role="kind === 'wrong' ? 'alert' : 'status'"
  >
    <div class="what"><slot /></div>
    <div v-if="$slots.acts || undo" class="acts">
      <slot name="acts" />
      <KeyButton v-if="undo" :k="undoKey" @click="$emit('undo')">{{ t('app.undo') }}</KeyButton>
    </div>
  </ElAlert>
</template>

<style scoped>
.banner {
  flex: none;
}
.what {
  min-width: 0;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-inline-start: auto;
}
</style>
