<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { AutocompleteInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'

/** The line to search with; it offers fields and values that exist while somebody types. */
const line = defineModel<string>({ required: true })
const emit = defineEmits<{ ask: []; enter: []; step: [by: number] }>()
const { t } = useI18n()
const input = ref<AutocompleteInstance>()
/** Keys are the list's while it offers something. */
const offering = computed(() => !!input.value?.activated && !!input.value.suggestions?.length)
/** One of what is offered is chosen: Enter takes it. */
const choosing = computed(() => offering.value && (input.value?.highlightedIndex ?? -1) >= 0)
defineExpose({ close: () => input.value?.close() })

const STEPS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 }
/** The library's list takes these keys even while it is not there. */
function first(e: KeyboardEvent) {
  if (e.isComposing || e.ctrlKey || (e.key === 'Enter' ? choosing.value : offering.value)) return
  if (e.key === 'Enter') emit('enter')
  else if (e.key in STEPS) emit('step', STEPS[e.key]!)
  else if (!['Home', 'End', 'PageUp', 'PageDown'].includes(e.key)) return
  else return e.stopPropagation()
  e.preventDefault()
  e.stopPropagation()
}

type Offer = Schema['Suggestion'] & { value: string }
async function offer(typed: string, show: (all: Offer[]) => void) {
  if (!typed.trim()) return show([])
  const { data } = await api.GET('/api/archive/suggestions', { params: { query: { q: typed } } })
  show((data ?? []) as Offer[])
}
/** The library names an entry that is not there while none is highlighted, which screen readers then look for. */
function nameHighlighted() {
  if (!choosing.value) input.value?.inputRef?.input?.removeAttribute('aria-activedescendant')
}
watch([() => input.value?.highlightedIndex, offering], nameHighlighted, { flush: 'post' })
onMounted(() => {
  nameHighlighted()
  input.value?.focus()
})
</script>

<template>
  <div class="ask">
    <ElAutocomplete
      id="archive-words"
      ref="input"
      v-model="line"
      class="line"
      popper-class="offers"
      :fetch-suggestions="offer"
      :trigger-on-focus="false"
      :debounce="150"
      hide-loading
      value-key="line"
      :placeholder="t('archive.placeholder')"
      :aria-label="t('archive.search')"
      @keydown.capture="first"
    >
      <template #default="{ item }">
        <span class="offer">
          <span class="soft">{{ item.title }}</span>
          <b v-if="item.value" dir="auto">{{ item.value }}</b>
          <span v-else class="soft">{{ t('archive.thenValue') }}</span>
          <span v-if="item.documents" class="soft count">{{ item.documents }}</span>
        </span>
      </template>
    </ElAutocomplete>
    <KeyButton main k="Enter" @click="$emit('ask')">{{ t('archive.search') }}</KeyButton>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  gap: 8px;
}
.ask :deep(.el-input) {
  --el-input-height: 40px;
  font-size: 18px;
}
.ask > :first-child {
  flex: 1;
}
.offer {
  display: flex;
  gap: 10px;
}
.count {
  margin-inline-start: auto;
}
</style>

<style>
.offers .el-popper__arrow {
  display: none;
}
</style>
