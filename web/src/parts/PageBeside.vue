<script setup lang="ts">
import { pictureOf } from '../api/client'

/** A page that is looked at together with the one on the desk: the page before it, or what its type looks like. */
defineProps<{ no: string; page: { no: number; rotation: number }; caption: string }>()
</script>

<template>
  <figure class="before">
    <img :src="pictureOf(no, page, 900)" :alt="caption" />
    <figcaption>{{ caption }}</figcaption>
  </figure>
</template>

<style scoped>
.before {
  flex: 1 1 0;
  min-width: 0;
  margin: 0;
  padding: 8px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  background: var(--ground);
  border-inline-end: 1px solid var(--line);
}
img {
  flex: 1;
  min-height: 0;
  object-fit: contain;
  object-position: top;
}
figcaption {
  font-size: 12.5px;
  color: var(--ink-soft);
  text-align: center;
}
</style>
