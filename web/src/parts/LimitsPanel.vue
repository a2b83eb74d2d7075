<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, pictureOf, tell, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'

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
const x = (v: number) => 10 + (580 * v) / range.value.most
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
  <div v-if="loaded" class="limits panel">
    <div class="row">
      <h2 class="stretch">{{ t('limits.title') }}</h2>
      <label>
        {{ t('limits.batch') }}
        <input v-model="batch" list="limit-batches" size="8" />
        <datalist id="limit-batches">
          <option v-for="b in batches" :key="b.no" :value="b.no">
            {{ t('limits.pages', { n: b.pages }) }}
          </option>
        </datalist>
      </label>
      <b>{{ t('limits.any', { n: any, of: pages.length }) }}</b>
      <KeyButton main @click="save">{{ t('limits.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </div>
    <div class="two">
      <ul>
        <li v-for="m in measures" :key="m.measure">
          <button :class="{ on: chosen === m.measure }" @click="chosen = m.measure">
            <span>
              {{ t(`image.kinds.${m.measure}`) }}
              <span class="soft">
                {{ m.tooMuch ? '≤' : '≥' }} {{ limits[m.measure] ?? t('image.noLimit') }} {{ m.unit }}
              </span>
            </span>
            <b v-if="flagged(m)">▲ {{ flagged(m) }}</b>
          </button>
        </li>
      </ul>
      <div v-if="measure" class="one">
        <div class="row">
          <b>{{ t(`image.kinds.${chosen}`) }}</b>
          <label class="row stretch">
            <input
              class="stretch"
              type="range"
              min="0"
              :max="range.most"
              :step="range.step"
              :value="limits[chosen] ?? range.most"
              :aria-label="t('limits.limit')"
              @input="set(Number(($event.target as HTMLInputElement).value))"
            />
          </label>
          <span class="mono">
            {{ measure.tooMuch ? '≤' : '≥' }} {{ limits[chosen] ?? '–' }} {{ measure.unit }}
          </span>
          <KeyButton @click="set(measure.usual ?? null)">{{ t('limits.usual') }}</KeyButton>
          <KeyButton @click="set(null)">{{ t('image.noLimit') }}</KeyButton>
        </div>
        <svg
          viewBox="0 0 600 60"
          role="img"
          :aria-label="t('limits.chart', { n: flagged(measure), of: sorted.length })"
        >
          <line x1="10" x2="590" y1="42" y2="42" class="axis" />
          <template v-for="(f, i) in sorted" :key="f.no">
            <path
              v-if="beyond(measure, f.figure)"
              class="out"
              :d="`M${x(f.figure) - 5} ${38 - (i % 3) * 9}l5 -9l5 9z`"
            >
              <title>{{ f.no }}: {{ f.said }}</title>
            </path>
            <circle v-else class="in" :cx="x(f.figure)" :cy="34 - (i % 3) * 9" r="3.5">
              <title>{{ f.no }}: {{ f.said }}</title>
            </circle>
          </template>
          <line
            v-if="limits[chosen] != null"
            class="limit"
            :x1="x(limits[chosen]!)"
            :x2="x(limits[chosen]!)"
            y1="2"
            y2="50"
          />
          <text x="10" y="57">0</text>
          <text x="590" y="57" text-anchor="end">{{ range.most.toPrecision(2) }} {{ measure.unit }}</text>
        </svg>
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
                  <span class="mono">{{ f.no }}</span>
                  {{ f.said }}
                </figcaption>
              </figure>
            </div>
          </div>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.limits {
  padding: 12px 18px;
  background: var(--field);
}
.two {
  display: grid;
  grid-template-columns: 310px 1fr;
  gap: 18px;
  margin-top: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 460px;
  overflow: auto;
}
li button {
  border: 0;
  background: none;
  font: inherit;
  cursor: pointer;
  width: 100%;
  display: flex;
  justify-content: space-between;
  text-align: left;
  padding: 4px 8px;
  color: var(--ink);
}
li button.on {
  background: var(--petrol-pale);
  box-shadow: inset 3px 0 0 var(--petrol);
}
li b {
  color: var(--doubt);
}
svg {
  width: 100%;
  height: 90px;
}
.axis {
  stroke: #8895a0;
}
.limit {
  stroke: var(--ink);
  stroke-width: 2;
}
.in {
  fill: var(--petrol);
  opacity: 0.75;
}
.out {
  fill: var(--doubt);
}
svg text {
  font-size: 10px;
  fill: var(--ink-soft);
}
input[type='range'] {
  accent-color: var(--petrol);
}
input:not([type]),
input[list] {
  font: inherit;
  padding: 3px 6px;
  border: 1px solid var(--line);
  border-radius: 3px;
}
.nears {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
h3 {
  font-size: 14px;
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
figure img {
  width: 84px;
  height: 112px;
  object-fit: contain;
  border: 1px solid #a9b3bb;
}
figcaption {
  font-size: 12px;
}
</style>
