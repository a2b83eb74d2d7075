<script setup lang="ts">
import { computed } from 'vue'
import type { Schema } from '../api/client'
import { certain } from './figures'
import { useWords } from '../composables/useWords'
import KeyButton from './base/KeyButton.vue'

/** What else a value may be, each on a key; a row of a register with what of it stands on the paper. */
const props = defineProps<{ value: Schema['FieldValue'] }>()
const emit = defineEmits<{ take: [candidate: string] }>()
const { reason } = useWords()

const rows = computed(() => new Map((props.value.rows ?? []).map((row) => [row.value, row])))
const found = computed(() =>
  props.value.candidates.map((value, i) => ({ value, key: `Ctrl+${i + 1}`, row: rows.value.get(value) })),
)
</script>

<template>
  <ul v-if="rows.size" class="rows">
    <li v-for="c in found" :key="c.value">
      <KeyButton :k="c.key" @click.stop="emit('take', c.value)">
        <span class="mono">{{ c.value }}</span>
      </KeyButton>
      <span v-if="c.row" class="why">
        {{ certain(c.row.certainty) }}: {{ c.row.why.map(reason).join('; ') }}
      </span>
    </li>
  </ul>
  <template v-else>
    <KeyButton v-for="c in found" :key="c.value" :k="c.key" @click.stop="emit('take', c.value)">
      <span class="mono">{{ c.value }}</span>
    </KeyButton>
  </template>
</template>

<style scoped>
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
  display: grid;
  gap: 4px;
}
.rows li {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.why {
  font-size: 12.5px;
  color: var(--ink-soft);
}
</style>
