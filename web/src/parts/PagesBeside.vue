<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { archivePicture } from '../api/client'

/** The pages of an archived document as small pictures, each with how many hits are on it. */
defineProps<{ id: number | string; pages: number[]; hits: (page: number) => number }>()
const current = defineModel<number>({ required: true })
const { t } = useI18n()
</script>

<template>
  <nav class="pages" :aria-label="t('board.pages')">
    <button
      v-for="(no, i) in pages"
      :key="no"
      type="button"
      class="on-paper"
      :class="{ on: no === current }"
      :aria-current="no === current || undefined"
      :aria-label="t('pageDesk.page', { no: i + 1 })"
      @click="current = no"
    >
      <img :src="archivePicture(id, no, 200)" alt="" />
      <span class="mono">{{ i + 1 }}</span>
      <span v-if="hits(no)" class="flag">{{ hits(no) }}</span>
    </button>
  </nav>
</template>

<style scoped>
.pages {
  width: 112px;
  flex: none;
  overflow: auto;
  background: var(--ground);
  padding: 8px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
button {
  position: relative;
  border: 1px solid #a9b3bb;
  background: #fff;
  padding: 0;
  cursor: pointer;
  flex: none;
}
button.on {
  outline: 3px solid var(--petrol);
}
img {
  width: 100%;
  aspect-ratio: auto 1 / 1.41;
  display: block;
}
.mono {
  position: absolute;
  left: 4px;
  bottom: 2px;
  font-size: 12px;
  color: var(--ink);
  background: #fff;
}
.flag {
  position: absolute;
  right: 3px;
  top: 3px;
  color: var(--ink);
  background: #facc3c;
  border: 1px solid #8a6a00;
  font-size: 11px;
  padding: 0 4px;
}
</style>
