<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { without } from './query'

/** What a search was understood as, part by part; each can be taken off. */
defineProps<{ line: string; parts: Schema['Understood'][] }>()
defineEmits<{ ask: [line: string] }>()
const { t } = useI18n()
</script>

<template>
  <template v-for="p in parts" :key="p.from">
    <span v-if="p.or" class="soft">{{ t('archive.or') }}</span>
    <ElTag
      closable
      disable-transitions
      :type="p.nothing ? 'info' : p.instead.length ? 'warning' : undefined"
      @close="$emit('ask', without(line, p))"
    >
      <span v-if="p.not" class="soft after">{{ t('archive.not') }}</span>
      <span v-if="p.field" class="soft after">{{ p.field }}</span>
      <b :class="{ gone: p.instead.length || p.nothing }" dir="auto">{{ p.text }}</b>
      <span v-if="p.nothing" class="soft before">{{ t('archive.nothing') }}</span>
      <template v-if="p.instead.length">
        <span class="soft before after">{{ t('archive.instead') }}</span>
        <b dir="auto">{{ p.instead.join(', ') }}</b>
      </template>
    </ElTag>
  </template>
</template>

<style scoped>
.gone {
  text-decoration: line-through;
}
.before {
  margin-inline-start: 6px;
}
.after {
  margin-inline-end: 6px;
}
</style>
