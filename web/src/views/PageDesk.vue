<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, pictureOf, repairsOf, tell, type Schema } from '../api/client'
import { useBatch } from '../composables/useBatch'
import { useImageCheck } from '../composables/useImageCheck'
import { useKeys } from '../composables/useKeys'
import { usePageChoice } from '../composables/usePageChoice'
import AskReason from '../parts/AskReason.vue'
import BatchLine from '../parts/BatchLine.vue'
import BringPages from '../parts/BringPages.vue'
import ImageFindings from '../parts/ImageFindings.vue'
import NotReadList from '../parts/NotReadList.vue'
import PageStrip from '../parts/PageStrip.vue'
import RepairBar from '../parts/RepairBar.vue'
import PageViewer, { type Shape } from '../parts/PageViewer.vue'
import { useWords } from '../composables/useWords'
import KeyButton from '../parts/base/KeyButton.vue'

const props = defineProps<{ no: string }>()
const { t } = useI18n()
const words = useWords()
const router = useRouter()
const route = useRoute()
const { batch, loading, pages, documents, load, decide, undo, redo, moveTo } = useBatch(props.no, false)

const naming = ref(false)
const strip = ref<InstanceType<typeof PageStrip>>()
const size = useLocalStorage('jalon.thumb', 1)
const split = useLocalStorage('jalon.split', 56)

const { current, index, page, onlyEyes, shown, chosen, select, step, nextOf } = usePageChoice(pages, (no) => {
  naming.value = false
  strip.value?.show(no)
})
const document = computed(() => documents.value.find((d) => d.no === page.value?.document))
const isFirst = computed(() => document.value?.pages[0] === current.value)
watch(
  pages,
  (all) => {
    if (!all.length || all.some((p) => p.no === current.value)) return
    const asked = Number(route.query.page)
    select(all.some((p) => p.no === asked) ? asked : (doubts.value[0] ?? all[0].no))
  },
  { immediate: true },
)

/** Pages to look at, in reading order: doubtful cuts and types, and images beyond a limit. */
const doubts = computed(() => {
  const cuts = new Set(
    documents.value.filter((d) => d.stake.doubtful || d.type.doubtful).map((d) => d.pages[0]),
  )
  return pages.value.filter((p) => p.needsEye || cuts.has(p.no)).map((p) => p.no)
})
const eyes = computed(() => pages.value.filter((p) => p.needsEye))
const nextDoubt = () => nextOf((p) => doubts.value.includes(p.no))
const nextAside = () => nextOf((p) => p.role !== 'content')
function stepDocument(by: number) {
  const here = document.value?.no ?? 0
  const to = documents.value[Math.max(0, Math.min(documents.value.length - 1, here - 1 + by))]
  if (to) select(to.pages[0])
}
const goTo = (no: number) => select(documents.value[no - 1]?.pages[0] ?? current.value)

const locked = computed(() => !batch.value || batch.value.filed || !batch.value.free)
const gap = computed(() => batch.value?.gaps.find((g) => g.page === current.value) ?? null)
const openGaps = computed(() => batch.value?.gaps.filter((g) => g.open) ?? [])
const countsDiffer = computed(() => !!batch.value?.counts.differ)
/** A reason is being typed: what is missing, why it will not come, or why the counts are right. */
type Asked = 'gap' | 'waive' | 'counts' | 'again'
const asking = ref<{ what: Asked; page: number } | null>(null)
const LABELS: Record<Asked, string> = {
  gap: 'gap.what',
  waive: 'gap.why',
  counts: 'counts.why',
  again: 'image.askWhy',
}
const wrongWithIt = computed(
  () => page.value?.image.findings.map((f) => t(`image.short.${f.kind}`)).join(', ') ?? '',
)
function ask(what: Asked, at: number) {
  if (!locked.value && !(what === 'gap' && gap.value?.open)) asking.value = { what, page: at }
}
function answer(text: string) {
  const a = asking.value
  asking.value = null
  if (a?.what === 'gap') void decide({ act: 'openGap', page: a.page, note: text })
  else if (a?.what === 'waive') void decide({ act: 'closeGap', page: a.page, waivedBecause: text })
  else if (a?.what === 'again') void decide({ act: 'askAgain', page: a.page, because: text }).then(nextDoubt)
  else if (a) void decide({ act: 'acceptCounts', because: text })
}
async function takeIt() {
  const { error } = await api.POST('/api/batches/{no}/take', {
    params: { path: { no: props.no } },
    body: { over: true },
  })
  if (error) tell(error)
  await load()
}

