<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { sentenceOf } from './changes'

/** What one version of a stream says otherwise than another one, a sentence for each. */
const props = defineProps<{ changes: Schema['Change'][] }>()
const { t, te } = useI18n()
const all = computed(() =>
  props.changes.map((change) => ({
    how: change.how,
    ...sentenceOf(
      change,
      (key, values) => t(key, values ?? {}),
      (key) => te(key) || te(key, 'en'),
    ),
  })),
)
</script>

<template>
  <p v-if="!changes.length" class="soft">{{ t('changes.none') }}</p>
  <ol v-else class="changes">
    <li v-for="(c, i) in all" :key="i" :class="c.how">
      {{ c.title }}
      <div v-for="d in c.differs" :key="d.name" class="soft" dir="auto">{{ t('changes.to', d) }}</div>
    </li>
  </ol>
</template>

<style scoped>
.changes {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 420px;
  overflow: auto;
}
li {
  padding: 4px 10px;
  border-bottom: 1px solid var(--line-faint);
  border-inline-start: 3px solid var(--line);
  overflow-wrap: anywhere;
}
li.added,
li.changed {
  border-inline-start-color: var(--petrol);
}
li.removed {
  border-inline-start-color: var(--stake);
}
</style>
