<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Box, type Schema } from '../api/client'
import { isDoubt } from '../composables/useBatch'
import Snippet from './Snippet.vue'
import FieldReasons from './FieldReasons.vue'
import CandidateList from './CandidateList.vue'
import KeyButton from './base/KeyButton.vue'

/** One field: above, the piece of paper that its value was read from; below it the value, in plain letters. */
const props = defineProps<{
  field: Schema['FieldInfo']
  value: Schema['FieldValue'] | undefined
  current: boolean
  locked: boolean
  taken: { page: number; box: Box } | null
  batchNo: string
  pages: Map<number, Schema['DeskPage']>
}>()
const emit = defineEmits<{ enter: []; settle: [value: string | null] }>()
const draft = defineModel<string>({ required: true })
const { t } = useI18n()

const place = computed(() => {
  const from = props.taken ?? (props.value?.boxMm ? { page: props.value.page, box: props.value.boxMm } : null)
  const page = from ? props.pages.get(from.page) : undefined
  return from && page
    ? { page, box: from.box, of: (width: number) => pictureOf(props.batchNo, page, width) }
    : null
})
const state = computed(() => {
  const v = props.value
  if (!v) return ''
  if (v.state === 'settled') return v.value ? t('indexDesk.settledBy', { by: v.by }) : t('indexDesk.notThere')
  return t(`indexDesk.${v.state}`)
})
</script>

<template>
  <section
    v-if="value"
    class="field"
    :class="{ current, doubt: isDoubt(value) }"
    @click="!current && emit('enter')"
  >
    <div class="row title">
      <component
        :is="current ? 'label' : 'span'"
        :for="current ? 'f-' + field.field : undefined"
        class="stretch"
      >
        {{ field.title }}
      </component>
      <span class="state" :class="value.state">{{ state }}</span>
    </div>
    <Snippet
      v-if="place"
      :src="place.of(1700)"
      :quick="place.of(900)"
      :alt="t('indexDesk.pieceOf', { field: field.title })"
      :box="place.box"
      :page-width="place.page.widthMm"
      :page-height="place.page.heightMm"
      :width="405"
      :height="current ? 40 : 26"
    />
    <template v-if="current">
      <ElInput
        :id="'f-' + field.field"
        v-model="draft"
        class="value mono"
        :readonly="locked"
        autocomplete="off"
        spellcheck="false"
        dir="auto"
      />
      <FieldReasons :reasons="value.reasons" />
      <div v-if="!locked" class="choices">
        <CandidateList :value="value" @take="(c) => emit('settle', c)" />
        <KeyButton v-if="field.mayBeAbsent" k="Ctrl+0" @click.stop="emit('settle', null)">
          {{ t('indexDesk.absent') }}
        </KeyButton>
        <span class="stretch" />
        <KeyButton main k="Enter" @click.stop="emit('settle', draft)">
          {{ t('indexDesk.settle') }}
        </KeyButton>
      </div>
    </template>
    <div v-else class="shown mono" dir="auto">{{ value.value ?? '—' }}</div>
  </section>
</template>

<style scoped>
.field {
  padding: 3px 8px 4px;
  border-left: 4px solid transparent;
  cursor: pointer;
  border-bottom: 1px solid var(--line-faint);
}
.field.doubt {
  border-left-color: var(--doubt);
}
.field.current {
  background: var(--field);
  border: 1px solid var(--petrol);
  border-left: 4px solid var(--petrol);
  cursor: default;
  padding: 8px;
}
.field.current.doubt {
  border-left-color: var(--doubt);
}
.title {
  font-size: 13px;
  min-height: 20px;
  color: var(--ink-soft);
}
.shown {
  font-size: 16px;
  overflow-wrap: anywhere;
  line-height: 1.3;
}
.value {
  --el-input-height: 36px;
  font-size: 19px;
  margin-top: 4px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
  align-items: center;
}
</style>
