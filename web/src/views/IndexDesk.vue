<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { pictureOf } from '../api/client'
import { useBatch } from '../composables/useBatch'
import { startOf, useIndexing } from '../composables/useIndexing'
import { useNextBatch } from '../composables/useNextBatch'
import { useIndexKeys } from '../composables/useIndexKeys'
import BatchHeld from '../parts/BatchHeld.vue'
import BatchLine from '../parts/BatchLine.vue'
import IndexColumn from '../parts/IndexColumn.vue'
import PageViewer from '../parts/PageViewer.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { useSession } from '../session'
import { fieldShapes } from '../parts/shapes'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const route = useRoute()
const supervisor = useSession().me?.role === 'supervisor'
const router = useRouter()
const desk = useBatch(props.no, true)
const { batch, loading, problem, documents, pageByNo, load, undo, redo, moveTo } = desk
const viewer = ref<InstanceType<typeof PageViewer>>()
const column = ref<InstanceType<typeof IndexColumn>>()

const indexing = useIndexing(
  props.no,
  desk,
  (field) => {
    column.value?.focus()
    if (!field) viewer.value?.fit('whole')
  },
  startOf(route.query),
)
const { documentNo, document, page, pageNo, field, value, taken, words, message, beside, openAt, locked } =
  indexing
const shapes = computed(() =>
  fieldShapes(document.value?.fields ?? {}, field.value, pageNo.value, taken.value),
)
const focus = computed(() => (field.value && value.value?.page === pageNo.value ? value.value.boxMm : null))

async function goTo(to: 'pages' | 'filing') {
  if (!locked.value) await moveTo(to)
  void router.push({ name: to, params: { no: props.no } })
}
function toTable() {
  const query = { document: documentNo.value, field: field.value ?? undefined }
  void router.push({ name: 'table', params: { no: props.no }, query })
}
/** What is corrected here and should have been read: the workbench opens on this page, at this field. */
function toRule() {
  if (!batch.value || !document.value || !field.value) return
  const its = { type: document.value.type.type, field: field.value }
  const query = { batch: props.no, document: documentNo.value, page: pageNo.value, ...its }
  void router.push({ name: 'workbench', params: { stream: batch.value.stream }, query })
}
const { next, go } = useNextBatch(
  props.no,
  () => !!batch.value && !indexing.doubtsOpen.value.length,
  async () => !locked.value && !indexing.doubts.value.length && (await moveTo('filing')),
)
function nextBatch() {
  if (next.value) void go()
  else message.value = t('indexDesk.noNextBatch')
}
useIndexKeys(indexing, {
  nextBatch,
  toTable,
  toRule: supervisor ? toRule : null,
  typing: () => !!column.value?.typing(),
  zoom: (factor) => viewer.value?.zoom(factor),
  fit: (to) => viewer.value?.fit(to),
  follow: () => focus.value && viewer.value?.goTo(focus.value),
  undo: () => void undo(),
  redo: () => void redo(),
  toPages: () => void goTo('pages'),
  toFiling: () => void goTo('filing'),
})
</script>

<template>
  <div class="desk-frame">
    <BatchLine v-if="batch" :batch="batch" :current="documentNo" @go="(n) => indexing.enter(n, null)" />
    <NoteBanner v-if="openAt" kind="doubt">{{ t('indexDesk.openAt', { who: openAt }) }}</NoteBanner>
    <NoteBanner v-else-if="batch && beside">
      {{ t('indexDesk.beside', { who: batch.with ?? '' }) }}
    </NoteBanner>
    <BatchHeld v-else-if="batch" :batch="batch" @changed="load" />
    <div v-if="batch && document && page" class="halves row-of">
      <div class="column-of stretch">
        <PageViewer
          ref="viewer"
          :src="pictureOf(no, page, 1700)"
          :thumb="pictureOf(no, page, 900)"
          :alt="t('pageDesk.page', { no: page.no })"
          :width-mm="page.widthMm"
          :height-mm="page.heightMm"
          v-bind="{ shapes, words, focus }"
          :dim="!!field"
          drag
          @word="indexing.takeWord"
          @box="indexing.takeBox"
        />
        <div class="under row">
          <KeyButton v-if="document.pages.length > 1" k="P" @click="indexing.otherPage">
            {{ t('pageDesk.page', { no: page.no }) }}
          </KeyButton>
          <span class="soft hint" role="status">{{ message || t('indexDesk.hint') }}</span>
          <KeyButton k="H" @click="viewer?.fit('whole')">{{ t('indexDesk.whole') }}</KeyButton>
          <KeyButton k="W" @click="viewer?.fit('width')">{{ t('indexDesk.width') }}</KeyButton>
          <KeyButton :disabled="!batch.canUndo" k="Z" @click="undo">{{ t('pageDesk.undo') }}</KeyButton>
        </div>
      </div>
      <IndexColumn
        ref="column"
        :indexing="indexing"
        :batch-no="no"
        :documents="documents.length"
        :pages="pageByNo"
        :next="next"
        @next="nextBatch"
        @pages="goTo('pages')"
        @table="toTable"
        @filing="goTo('filing')"
      />
    </div>
    <WaitingFor
      v-else
      v-bind="{ loading, problem }"
      :empty="batch?.stage !== 'intake' && t('filing.none')"
      @again="load"
    />
  </div>
</template>

<style scoped>
.under {
  padding: 5px 12px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  min-height: 40px;
}
.hint {
  flex: 1;
  min-width: 0;
  font-size: 13px;
}
</style>