/** Pages being brought to a place, by file or scanner. */
const bringing = ref<{ page: number; place: 'after' | 'replaces' | 'gap' } | null>(null)
function bring(place: 'after' | 'replaces' | 'gap') {
  if (!locked.value && page.value) bringing.value = { page: current.value, place }
}
function brought() {
  if (bringing.value?.place === 'replaces' && page.value?.role === 'setAside') step(1, false)
  bringing.value = null
}
const {
  figuresOpen,
  region,
  repairing,
  preview,
  before,
  shownRecipe,
  accept,
  repair,
  repairSo,
  leaveRepair,
} = useImageCheck({ no: props.no, pages, index, current, chosen, locked, decide, next: nextDoubt })
const lens = ref(false)
const viewer = ref<InstanceType<typeof PageViewer>>()
function toggleStake() {
  if (locked.value || !page.value || page.value.role !== 'content') return
  void decide({ act: isFirst.value ? 'liftStake' : 'plantStake', page: current.value })
}
function confirm() {
  if (!locked.value && isFirst.value)
    void decide({ act: 'confirmStake', page: current.value }).then(nextDoubt)
}
function toggleAside() {
  if (locked.value || !page.value) return
  void decide({ act: page.value.role === 'content' ? 'setAside' : 'putBack', pages: chosen.value })
}
function turn() {
  if (!locked.value && page.value)
    void decide({ act: 'turn', page: current.value, rotation: (page.value.rotation + 90) % 360 })
}
/** Before which page the chosen ones come to stand when they move by one. */
function nudge(by: -1 | 1) {
  if (locked.value) return
  const order = pages.value.map((p) => p.no)
  const first = order.indexOf(chosen.value[0])
  const last = first + chosen.value.length - 1
  if (by < 0 && first > 0) move(chosen.value, order[first - 1])
  if (by > 0 && last < order.length - 1) move(chosen.value, order[last + 2] ?? 0)
}
function move(what: number[], before: number) {
  if (!locked.value) void decide({ act: 'movePages', pages: what, before })
}
function drop(dragged: number, before: number) {
  const what = chosen.value.includes(dragged) ? chosen.value : [dragged]
  if (!what.includes(before)) move(what, before)
}
function name(type: string) {
  naming.value = false
  void decide({ act: 'nameType', page: current.value, type })
}
/** While the types are shown, a figure takes one. */
function pick(n: number) {
  const type = batch.value?.types[n - 1]
  if (naming.value && type) name(type.type)
}
async function on() {
  if (locked.value) return void router.push({ name: 'filing', params: { no: props.no } })
  await moveTo('index')
  void router.push({ name: 'index', params: { no: props.no } })
}

const shapes = computed<Shape[]>(() => {
  const p = page.value
  if (!p) return []
  const all: Shape[] = p.marks.map((m) => ({ box: m.box, kind: 'mark', label: m.value }))
  for (const e of document.value?.stake.evidence ?? []) {
    if (e.page === p.no && e.box && ['words', 'first'].includes(e.rule))
      all.push({ box: e.box, kind: 'stake', print: true })
  }
  for (const f of p.image.findings) {
    if (f.where) all.push({ box: f.where, kind: 'finding', label: t(`image.short.${f.kind}`) })
  }
  if (region.value) all.push({ box: region.value, kind: 'finding' })
  return all
})
const reason = (d: Schema['DocumentView']) =>
  d.stake.by ? t('pageDesk.byHand', { by: d.stake.by }) : words.reason(d.stake.evidence[0]?.why)
