<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { titlesOf, type Draft } from './draft'
import { isDoubt } from '../composables/useBatch'
import KeyButton from './base/KeyButton.vue'
import { isOther, isWrong, toSee } from './papers'

/** All papers of the samples by all fields of their types; those with something to be looked at come first. */
const props = defineProps<{
  trial: Schema['Trial'] | null
  draft: Draft | null
  page: number
  /** Whether it can be said what is right on them. */
  samples: boolean
}>()
const emit = defineEmits<{
  show: [page: number]
  field: [type: string, field: string]
  right: []
  say: []
  /** The paper at hand, of a batch, is to be a sample. */
  keep: []
}>()
const { t } = useI18n()
const papers = computed(() => props.trial?.papers ?? [])
const types = computed(() => [...new Set(papers.value.map((p) => p.type))])
const rows = (type: string) =>
  papers.value.filter((p) => p.type === type).sort((a, b) => toSee(b) - toSee(a) || a.pages[0] - b.pages[0])
const said = (value?: string | null) => value ?? t('workbench.nothing')
/** Papers that are not cut or sorted as somebody said is right. */
const misplaced = computed(() => (props.trial?.wrong ?? []).filter((w) => w.what !== 'value'))
const told = (w: Schema['ReplayedPlace']) =>
  w.what === 'cut'
    ? t(`workbench.right.${w.confirmed === 'begins' ? 'begins' : 'continues'}`, { page: w.page })
    : t('workbench.right.type', { page: w.page, right: w.confirmed, said: said(w.after) })
</script>

<template>
  <div class="all" role="region" :aria-label="t('workbench.table')" tabindex="0">
    <p v-if="!papers.length" class="soft empty">{{ t('workbench.noPapers') }}</p>
    <div v-else-if="samples" class="row acts">
      <KeyButton k="C" @click="emit('right')">{{ t('workbench.right.asRead') }}</KeyButton>
      <KeyButton k="E" @click="emit('say')">{{ t('workbench.right.put') }}</KeyButton>
    </div>
    <div v-else class="row acts">
      <KeyButton k="K" @click="emit('keep')">{{ t('workbench.keepPaper') }}</KeyButton>
    </div>
    <p v-for="(w, i) in misplaced" :key="i" class="misplaced">
      <ElButton link class="to" @click="emit('show', w.page)">✕ {{ told(w) }}</ElButton>
    </p>
    <table v-for="type in types" :key="type">
      <thead>
        <tr>
          <th scope="col">{{ rows(type)[0].title }}</th>
          <th v-for="f in titlesOf(draft, type)" :key="f.name" scope="col">
            <ElButton link @click="emit('field', type, f.name)">{{ f.title }}</ElButton>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in rows(type)" :key="p.pages[0]" :class="{ now: p.pages.includes(page) }">
          <th scope="row">
            <ElButton link class="to" @click="emit('show', p.pages[0])">
              {{ t('workbench.pagesOf', { pages: p.pages.join(', ') }, p.pages.length) }}
            </ElButton>
            <span v-if="p.right" class="soft" :title="t('workbench.right.said')">✓</span>
            <span v-if="p.doubtful" class="state doubtful">{{ t('workbench.typeDoubt') }}</span>
          </th>
          <td
            v-for="f in titlesOf(draft, type)"
            :key="f.name"
            :class="{
              doubt: p.values[f.name] && isDoubt(p.values[f.name]),
              other: isOther(p, f.name),
              wrong: isWrong(p, f.name),
            }"
            @click="emit('show', p.values[f.name]?.page || p.pages[0])"
          >
            <span class="mono" dir="auto">{{ p.values[f.name]?.value ?? '–' }}</span>
            <small v-if="isWrong(p, f.name)" class="cross">
              ✕ {{ t('workbench.right.is', { value: said(p.right![f.name]) }) }}
            </small>
            <small v-if="isOther(p, f.name)">
              {{ t('workbench.was', { value: said(p.saved[f.name]) }) }}
            </small>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.all {
  overflow: auto;
  height: 100%;
  background: var(--field);
}
.acts {
  padding: 6px 10px;
}
.empty {
  padding: 12px;
}
table {
  border-collapse: collapse;
  margin-bottom: 10px;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--panel);
  z-index: 1;
}
th,
td {
  text-align: start;
  padding: 3px 10px;
  border-bottom: 1px solid var(--line-faint);
  white-space: nowrap;
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
  font-weight: 400;
}
thead th {
  font-weight: 600;
}
td {
  cursor: pointer;
}
td.doubt {
  background: var(--doubt-pale);
}
td.wrong {
  background: var(--wrong-pale);
}
.cross,
.misplaced {
  color: var(--stake);
}
.misplaced {
  margin: 4px 10px;
}
td.other {
  border-inline-start: 3px solid var(--petrol);
}
tr.now {
  background: var(--petrol-pale);
}
small {
  display: block;
  color: var(--ink-soft);
}
.to {
  color: var(--petrol);
}
</style>
