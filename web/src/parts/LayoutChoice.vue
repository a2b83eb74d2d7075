<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'

/** The layout of its type that a document has, and the others that it could have. */
const props = defineProps<{
  document: Schema['DocumentView']
  type: Schema['TypeInfo'] | undefined
  locked: boolean
}>()
const emit = defineEmits<{ name: [type: string, variant: string] }>()
const { t } = useI18n()
const now = computed(() => props.document.type.variant)
const known = computed(() => {
  const all = props.type?.variants ?? []
  return now.value && !all.includes(now.value) ? [...all, now.value] : all
})
/** Layouts that Jalon found have a number, those that a person named a name. */
const named = (v: string) => (/^\d+$/.test(v) ? t('pageDesk.layoutOf', { n: v }) : v)
</script>

<template>
  <div v-if="now" class="row">
    <span class="soft">{{ t('pageDesk.variant') }}</span>
    <ElSelect
      v-if="known.length > 1"
      :model-value="now"
      :disabled="locked"
      :aria-label="t('pageDesk.variant')"
      @change="(variant: string) => emit('name', document.type.type, variant)"
    >
      <ElOption v-for="v in known" :key="v" :value="v" :label="named(v)" />
    </ElSelect>
    <span v-else>{{ named(now) }}</span>
  </div>
</template>