const typeTitle = (type: string) => batch.value?.types.find((x) => x.type === type)?.title ?? type

const dragging = ref(false)
function dragSplit(e: PointerEvent) {
  if (!dragging.value) return
  split.value = Math.max(25, Math.min(80, (e.clientX / window.innerWidth) * 100))
}
useKeys([
  { key: '←', on: ['ArrowLeft'], label: t('pageDesk.left'), run: (e) => step(-1, e.shiftKey) },
  { key: '→', on: ['ArrowRight'], label: t('pageDesk.right'), run: (e) => step(1, e.shiftKey) },
  {
    key: '↑',
    on: ['ArrowUp'],
    label: t('pageDesk.rowUp'),
    run: (e) => step(-(strip.value?.columns ?? 1), e.shiftKey),
  },
  {
    key: '↓',
    on: ['ArrowDown'],
    label: t('pageDesk.rowDown'),
    run: (e) => step(strip.value?.columns ?? 1, e.shiftKey),
  },
  { key: 'Space', on: [' '], label: `${t('pageDesk.plant')} / ${t('pageDesk.lift')}`, run: toggleStake },
  { key: 'Y', on: ['y', 'Y'], label: `${t('pageDesk.doubt')} ${t('pageDesk.confirm')}`, run: confirm },
  { key: 'A', on: ['a', 'A'], label: `${t('pageDesk.aside')} / ${t('pageDesk.back')}`, run: toggleAside },
  { key: 'R', on: ['r', 'R'], label: t('pageDesk.turn'), run: turn },
  {
    key: 'T',
    on: ['t', 'T'],
    label: t('pageDesk.type'),
    run: () => (naming.value = !naming.value && !locked.value),
  },
  {
    key: '1–9',
    on: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
    label: t('pageDesk.pick'),
    run: (e) => pick(Number(e.key)),
  },
  { key: ',', on: [','], label: t('pageDesk.moveLeft'), run: () => nudge(-1) },
  { key: '.', on: ['.'], label: t('pageDesk.moveRight'), run: () => nudge(1) },
  { key: 'G', on: ['g', 'G'], label: t('gap.open'), run: () => ask('gap', current.value) },
  {
    key: 'F',
    on: ['f', 'F'],
    label: t('pageDesk.insert'),
    run: () => bring(gap.value?.open ? 'gap' : 'after'),
  },
  { key: 'S', on: ['s', 'S'], label: t('pageDesk.replace'), run: () => bring('replaces') },
  { key: 'K', on: ['k', 'K'], label: t('image.accept'), run: accept },
  { key: 'P', on: ['p', 'P'], label: t('image.repair'), run: repair },
  {
    key: 'O',
    on: ['o', 'O'],
    label: t('image.ask'),
    run: () => page.value?.role === 'content' && ask('again', current.value),
  },
  { key: 'B', on: ['b', 'B'], label: t('pageDesk.before'), run: () => (before.value = true) },
  {
    key: 'I',
    on: ['i', 'I'],
    label: t('image.figures'),
    run: () => (figuresOpen.value = !figuresOpen.value),
  },
  { key: 'E', on: ['e', 'E'], label: t('image.eye'), run: () => (onlyEyes.value = !onlyEyes.value) },
  { key: 'J', on: ['j', 'J'], label: t('pageDesk.nextAside'), run: nextAside },
  { key: 'M', on: ['m', 'M'], label: t('pageDesk.lens'), run: () => (lens.value = !lens.value) },
  { key: '+', on: ['+', '='], label: t('indexDesk.zoomIn'), run: () => viewer.value?.zoom(1.25) },
  { key: '-', on: ['-'], label: t('indexDesk.zoomOut'), run: () => viewer.value?.zoom(0.8) },
  { key: 'H', on: ['h', 'H'], label: t('indexDesk.whole'), run: () => viewer.value?.fit('whole') },
  { key: 'W', on: ['w', 'W'], label: t('indexDesk.width'), run: () => viewer.value?.fit('width') },
  { key: 'D', on: ['d', 'D'], label: t('pageDesk.real'), run: () => viewer.value?.real() },
  { key: 'N', on: ['n', 'N'], label: t('pageDesk.next'), run: nextDoubt },
  { key: '[', on: ['['], label: t('pageDesk.prevDoc'), run: () => stepDocument(-1) },
  { key: ']', on: [']'], label: t('pageDesk.nextDoc'), run: () => stepDocument(1) },
  { key: 'Z', on: ['z'], shift: false, label: t('pageDesk.undo'), run: () => void undo() },
  { key: 'Shift+Z', on: ['Z'], shift: true, label: t('pageDesk.redo'), run: () => void redo() },
  { key: 'Enter', on: ['Enter'], label: t('pageDesk.on'), run: () => void on() },
])

