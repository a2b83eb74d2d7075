<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { share } from './figures'

/** What each column holds and how well it tells one row from the others. */
defineProps<{ columns: Schema['RegisterColumn'][]; rows: number; maySay?: boolean }>()
type Kind = Schema['RegisterColumn']['kind']
const emit = defineEmits<{ say: [column: string, kind: Kind | null] }>()
const { t } = useI18n()
/** Nobody said: it holds what its values look like. An empty value would show nothing. */
const LOOKS = 'looks'
const KINDS: Kind[] = ['name', 'telephone', 'date', 'street', 'number', 'text']
</script>

<template>
  <dl class="columns">
    <div v-for="c in columns" :key="c.column">
      <dt class="mono">{{ c.column }}</dt>
      <dd>
        <ElSelect
          v-if="maySay"
          class="kind"
          size="small"
          :model-value="c.said ? c.kind : LOOKS"
          :aria-label="t('registers.holds', { column: c.column })"
          @change="(kind: Kind | typeof LOOKS) => emit('say', c.column, kind === LOOKS ? null : kind)"
        >
          <ElOption
            :value="LOOKS"
            :label="
              c.said ? t('registers.asLooks') : t('registers.looks', { kind: t(`registers.kind.${c.kind}`) })
            "
          />
          <ElOption v-for="k in KINDS" :key="k" :value="k" :label="t(`registers.kind.${k}`)" />
        </ElSelect>
        <template v-else>{{ t(`registers.kind.${c.kind}`) }},</template>
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
.kind {
  width: 100%;
}
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
