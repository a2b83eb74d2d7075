<script setup lang="ts">
/** A question about what is at hand, asked where its answer goes: a title, the answer, and below it what to do. */
defineProps<{ title: string }>()
const emit = defineEmits<{ submit: []; close: [] }>()
</script>

<template>
  <form class="ask" @submit.prevent="emit('submit')" @keydown.esc.stop="emit('close')">
    <h3>{{ title }}</h3>
    <slot />
    <div class="row"><slot name="acts" /></div>
  </form>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
  padding: 10px;
  margin-bottom: 10px;
  border: 1px solid var(--petrol);
  background: var(--petrol-pale);
}
h3,
.ask :slotted(p) {
  margin: 0;
}
</style>
