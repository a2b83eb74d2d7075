<script setup lang="ts">
/** A button with its key shown on it; pass `main` for what is done next on a screen, `submit` inside a form. */
defineProps<{ k?: string | number; main?: boolean; submit?: boolean }>()
</script>

<template>
  <ElButton
    class="act"
    :class="{ main }"
    :type="main ? 'primary' : undefined"
    :native-type="submit ? 'submit' : 'button'"
  >
    <slot />
    <!-- The space parts the words from the key where they are read out. -->
    <template v-if="k">
      {{ ' ' }}
      <kbd>{{ k }}</kbd>
    </template>
  </ElButton>
</template>
