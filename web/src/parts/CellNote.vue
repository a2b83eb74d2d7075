<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { useWords } from '../composables/useWords'
import CandidateList from './CandidateList.vue'
import Snippet from './Snippet.vue'

/** What a cell's value was read from, why it is in doubt and what else it may be, above the cell's row. */
const props = defineProps<{
  value: Schema['FieldValue']
  title: string
  batchNo: string
  pages: Map<number, Schema['DeskPage']>
  left: number
  top: number
  bottom: number
  /** Where the rows begin. */
  from: number
}>()
defineEmits<{ take: [candidate: string] }>()
const { t } = useI18n()
const { reason } = useWords()
const note = ref<HTMLElement>()
const { height, width } = useElementSize(note, undefined, { box: 'border-box' })

const page = computed(() => (props.value.boxMm ? props.pages.get(props.value.page) : undefined))
/** Below the row where there is no room above it; never beyond the screen's right. */
const style = computed(() => ({
  left: `${Math.max(4, Math.min(props.left, window.innerWidth - width.value - 8))}px`,
  top: `${props.top - height.value > props.from ? props.top - height.value : props.bottom}px`,
}))
</script>

<template>
  <aside ref="note" class="note" :style="style">
    <Snippet
      v-if="page && value.boxMm"
      :src="pictureOf(batchNo, page, 1700)"
      :quick="pictureOf(batchNo, page, 900)"
      :alt="t('indexDesk.pieceOf', { field: title })"
      :box="value.boxMm"
      :page-width="page.widthMm"
      :page-height="page.heightMm"
    />
    <p v-if="value.reasons.length" class="why">{{ value.reasons.map(reason).join('; ') }}</p>
    <div v-if="value.candidates.length && value.state !== 'sure'" class="row takes">
      <CandidateList :value="value" @take="(c) => $emit('take', c)" />
    </div>
  </aside>
</template>

<style scoped>
.note {
  position: fixed;
  z-index: 20;
  max-width: 460px;
  padding: 4px;
  background: var(--panel);
  border: 1px solid var(--petrol);
  box-shadow: 0 2px 8px rgb(0 0 0 / 18%);
}
.note:empty {
  display: none;
}
.why {
  margin: 4px 2px 0;
  font-size: 13px;
}
.takes {
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 4px;
}
</style>
