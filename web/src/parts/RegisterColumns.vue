<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { share } from './figures'

/** What each column holds and how well it tells one row from the others. */
defineProps<{ columns: Schema['RegisterColumn'][]; rows: number }>()
const { t } = useI18n()
</script>

<template>
  <dl class="columns">
    <div v-for="c in columns" :key="c.column">
      <dt class="mono">{{ c.column }}</dt>
      <dd>
        {{ t(`registers.kind.${c.kind}`) }},
        {{
          c.different === rows
            ? t('registers.allDiffer')
            : t('registers.differ', { share: share(c.different, rows) })
        }}
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.columns {
  margin: 0 0 10px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 6px 16px;
}
dd {
  margin: 0;
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
