<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Decision, Schema } from '../api/client'
import type { ImageCheck } from '../composables/useImageCheck'
import type { PageActs } from '../composables/usePageActs'
import type { Asked } from '../composables/useReasons'
import { useWords } from '../composables/useWords'
import FactList from './base/FactList.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import ImageFindings from './ImageFindings.vue'
import { certain, figure } from './figures'
import LayoutChoice from './LayoutChoice.vue'
import NewType from './NewType.vue'
import TypePicker from './TypePicker.vue'
import { useSession } from '../session'

/** The page that is looked at: what is asked about it first, then what can be done with it and what is known of it. */
const props = defineProps<{
  batch: Schema['BatchDetail']
  page: Schema['DeskPage']
  document: Schema['DocumentView'] | undefined
  /** Whether a stake may be missing before this page. */
  place: Schema['PlaceView'] | undefined
  acts: PageActs
  check: ImageCheck
  locked: boolean
  gap: Schema['Gap'] | null
}>()
const emit = defineEmits<{
  ask: [what: Asked]
  decide: [decision: Decision]
  insert: []
  replace: []
}>()
const folded = defineModel<boolean>('folded', { required: true })
const { t } = useI18n()
const words = useWords()
const session = useSession()

const typeTitle = computed(
  () =>
    props.batch.types.find((x) => x.type === props.document?.type.type)?.title ?? props.document?.type.type,
)
const isFirst = computed(() => props.acts.isFirst.value)
const what = computed(() => {
  const { page, document } = props
  if (document)
    return t('pageDesk.of', {
      i: document.pages.indexOf(page.no) + 1,
      n: document.pages.length,
      no: document.no,
    })
  if (page.role === 'separator') return t('pageDesk.separator')
  return page.role === 'blank' ? t('pageDesk.blank') : t('pageDesk.setAside', { by: page.by ?? '' })
})
const facts = computed(() => {
  const { page, document } = props
  const stake = isFirst.value ? document?.stake : undefined
  const group = props.batch.groups.find((g) => g.no === document?.group)
  return [
    ...(stake
      ? [
          {
            label: t('pageDesk.stake'),
            value: stake.by ? t('pageDesk.byHand', { by: stake.by }) : words.reasons(stake.evidence),
          },
        ]
      : []),
    ...(stake && !stake.by ? [{ label: t('pageDesk.certaintyOf'), value: certain(stake.certainty) }] : []),
    ...(group ? [{ label: props.batch.groupTitle, value: t('pageDesk.groupOf', group) }] : []),
    ...(page.sheet
      ? [
          {
            label: t('pageDesk.sheetIs'),
            value: words.sheet(page.sheet, page.side),
          },
        ]
      : []),
    { label: t('pageDesk.file'), value: t('pageDesk.from', { file: page.file, p: page.filePage }) },
    { label: t('pageDesk.resolution'), value: t('pageDesk.dpi', { n: figure(page.dpi) }) },
    { label: t('pageDesk.leanIs'), value: t('pageDesk.degrees', { deg: figure(page.lean, 1) }) },
  ]
})
</script>

