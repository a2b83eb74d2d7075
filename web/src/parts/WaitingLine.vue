<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/** How many pages wait to be read, and about how long that takes. */
const props = defineProps<{ line: Schema['Line'] }>()
const { t } = useI18n()
/** What a worker reads in a minute, about. */
const PAGES_A_MINUTE = 40
const minutes = computed(() => Math.ceil(props.line.pages / (props.line.workers * PAGES_A_MINUTE)))
</script>

<template>
  <p class="line" :class="{ soft: !line.pages }" role="status">
    {{
      line.pages ? t('channels.waiting', { n: line.pages, minutes }, line.pages) : t('channels.noneWaiting')
    }}
  </p>
</template>

<style scoped>
.line {
  margin: 0 0 6px;
}
</style>
