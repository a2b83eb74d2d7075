<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { isDoubt } from '../composables/useBatch'
import type { Paper } from './papers'
import Snippet from './Snippet.vue'

/** One field on every paper of its type, by layout: the piece of paper beside what is read there. */
const props = defineProps<{ trial: Schema['Trial']; batch: string; type: string; field: string }>()
const emit = defineEmits<{ show: [page: number] }>()
const { t } = useI18n()
const MOST = 40
const layouts = computed(() => {
  const its = props.trial.papers.filter((p) => p.type === props.type).slice(0, MOST)
  const all = new Map<string, Paper[]>()
  for (const p of its) all.set(p.variant ?? '', [...(all.get(p.variant ?? '') ?? []), p])
  return [...all].sort(([a], [b]) => a.localeCompare(b))
})
const sheet = (no?: number) => props.trial.pages.find((p) => p.no === no)
const pieceOf = (p: Paper) => {
  const value = p.values[props.field]
  const page = sheet(value?.page)
  return page && value.boxMm ? { page, value, box: value.boxMm } : null
}
</script>

<template>
  <section v-for="[layout, papers] in layouts" :key="layout">
    <h4 v-if="layout">{{ t('workbench.layout', { name: layout }) }}</h4>
    <ul>
      <li v-for="p in papers" :key="p.pages[0]">
        <ElButton link class="to" @click="emit('show', p.values[field]?.page || p.pages[0])">
          {{ t('workbench.pagesOf', { pages: p.pages.join(', ') }, p.pages.length) }}
        </ElButton>
        <Snippet
          v-if="pieceOf(p)"
          :src="pictureOf(batch, pieceOf(p)!.page, 1600)"
          :quick="pictureOf(batch, pieceOf(p)!.page, 900)"
          :alt="p.values[field].value ?? ''"
          :box="pieceOf(p)!.box"
          :page-width="pieceOf(p)!.page.widthMm"
          :page-height="pieceOf(p)!.page.heightMm"
          :width="210"
          :height="26"
        />
        <span class="mono" :class="{ doubt: p.values[field] && isDoubt(p.values[field]) }" dir="auto">
          {{ p.values[field]?.value ?? '–' }}
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 3px 0;
  border-bottom: 1px solid var(--line-faint);
}
h4 {
  margin: 8px 0 2px;
}
.doubt {
  background: var(--doubt-pale);
}
.to {
  color: var(--petrol);
}
</style>
