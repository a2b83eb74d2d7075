<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { repairsOf } from '../api/client'
import { useBatch } from '../composables/useBatch'
import { useBeside } from '../composables/useBeside'
import { useBringing } from '../composables/useBringing'
import { useImageCheck } from '../composables/useImageCheck'
import { usePageActs } from '../composables/usePageActs'
import { usePageChoice } from '../composables/usePageChoice'
import { usePageDoubts } from '../composables/usePageDoubts'
import { usePageKeys } from '../composables/usePageKeys'
import { useReasons } from '../composables/useReasons'
import { useSplit } from '../composables/useSplit'
import { useWays } from '../composables/useWays'
import AskReason from '../parts/AskReason.vue'
import BatchLine from '../parts/BatchLine.vue'
import BringPages from '../parts/BringPages.vue'
import NotReadList from '../parts/NotReadList.vue'
import PageFacts from '../parts/PageFacts.vue'
import PageNotes from '../parts/PageNotes.vue'
import PageOnDesk from '../parts/PageOnDesk.vue'
import PageStrip from '../parts/PageStrip.vue'
import PageTools from '../parts/PageTools.vue'
import RepairBar from '../parts/RepairBar.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { pageShapes } from '../parts/shapes'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const { batch, loading, problem, pages, documents, places, pageByNo, ...does } = useBatch(props.no, false)
const { load, decide, undo, redo, moveTo } = does
const strip = ref<InstanceType<typeof PageStrip>>()
const viewer = ref<InstanceType<typeof PageOnDesk>>()
const size = useLocalStorage('jalon.thumb', 1)
const { split, resplit } = useSplit()
const folded = useLocalStorage('jalon.facts.folded', false)
const lens = ref(false)

const { current, index, page, onlyEyes, shown, chosen, select, step, nextOf } = usePageChoice(pages, (no) => {
  acts.naming.value = false
  strip.value?.show(no)
})
const document = computed(() => documents.value.find((d) => d.no === page.value?.document))
const locked = computed(() => !batch.value || batch.value.filed || !batch.value.free)
const gap = computed(() => batch.value?.gaps.find((g) => g.page === current.value) ?? null)

const place = computed(() => places.value.find((p) => p.page === current.value))
const desk = { batch, pages, documents, document, places, current, page, locked, select, decide, load }
const { eyes, beside, passed, nextDoubt } = usePageDoubts({ ...desk, nextOf })
const acts = usePageActs({ ...desk, chosen, place, nextDoubt })
const { asking, label, given, ask, answer } = useReasons({ ...desk, gap, nextDoubt })
const { left, together, showAll } = useBeside(props.no, acts.specimen, beside, document, pageByNo)
const check = useImageCheck({ no: props.no, pages, index, current, chosen, locked, decide, next: nextDoubt })
const { region, repairing, preview, before, shownRecipe } = check
const shapes = computed(() =>
  page.value ? pageShapes(page.value, document.value, region.value, (kind) => t(`image.short.${kind}`)) : [],
)

const { bringing, bring, insert, fillGap, brought } = useBringing({ ...desk, gap, step })

const { goTo, stepDocument, on } = useWays({ ...desk, moveTo })
const nothing = computed(
  () =>
    (!pages.value.length && batch.value?.stage !== 'intake' && t('pageDesk.empty')) ||
    (onlyEyes.value && !eyes.value && t('image.noneNeed')),
)

const toggle = (what: Ref<boolean>) => (what.value = !what.value)
usePageKeys({
  ...acts,
  step,
  columns: () => strip.value?.columns ?? 1,
  stepDocument,
  gap: () => ask('gap', current.value),
  splitEvery: () => (document.value?.pages.length ?? 0) > 1 && ask('split', current.value),
  drop: acts.leaveOff,
  teach: () => void acts.teach(),
  insert,
  replace: () => bring('replaces'),
  accept: check.accept,
  repair: check.repair,
  again: () => page.value?.role === 'content' && ask('again', current.value),
  before: () => (before.value = true),
  figures: check.toggleFigures,
  onlyEyes: () => toggle(onlyEyes),
  nextDoubt,
  nextAside: () => nextOf((p) => p.role !== 'content'),
  lens: () => toggle(lens),
  zoom: (factor) => viewer.value?.zoom(factor),
  fit: (to) => viewer.value?.fit(to),
  real: () => viewer.value?.real(),
  split: resplit,
  showAll,
  fold: () => toggle(folded),
  undo: () => void undo(),
  redo: () => void redo(),
  on: () => void on(),
})
</script>

<template>
  <div class="desk-frame">
    <template v-if="batch">
      <BatchLine :batch="batch" :current="page?.document ?? null" @go="goTo" />
      <PageTools
        v-model:size="size"
        v-model:only-eyes="onlyEyes"
        v-bind="{ batch, page, acts, locked, eyes }"
        :chosen="chosen.length"
        :passed="passed"
        @undo="undo"
        @redo="redo"
        @next="nextDoubt"
        @on="on"
      />
      <AskReason v-if="asking" :key="label" v-bind="{ label, given }" @said="answer" @close="asking = null" />
      <PageNotes
        v-bind="{ batch, locked }"
        @changed="load"
        @counts="ask('counts', 0)"
        @show="select"
        @fill="fillGap"
        @waive="(at) => ask('waive', at)"
      />
      <BringPages
        v-if="bringing"
        :key="`${bringing.place} ${bringing.page}`"
        v-bind="bringing"
        :no="no"
        @changed="load"
        @close="brought"
      />
      <RepairBar
        v-if="repairing && page"
        :key="current"
        :now="repairsOf(page)"
        :by-hand="!!page.image.repairedBy"
        @preview="preview = $event"
        @save="check.repairSo"
        @streams="check.repairSo(null)"
        @close="check.leaveRepair"
      />
      <div class="halves row-of">
        <ElSplitter>
          <ElSplitterPanel v-model:size="split" min="20%" max="75%" class="column-of">
            <PageStrip
              ref="strip"
              v-bind="{ batch, current, chosen, size, locked }"
              :pages="shown"
              @select="select"
              @drop="acts.drop"
            />
            <WaitingFor :empty="nothing" />
            <NotReadList :no="no" :items="batch.rejected" :locked="locked" @changed="load" />
          </ElSplitterPanel>
          <ElSplitterPanel>
            <PageOnDesk
              v-if="page"
              ref="viewer"
              v-bind="{ no, page, lens, shapes, together }"
              :beside="left"
              :recipe="shownRecipe"
              @select="select"
            />
          </ElSplitterPanel>
        </ElSplitter>
        <PageFacts
          v-if="page"
          v-model:folded="folded"
          v-bind="{ batch, page, document, place, acts, check, locked, gap }"
          @ask="ask($event, current)"
          @decide="decide"
          @insert="insert"
          @replace="bring('replaces')"
        />
      </div>
    </template>
    <WaitingFor v-else v-bind="{ loading, problem }" @again="load" />
  </div>
</template>