function fillGap(page: number) {
  select(page)
  bring('gap')
}
</script>

<template>
  <div class="desk" @pointermove="dragSplit" @pointerup="dragging = false">
    <BatchLine v-if="batch" :batch="batch" :current="page?.document ?? null" @go="goTo" />
    <div v-if="batch" class="tools row">
      <KeyButton :disabled="locked || page?.role !== 'content'" k="Space" @click="toggleStake">
        {{ isFirst ? t('pageDesk.lift') : t('pageDesk.plant') }}
      </KeyButton>
      <KeyButton :disabled="locked" k="A" @click="toggleAside">
        {{ page?.role === 'content' ? t('pageDesk.aside') : t('pageDesk.back') }}
      </KeyButton>
      <KeyButton :disabled="locked" k="R" @click="turn">
        {{ t('pageDesk.turn') }}
      </KeyButton>
      <KeyButton :disabled="locked || !document" :aria-expanded="naming" k="T" @click="naming = !naming">
        {{ t('pageDesk.type') }}
      </KeyButton>
      <KeyButton :disabled="locked" :title="t('pageDesk.moveLeft')" k="," @click="nudge(-1)">◂</KeyButton>
      <KeyButton :disabled="locked" :title="t('pageDesk.moveRight')" k="." @click="nudge(1)">▸</KeyButton>
      <KeyButton :disabled="locked || !batch.canUndo" k="Z" @click="undo">
        {{ t('pageDesk.undo') }}
      </KeyButton>
      <KeyButton
        :disabled="locked || !batch.canRedo"
        :title="t('pageDesk.redo')"
        :aria-label="t('pageDesk.redo')"
        @click="redo"
      >
        ↷
      </KeyButton>
      <span v-if="chosen.length > 1" class="soft">{{ t('pageDesk.chosen', { n: chosen.length }) }}</span>
      <span v-if="batch.filed" class="soft">{{ t('pageDesk.filed') }}</span>
      <span class="stretch" />
      <KeyButton
        v-for="(s, i) in ['small', 'medium', 'large']"
        :key="s"
        :aria-pressed="size === i"
        :title="t(`pageDesk.${s}`)"
        :aria-label="t(`pageDesk.${s}`)"
        @click="size = i"
      >
        <i class="size" :style="{ width: 6 + i * 3 + 'px', height: 9 + i * 4 + 'px' }" />
      </KeyButton>
      <KeyButton :aria-pressed="onlyEyes" k="E" @click="onlyEyes = !onlyEyes">
        ▲ {{ t('image.eyeShort') }}
        <b>{{ eyes.length }}</b>
      </KeyButton>
      <KeyButton :disabled="!doubts.length" k="N" @click="nextDoubt">
        {{ t('pageDesk.next') }}
      </KeyButton>
      <KeyButton main k="Enter" @click="on">
        {{ t('pageDesk.on') }}
      </KeyButton>
    </div>
    <AskReason
      v-if="asking"
      :key="asking.what + asking.page"
      :label="t(LABELS[asking.what])"
      :given="asking.what === 'again' ? wrongWithIt : ''"
      @said="answer"
      @close="asking = null"
    />
    <div v-if="batch && (countsDiffer || openGaps.length || !batch.free)" class="notes">
      <p v-if="!batch.free && !batch.filed">
        {{
          batch.withdrawn
            ? t('board.withdrawn') + ': ' + batch.withdrawn
            : batch.onHold
              ? t('board.onHold', { why: batch.onHold })
              : t('card.withOther', { who: batch.with ?? '' })
        }}
        <KeyButton v-if="!batch.onHold && !batch.withdrawn" @click="takeIt">
          {{ t('card.takeOver') }}
        </KeyButton>
      </p>
      <p v-if="countsDiffer && batch.counts">
        <span v-if="!batch.counts.acceptedBy" class="state doubtful">{{ t('counts.differ') }}</span>
        <template v-if="batch.counts.expectedPages != null">
          {{ t('counts.pages', { expected: batch.counts.expectedPages, n: batch.counts.pages }) }}.
        </template>
        <template v-if="batch.counts.expectedDocuments != null">
          {{
            t('counts.documents', { expected: batch.counts.expectedDocuments, n: batch.counts.documents })
          }}.
        </template>
        <span v-if="batch.counts.acceptedBy" class="soft">
          {{ t('counts.accepted', { by: batch.counts.acceptedBy, why: batch.counts.because ?? '' }) }}
        </span>
        <KeyButton v-else :disabled="locked" @click="ask('counts', 0)">
          {{ t('counts.accept') }}
        </KeyButton>
      </p>
      <p v-for="g in openGaps" :key="g.page">
        <span class="state doubtful">{{ t('gap.after', { page: g.page }) }}</span>
        {{ g.note ?? t('gap.placeholder') }}
        <KeyButton @click="select(g.page)">{{ t('gap.show') }}</KeyButton>
        <KeyButton :disabled="locked" @click="fillGap(g.page)">
          {{ t('gap.fill') }}
        </KeyButton>
        <KeyButton :disabled="locked" @click="ask('waive', g.page)">{{ t('gap.waive') }}</KeyButton>
      </p>
    </div>
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
      @save="repairSo"
      @streams="repairSo(null)"
      @close="leaveRepair"
    />
    <div v-if="batch" class="halves">
      <div class="left" :style="{ width: split + '%' }">
        <PageStrip
          ref="strip"
          :batch="batch"
          :pages="shown"
          :current="current"
          :chosen="chosen"
          :size="size"
          :locked="locked"
          @select="select"
          @drop="drop"
        />
        <p v-if="onlyEyes && !eyes.length" class="soft note">{{ t('image.noneNeed') }}</p>
        <p v-if="!pages.length" class="soft note">{{ t('pageDesk.empty') }}</p>
        <NotReadList :no="no" :items="batch.rejected" :locked="locked" @changed="load" />
      </div>
      <div class="grip" @pointerdown.prevent="dragging = true" />
      <div v-if="page" class="right">
        <PageViewer
          ref="viewer"
          :src="pictureOf(no, page, 900, shownRecipe)"
          :fine="pictureOf(no, page, 1700, shownRecipe)"
          :lens="lens"
          :thumb="pictureOf(no, page, 200)"
          :turn="shownRecipe.some((r) => r.do === 'straighten') ? -page.lean : 0"
          :lean="page.lean"
          :alt="t('pageDesk.page', { no: page.no })"
          :width-mm="page.widthMm"
          :height-mm="page.heightMm"
          :shapes="shapes"
        />
        <div class="facts">
          <div v-if="naming && document" class="naming">
            <KeyButton v-for="(x, i) in batch.types" :key="x.type" @click="name(x.type)">
              {{ x.title }}
              <kbd v-if="i < 9">{{ i + 1 }}</kbd>
            </KeyButton>
          </div>
          <template v-if="document && isFirst">
            <div class="row">
              <span class="soft">{{ t('pageDesk.why') }}</span>
              <b>{{ typeTitle(document.type.type) }}</b>
            </div>
            <div v-if="document.stake.doubtful" class="row question">
              <span class="state doubtful">{{ t('pageDesk.doubt') }}</span>
              <KeyButton :disabled="locked" k="Y" @click="confirm">
                {{ t('pageDesk.confirm') }}
              </KeyButton>
              <KeyButton :disabled="locked" k="Space" @click="toggleStake">
                {{ t('pageDesk.lift') }}
              </KeyButton>
            </div>
            <div>
              {{ reason(document) }}
              <span v-if="!document.stake.by" class="soft">
                · {{ t('pageDesk.certainty', { n: Math.round(document.stake.certainty * 100) }) }}
              </span>
            </div>
            <div v-if="document.type.doubtful" class="row question">
              <span class="state doubtful">{{ words.reason(document.type.evidence[0]?.why) }}</span>
            </div>
          </template>
          <div v-else-if="document">
            {{
              t('pageDesk.of', {
                i: document.pages.indexOf(page.no) + 1,
                n: document.pages.length,
                no: document.no,
              })
            }}
          </div>
          <div v-else>
            {{
              page.role === 'separator'
                ? t('pageDesk.separator')
                : page.role === 'blank'
                  ? t('pageDesk.blank')
                  : t('pageDesk.setAside', { by: page.by ?? '' })
            }}
          </div>
          <div v-if="page.flag" class="row">
            <span class="state doubtful">
              ◆ {{ t('pageDesk.flaggedBy', { why: words.reason(page.flag.why) }) }}
            </span>
          </div>
          <ImageFindings
            :no="no"
            :page="page"
            :locked="locked"
            :open="figuresOpen"
            :filed="batch.repairedForFiling"
            @accept="accept"
            @repair="repair"
            @ask="ask('again', current)"
            @unask="decide({ act: 'askAgain', page: current, because: null })"
            @toggle="figuresOpen = !figuresOpen"
            @region="region = $event"
          />
          <div class="row acts">
            <KeyButton :disabled="locked" k="F" @click="bring(gap?.open ? 'gap' : 'after')">
              {{ t('pageDesk.insert') }}
            </KeyButton>
            <KeyButton :disabled="locked" k="S" @click="bring('replaces')">
              {{ t('pageDesk.replace') }}
            </KeyButton>
            <KeyButton :disabled="locked || gap?.open" k="G" @click="ask('gap', current)">
              {{ t('gap.open') }}
            </KeyButton>
          </div>
          <div class="soft">
            <template v-if="page.sheet">
              {{ t(page.side === 'back' ? 'scan.sheetBack' : 'scan.sheetFront', { n: page.sheet }) }} ·
            </template>
            {{ t('pageDesk.from', { file: page.file, p: page.filePage }) }} · {{ Math.round(page.dpi) }} dpi ·
            {{ t('pageDesk.lean', { deg: page.lean }) }}
          </div>
        </div>
      </div>
    </div>
    <p v-if="loading" class="soft note">{{ t('app.loading') }}</p>
  </div>
