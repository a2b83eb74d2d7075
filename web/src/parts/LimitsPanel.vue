<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, pictureOf, tell, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import { measured } from './figures'
import LimitsChart from './LimitsChart.vue'

/** The limits of a stream, with what each would mean for the pages of a batch that was scanned before. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()

const measures = ref<Schema['MeasureInfo'][]>([])
const batches = ref<{ no: string; pages: number }[]>([])
const batch = ref('')
const pages = ref<Schema['ImageFigures'][]>([])
const definition = ref<{ pages?: { limits?: Record<string, number | null> } } & Record<string, unknown>>({})
const limits = ref<Record<string, number | null>>({})
const chosen = ref('blur')
const loaded = ref(false)

async function begin() {
  const [m, board, s] = await Promise.all([
    api.GET('/api/measures'),
    api.GET('/api/board'),
    api.GET('/api/streams/{name}', { params: { path: { name: props.stream } }, parseAs: 'text' }),
  ])
  measures.value = m.data ?? []
  batches.value = (board.data?.batches ?? [])
    .filter((b) => b.stream === props.stream && b.read === b.pages && b.pages > 0)
    .map((b) => ({ no: b.no, pages: b.pages }))
  batches.value.sort((a, b) => b.pages - a.pages)
  batch.value = batches.value[0]?.no ?? ''
  definition.value = JSON.parse(String(s.data ?? '{}'))
  for (const one of measures.value)
    limits.value[one.measure] =
      one.measure in (definition.value.pages?.limits ?? {})
        ? definition.value.pages!.limits![one.measure]
        : (one.usual ?? null)
  loaded.value = true
}
void begin()
watch(batch, async (no) => {
  pages.value = []
  if (!/^B-\d+$/.test(no)) return
  const { data, error } = await api.GET('/api/batches/{no}/figures', { params: { path: { no } } })
  if (data) pages.value = data.filter((p) => p.role === 'content')
  else tell(error)
})

const measure = computed(() => measures.value.find((m) => m.measure === chosen.value))
const beyond = (m: Schema['MeasureInfo'], figure: number) => {
  const limit = limits.value[m.measure]
  return limit != null && (m.tooMuch ? figure > limit : figure < limit)
}
const figuresOf = (m: string) =>
  pages.value.flatMap((p) =>
    p.figures
      .filter((f) => (f.kind as string) === m)
      .map((f) => ({ no: p.page, rotation: p.rotation, figure: f.figure, said: f.said })),
  )
const flagged = (m: Schema['MeasureInfo']) => figuresOf(m.measure).filter((f) => beyond(m, f.figure)).length
const any = computed(
  () =>
    pages.value.filter((p) =>
      p.figures.some((f) =>
        measures.value.some((m) => m.measure === (f.kind as string) && beyond(m, f.figure)),
      ),
    ).length,
)
const sorted = computed(() => figuresOf(chosen.value).sort((a, b) => a.figure - b.figure))
const range = computed(() => {
  const all = [
    ...sorted.value.map((f) => f.figure),
    measure.value?.usual ?? 0,
    limits.value[chosen.value] ?? 0,
  ]
  const most = Math.max(...all) * 1.1 || 1
  return { most, step: most / 400 }
})
const choices = computed(() =>
  batches.value.map((b) => ({ value: b.no, label: t('limits.choice', { no: b.no, n: b.pages }) })),
)
const sign = (m: Schema['MeasureInfo']) => (m.tooMuch ? '≤' : '≥')
const said = (m: Schema['MeasureInfo']) => {
  const limit = limits.value[m.measure]
  return limit == null ? t('image.noLimit') : `${sign(m)} ${measured(limit)} ${m.unit}`
}
/** Nearest to the limit on either side. */
const near = computed(() => {
  const m = measure.value
  const limit = limits.value[chosen.value]
  if (!m || limit == null) return { inside: [], outside: [] }
  const byDistance = (a: { figure: number }, b: { figure: number }) =>
    Math.abs(a.figure - limit) - Math.abs(b.figure - limit)
  return {
    inside: sorted.value
      .filter((f) => !beyond(m, f.figure))
      .sort(byDistance)
      .slice(0, 5),
    outside: sorted.value
      .filter((f) => beyond(m, f.figure))
      .sort(byDistance)
      .slice(0, 5),
  }
})
function set(value: number | null) {
  limits.value = { ...limits.value, [chosen.value]: value == null ? null : Number(value.toPrecision(3)) }
}
async function save() {
  const changed: Record<string, number | null> = {}
  for (const m of measures.value)
    if (limits.value[m.measure] !== (m.usual ?? null)) changed[m.measure] = limits.value[m.measure]
  const json = JSON.stringify(
    { ...definition.value, pages: { ...definition.value.pages, limits: changed } },
    null,
    2,
  )
  const { data, error } = await api.POST('/api/streams', { body: { json } })
  if (data) emit('saved', data.version)
  else tell(error)
}
</script>

