<script setup lang="ts">
/** A control under its label; below it a hint, or what is wrong with what was typed. */
defineProps<{ label: string; hint?: string; error?: string | null }>()
</script>

<template>
  <label class="field-box">
    {{ label }}
    <slot />
    <small v-if="error" class="error" role="alert">{{ error }}</small>
    <small v-else-if="hint" class="soft">{{ hint }}</small>
  </label>
</template>

<style scoped>
.field-box {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.error {
  color: var(--wrong);
}
</style>
