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
/** A paper with the page that its value was read from, where it was read from one. */
function seen(paper: Paper) {
  const value = paper.values[props.field]
  const page = value?.boxMm && props.trial.pages.find((p) => p.no === value.page)
  return { paper, value, page }
}
const layouts = computed(() => {
  const all = new Map<string, ReturnType<typeof seen>[]>()
  for (const p of props.trial.papers.filter((p) => p.type === props.type).slice(0, MOST)) {
    const layout = p.variant ?? ''
    all.set(layout, [...(all.get(layout) ?? []), seen(p)])
  }
  return [...all].sort(([a], [b]) => a.localeCompare(b))
})
</script>

<template>
  <section v-for="[layout, papers] in layouts" :key="layout">
    <h4 v-if="layout">{{ t('workbench.layout', { name: layout }) }}</h4>
    <ul>
      <li v-for="{ paper: { pages }, value, page } in papers" :key="pages[0]">
        <ElButton link class="to" @click="emit('show', value?.page || pages[0])">
          {{ t('workbench.pagesOf', { pages: pages.join(', ') }, pages.length) }}
        </ElButton>
        <Snippet
          v-if="page"
          :src="pictureOf(batch, page, 1600)"
          :quick="pictureOf(batch, page, 900)"
          :alt="value.value ?? ''"
          :box="value.boxMm"
          :page-width="page.widthMm"
          :page-height="page.heightMm"
          :width="210"
          :height="26"
        />
        <span class="mono" :class="{ doubt: value && isDoubt(value) }" dir="auto">
          {{ value?.value ?? '–' }}
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