<template>
  <PanelBox v-if="loaded" :title="t('limits.title')" class="limits">
    <template #acts>
      <label class="row">
        <span class="soft">{{ t('limits.batch') }}</span>
        <PickOne v-model="batch" :options="choices" :aria-label="t('limits.batch')" filterable />
      </label>
      <b>{{ t('limits.any', { n: any, of: pages.length }) }}</b>
      <KeyButton main @click="save">{{ t('limits.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <div class="two">
      <ElRadioGroup v-model="chosen" class="measures" :aria-label="t('limits.title')">
        <ElRadio v-for="m in measures" :key="m.measure" :value="m.measure">
          <span class="stretch">
            {{ t(`image.kinds.${m.measure}`) }}
            <span class="soft">{{ said(m) }}</span>
          </span>
          <b v-if="flagged(m)" class="flagged">▲ {{ flagged(m) }}</b>
        </ElRadio>
      </ElRadioGroup>
      <div v-if="measure">
        <div class="row wraps">
          <b>{{ t(`image.kinds.${chosen}`) }}</b>
          <ElSlider
            class="stretch"
            :min="0"
            :max="range.most"
            :step="range.step"
            :show-tooltip="false"
            :model-value="limits[chosen] ?? range.most"
            :aria-label="t('limits.limit')"
            @input="(v: number | number[]) => set(Number(v))"
          />
          <span class="mono">{{ said(measure) }}</span>
          <KeyButton @click="set(measure.usual ?? null)">{{ t('limits.usual') }}</KeyButton>
          <KeyButton @click="set(null)">{{ t('image.noLimit') }}</KeyButton>
        </div>
        <LimitsChart
          :measure="measure"
          :figures="sorted"
          :beyond="(figure) => beyond(measure!, figure)"
          :limit="limits[chosen]"
          :most="range.most"
        />
        <p v-if="!sorted.length" class="soft">{{ t('limits.nothing') }}</p>
        <p v-else>
          <b>{{ t('limits.would', { n: flagged(measure), of: sorted.length }) }}</b>
        </p>
        <div class="nears">
          <div v-for="side in ['inside', 'outside'] as const" :key="side">
            <h3>{{ t(`limits.${side}`) }}</h3>
            <p v-if="!near[side].length" class="soft">{{ t('limits.noneThere') }}</p>
            <div class="thumbs">
              <figure v-for="f in near[side]" :key="f.no">
                <img :src="pictureOf(batch, f, 200)" alt="" />
                <figcaption>
                  <span class="mono after">{{ f.no }}</span>
                  {{ f.said }}
                </figcaption>
              </figure>
            </div>
          </div>
        </div>
      </div>
    </div>
  </PanelBox>
</template>

<style scoped>
.two {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
}
.two > * {
  flex: 3 1 320px;
  min-width: 0;
}
.two > .measures {
  flex: 1 1 300px;
}
.two > .measures {
  display: block;
  max-height: 460px;
  overflow: auto;
}
.measures .el-radio {
  display: flex;
  height: 30px;
  margin: 0;
}
.measures :deep(.el-radio__label) {
  display: flex;
  flex: 1;
}
.flagged {
  color: var(--doubt);
}

.wraps {
  flex-wrap: wrap;
}
.el-slider {
  flex: 1 1 160px;
  margin: 0 10px;
}
.nears {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
h3 {
  margin: 4px 0;
}
p {
  margin: 4px 0;
}
.thumbs {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
figure {
  margin: 0;
  width: 84px;
}
img {
  width: 84px;
  height: 112px;
  object-fit: contain;
  border: 1px solid #a9b3bb;
}
figcaption {
  font-size: 12px;
}
</style>