<template>
  <aside class="facts" :class="{ folded }" :aria-label="t('pageDesk.known')">
    <header class="row">
      <h2 v-if="!folded" class="stretch">{{ t('pageDesk.page', { no: page.no }) }}</h2>
      <KeyButton
        :aria-expanded="!folded"
        :title="t('pageDesk.fold')"
        :aria-label="t('pageDesk.fold')"
        k="X"
        @click="folded = !folded"
      >
        {{ folded ? '◂' : '▸' }}
      </KeyButton>
    </header>
    <template v-if="!folded">
      <TypePicker
        v-if="acts.naming.value && document"
        :types="acts.offered.value"
        :document="document.no"
        @name="acts.name($event)"
        @looking="acts.look"
        @close="acts.toggleNaming"
      />
      <NewType
        v-if="acts.naming.value && document && session.me?.role === 'supervisor'"
        :types="batch.types"
        @make="acts.teachNew"
      />
      <NoteBanner v-if="document && isFirst && document.stake.doubtful" kind="doubt">
        <b class="state doubtful">{{ t('pageDesk.doubt') }}</b>
        <template #acts>
          <KeyButton :disabled="locked" k="Y" @click="acts.confirm">{{ t('pageDesk.confirm') }}</KeyButton>
          <KeyButton :disabled="locked" k="Space" @click="acts.toggleStake">
            {{ t('pageDesk.lift') }}
          </KeyButton>
        </template>
      </NoteBanner>
      <NoteBanner v-if="place" kind="doubt">
        <b class="state doubtful">{{ t('pageDesk.doubtPlace') }}</b>
        {{ t('pageDesk.maybe', { share: certain(place.certainty), seen: words.reasons(place.evidence) }) }}
        <template #acts>
          <KeyButton :disabled="locked" k="Y" @click="acts.confirm">{{ t('pageDesk.goesOn') }}</KeyButton>
          <KeyButton :disabled="locked" k="Space" @click="acts.toggleStake">
            {{ t('pageDesk.plant') }}
          </KeyButton>
        </template>
      </NoteBanner>
      <NoteBanner v-if="document && isFirst && document.type.doubtful" kind="doubt">
        {{ words.reason(document.type.evidence[0]?.why) }}
        <template #acts>
          <KeyButton :disabled="locked" k="T" @click="acts.toggleNaming">{{ t('pageDesk.type') }}</KeyButton>
        </template>
      </NoteBanner>
      <NoteBanner v-if="page.flag" kind="doubt">
        ◆ {{ t('pageDesk.flaggedBy', { why: words.reason(page.flag.why) }) }}
      </NoteBanner>
      <ImageFindings
        :no="batch.no"
        :page="page"
        :locked="locked"
        :open="check.figuresOpen.value"
        :filed="batch.repairedForFiling"
        @accept="check.accept"
        @repair="check.repair"
        @ask="emit('ask', 'again')"
        @unask="emit('decide', { act: 'askAgain', page: page.no, because: null })"
        @toggle="check.toggleFigures"
        @region="check.pointAt"
      />
      <p class="what">
        <b v-if="document" class="after">{{ typeTitle }}</b>
        {{ what }}
      </p>
      <LayoutChoice
        v-if="document"
        v-bind="{ document, locked }"
        :type="acts.ofType.value"
        @name="acts.name"
      />
      <FactList :facts="facts" />
      <div class="row acts">
        <KeyButton :disabled="locked" k="F" @click="emit('insert')">
          {{ t('pageDesk.insert') }}
        </KeyButton>
        <KeyButton :disabled="locked" k="S" @click="emit('replace')">
          {{ t('pageDesk.replace') }}
        </KeyButton>
        <KeyButton
          v-if="batch.groupTitle"
          :disabled="locked || page.role !== 'content'"
          k="U"
          @click="acts.toggleGroup"
        >
          {{ t(acts.group.value && isFirst ? 'pageDesk.joinGroup' : 'pageDesk.openGroup') }}
        </KeyButton>
        <KeyButton
          :disabled="locked || (document?.pages.length ?? 0) < 2"
          k="C"
          @click="emit('ask', 'split')"
        >
          {{ t('pageDesk.splitEvery') }}
        </KeyButton>
        <KeyButton :disabled="locked || !document" :title="t('pageDesk.teachHint')" k="L" @click="acts.teach">
          {{ t('pageDesk.teach') }}
        </KeyButton>
        <KeyButton :disabled="locked || gap?.open" k="G" @click="emit('ask', 'gap')">
          {{ t('gap.open') }}
        </KeyButton>
      </div>
    </template>
  </aside>
</template>

<style scoped>
.facts {
  width: 264px;
  flex: none;
  overflow: auto;
  padding: 8px 10px;
  background: var(--panel);
  border-inline-start: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.facts.folded {
  width: 62px;
  padding-inline: 5px;
}
.what {
  margin: 0;
  overflow-wrap: anywhere;
}
.acts {
  gap: 6px;
  flex-wrap: wrap;
}
</style>
