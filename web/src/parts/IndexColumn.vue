<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import type { Indexing } from '../composables/useIndexing'
import KeyButton from './base/KeyButton.vue'
import IndexField from './IndexField.vue'

/** A document's fields one below the other, as on the paper; below them what is left, and where to go. */
const props = defineProps<{
  indexing: Indexing
  batchNo: string
  documents: number
  pages: Map<number, Schema['DeskPage']>
  next: Schema['Row'] | null
}>()
defineEmits<{ pages: []; table: []; filing: []; next: [] }>()
const { t } = useI18n()
const { documentNo, document, type, fields, field, draft, taken, doubts, doubtsOpen, locked } = props.indexing
const column = ref<HTMLElement>()

/** Puts the cursor into the current field, all of it chosen, so that typing takes its place. */
function focus() {
  const input = column.value?.querySelector<HTMLInputElement>('.field.current input')
  input?.focus()
  input?.select()
  input?.closest('.field')?.scrollIntoView?.({ block: 'nearest' })
}
const typing = () => !!window.document.activeElement?.matches('.field.current input')
defineExpose({ focus, typing })
</script>

<template>
  <div ref="column" class="column">
    <header class="row">
      <h1 class="stretch">{{ type?.title }}</h1>
      <span class="soft">{{ t('indexDesk.document', { no: documentNo, n: documents }) }}</span>
      <KeyButton k="T" @click="$emit('table')">{{ t('table.toTable') }}</KeyButton>
    </header>
    <p v-if="!fields.length" class="soft">{{ t('indexDesk.noFields') }}</p>
    <IndexField
      v-for="f in fields"
      :key="f.field"
      v-model="draft"
      :field="f"
      :value="document?.fields[f.field]"
      :current="f.field === field"
      :locked="locked"
      :taken="f.field === field ? taken : null"
      :batch-no="batchNo"
      :pages="pages"
      @enter="indexing.enter(documentNo, f.field)"
      @settle="indexing.settle"
    />
    <footer>
      <strong v-if="!doubts.length" class="state settled">{{ t('indexDesk.allSettled') }}</strong>
      <span v-else class="soft">{{ t('indexDesk.left', doubts.length) }}</span>
      <span class="stretch" />
      <KeyButton k="B" @click="$emit('pages')">{{ t('indexDesk.toPages') }}</KeyButton>
      <KeyButton v-if="doubtsOpen.length" k="N" @click="indexing.nextDoubt">
        {{ t('indexDesk.next') }}
      </KeyButton>
      <KeyButton v-else-if="next" k="N" :title="next.title" @click="$emit('next')">
        {{ t('indexDesk.nextBatch', { no: next.no, n: next.doubts }, next.doubts) }}
      </KeyButton>
      <KeyButton v-if="!doubts.length" main k="Enter" @click="$emit('filing')">
        {{ t('indexDesk.fileIt') }}
      </KeyButton>
    </footer>
  </div>
</template>

<style scoped>
.column {
  scroll-padding-bottom: 60px;
  width: 440px;
  flex: none;
  display: flex;
  flex-direction: column;
  overflow: auto;
  background: var(--panel);
  border-inline-start: 1px solid var(--line);
  padding: 12px 16px 0;
  gap: 2px;
}
header {
  padding-bottom: 6px;
}
h1 {
  overflow-wrap: anywhere;
}
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: auto -16px 0;
  padding: 8px 16px;
  position: sticky;
  bottom: 0;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
</style>
