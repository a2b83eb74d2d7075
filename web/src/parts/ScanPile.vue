<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWords } from '../composables/useWords'
import type { Schema } from '../api/client'

/** Pages as they arrive, the newest in sight; of many, every so manieth and the last. */
const props = defineProps<{ batch: string | null; pages: Schema['Arriving'][]; every: number }>()
const { t } = useI18n()
const { sheet } = useWords()
/** What each field was said to be last, by a barcode on some page so far. */
const said = computed(() => {
  const last = new Map<string, { value: string; page: number }>()
  for (const p of props.pages) for (const s of p.says) last.set(s.field, { value: s.value, page: p.no })
  return [...last].map(([field, of]) => ({ field, ...of }))
})
const pile = ref<HTMLElement>()
const shown = computed(() =>
  props.pages.filter((_, i) => i % props.every === 0 || i === props.pages.length - 1),
)
watch(
  () => props.pages.length,
  async (n, before) => {
    await nextTick()
    if (n > before) pile.value?.scrollTo({ top: pile.value.scrollHeight })
  },
)
</script>

<template>
  <div ref="pile" class="pile" aria-live="polite">
    <figure v-for="p in shown" :key="p.no" :class="{ unread: !p.read }">
      <img :src="`/api/batches/${batch}/arriving/${p.no}/picture`" loading="lazy" alt="" />
      <figcaption>
        <span class="mono no">{{ p.no }}</span>
        <span v-if="p.sheet" class="soft">
          {{ sheet(p.sheet.no, p.sheet.side) }}
        </span>
        <span v-if="p.rejected" class="state wrong">{{ t('scan.unreadable') }}</span>
        <span v-for="s in p.says" :key="s.field + s.value" class="mono code" :title="s.field">
          {{ s.value }}
        </span>
      </figcaption>
    </figure>
    <dl v-if="said.length" class="said">
      <div v-for="s in said" :key="s.field" class="row">
        <dt class="soft">{{ s.field }}</dt>
        <dd class="mono" dir="auto">{{ s.value }}</dd>
        <dd class="soft">{{ t('scan.saidOn', { n: s.page }) }}</dd>
      </div>
    </dl>
    <p v-if="!pages.length" class="soft wait">{{ batch ? t('scan.waiting') : t('scan.lead') }}</p>
  </div>
</template>

<style scoped>
.pile {
  flex: 1;
  min-height: 150px;
  overflow: auto;
  background: var(--ground);
  border: 1px solid var(--line);
  padding: 10px;
  display: flex;
  flex-wrap: wrap;
  align-content: flex-start;
  gap: 10px;
}
.no {
  margin-inline-end: 6px;
}
.said {
  position: sticky;
  inset-block-end: -10px;
  flex: none;
  width: calc(100% + 20px);
  margin: auto -10px -10px;
  padding: 6px 12px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.said dd {
  margin: 0;
}
.said .mono {
  font-size: 17px;
}
.code {
  display: block;
  overflow-wrap: anywhere;
}
.pile:has(.wait) {
  align-content: center;
}
.wait {
  margin: auto;
}
figure {
  margin: 0;
  width: 104px;
  border-bottom: 2px solid #8895a0;
}
img {
  width: 100%;
  height: 140px;
  object-fit: contain;
  background: #fff;
  display: block;
  border: 1px solid #a9b3bb;
}
.unread img {
  opacity: 0.75;
}
figcaption {
  font-size: 12.5px;
  padding: 2px 0;
}
</style>
