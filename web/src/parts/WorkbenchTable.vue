<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import type { Draft } from './draft'

/** All papers of the samples by all fields of their types; those with something to be looked at come first. */
const props = defineProps<{ papers: Schema['TriedDocument'][]; draft: Draft | null; page: number }>()
const emit = defineEmits<{ show: [page: number]; field: [type: string, field: string] }>()
const { t } = useI18n()
type Paper = Schema['TriedDocument']
const types = computed(() => [...new Set(props.papers.map((p) => p.type))])
const titles = (type: string) => {
  const fields = props.draft?.types?.find((x) => x.type === type)?.fields ?? []
  return fields.map((f) => ({ name: f.field, title: f.title ?? f.field }))
}
const isDoubt = (v?: Schema['FieldValue']) =>
  !!v && (['doubtful', 'wrong'].includes(v.state) || (v.state === 'empty' && v.reasons.length > 0))
const doubts = (p: Paper) => Object.values(p.values).filter(isDoubt).length + (p.doubtful ? 1 : 0)
const rows = (type: string) =>
  props.papers.filter((p) => p.type === type).sort((a, b) => doubts(b) - doubts(a) || a.pages[0] - b.pages[0])
/** What the saved version has there, where it makes the same paper and says something else. */
const before = (p: Paper, field: string) =>
  field in p.saved && (p.saved[field] ?? null) !== (p.values[field]?.value ?? null)
    ? (p.saved[field] ?? t('workbench.nothing'))
    : null
</script>

<template>
  <div class="all" role="region" :aria-label="t('workbench.table')" tabindex="0">
    <p v-if="!papers.length" class="soft empty">{{ t('workbench.noPapers') }}</p>
    <table v-for="type in types" :key="type">
      <thead>
        <tr>
          <th scope="col">{{ rows(type)[0].title }}</th>
          <th v-for="f in titles(type)" :key="f.name" scope="col">
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
            <span v-if="p.doubtful" class="state doubtful">{{ t('workbench.typeDoubt') }}</span>
          </th>
          <td
            v-for="f in titles(type)"
            :key="f.name"
            :class="[p.values[f.name]?.state, { doubt: isDoubt(p.values[f.name]), other: before(p, f.name) }]"
            @click="emit('show', p.values[f.name]?.page || p.pages[0])"
          >
            <span class="mono" dir="auto">{{ p.values[f.name]?.value ?? '–' }}</span>
            <small v-if="before(p, f.name)">{{ t('workbench.was', { value: before(p, f.name) }) }}</small>
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
