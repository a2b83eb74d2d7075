<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { useWords } from '../composables/useWords'

/** Why a value is not sure; a document that was filed before lies beside it, to be looked at. */
const props = defineProps<{ reasons: Schema['Reason'][] }>()
const { t } = useI18n()
const { reason } = useWords()

const earlier = computed(() => {
  const before = props.reasons.find((r) => r.code === 'filedBefore')
  if (!before) return null
  const page = { no: Number(before.with.page), rotation: 0 }
  return {
    batch: before.with.batch,
    small: pictureOf(before.with.batch, page, 900),
    large: pictureOf(before.with.batch, page, 1700),
  }
})
</script>

<template>
  <ul v-if="reasons.length" class="reasons">
    <li v-for="(r, i) in reasons" :key="i">{{ reason(r) }}</li>
  </ul>
  <ElImage
    v-if="earlier"
    class="earlier"
    :src="earlier.small"
    :preview-src-list="[earlier.large]"
    :alt="t('indexDesk.earlier', { batch: earlier.batch })"
    fit="cover"
    preview-teleported
  />
</template>

<style scoped>
.reasons {
  margin: 6px 0 0;
  padding: 5px 8px 5px 24px;
  background: var(--doubt-pale);
  border-left: 3px solid var(--doubt);
  font-size: 13.5px;
}
.earlier {
  display: block;
  height: 150px;
  margin-top: 4px;
  border: 1px solid var(--line);
}
.earlier :deep(img) {
  object-position: top;
}
</style>
