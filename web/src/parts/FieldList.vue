<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { DraftField } from './draft'

/** The fields of a type, to be opened one by one. */
defineProps<{ fields: DraftField[] }>()
const emit = defineEmits<{ open: [field: string] }>()
const { t } = useI18n()
</script>

<template>
  <ul>
    <li v-for="f in fields" :key="f.field">
      <ElButton link class="to" @click="emit('open', f.field)">{{ f.title ?? f.field }}</ElButton>
      <span class="soft">{{ t(`fieldParts.kind.${f.kind ?? 'text'}`) }}</span>
    </li>
    <li v-if="!fields.length" class="soft">{{ t('workbench.noFields') }}</li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0 8px;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 3px 0;
}
.to {
  color: var(--petrol);
}
</style>
