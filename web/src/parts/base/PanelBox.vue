<script setup lang="ts">
/** A panel: what it holds as its heading, its acts at the right of it, and the rest below. */
defineProps<{ title?: string; level?: 1 | 2 | 3 }>()
</script>

<template>
  <ElCard class="panel-box" shadow="never">
    <template v-if="title || $slots.acts" #header>
      <component :is="`h${level ?? 2}`" v-if="title" class="title">{{ title }}</component>
      <div v-if="$slots.acts" class="acts"><slot name="acts" /></div>
    </template>
    <slot />
  </ElCard>
</template>

<style scoped>
.title {
  min-width: 0;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-inline-start: auto;
}
</style>