</template>

<style scoped>
.desk {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.tools {
  padding: 6px 14px;
  gap: 6px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
.size {
  display: inline-block;
  border: 1.5px solid currentColor;
  vertical-align: middle;
}
.tools [aria-pressed='true'] {
  background: var(--petrol-pale);
  border-color: var(--petrol);
}
.halves {
  flex: 1;
  min-height: 0;
  display: flex;
}
.left {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.grip {
  width: 7px;
  cursor: col-resize;
  background: var(--line);
  flex: none;
}
.grip:hover {
  background: var(--petrol);
}
.right {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.right > .frame {
  flex: 1;
  min-height: 0;
  height: auto;
}
.facts {
  max-height: 52%;
  overflow: auto;
  flex: none;
  padding: 8px 14px 10px;
  background: var(--panel);
  border-top: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-height: 92px;
}
.question {
  background: var(--doubt-pale);
  padding: 4px 8px;
  border-left: 4px solid var(--doubt);
}
.naming {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.note {
  padding: 24px;
}
.notes {
  background: var(--doubt-pale);
  border-bottom: 1px solid var(--line);
  padding: 4px 14px;
}
.notes p {
  margin: 3px 0;
}
.notes .state {
  margin-right: 8px;
}
.acts {
  gap: 6px;
  flex-wrap: wrap;
}
</style>
