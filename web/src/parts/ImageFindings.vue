<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, repairsOf, type Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import { measured } from './figures'
import { clock } from './times'

/** What is wrong with a page's image, each figure against its limit, and what can be done about it. */
const props = defineProps<{
  no: string
  page: Schema['DeskPage']
  locked: boolean
  open: boolean
  filed: boolean
}>()
const emit = defineEmits<{
  accept: []
  repair: []
  ask: []
  unask: []
  toggle: []
  region: [box: number[] | null]
}>()
const { t } = useI18n()

const figures = ref<Schema['ImageFigures'][]>([])
watch(
  () => [props.no, props.open, props.page.no] as const,
  async ([no, open], before) => {
    if (!open || (before?.[0] === no && before[1] && figures.value.length)) return
    const { data } = await api.GET('/api/batches/{no}/figures', { params: { path: { no } } })
    figures.value = data ?? []
  },
  { immediate: true },
)
const own = () =>
  figures.value
    .find((f) => f.page === props.page.no)
    ?.figures.slice()
    .sort((a, b) => Number(b.beyond) - Number(a.beyond)) ?? []
const said = (f: Schema['Finding']) =>
  t('image.said', { what: t(`image.kinds.${f.kind}`), figure: measured(f.figure), limit: measured(f.limit) })
</script>

<template>
  <div
    v-if="
      page.role === 'content' &&
      (page.image.findings.length || page.image.askedBecause || page.image.repairs.length)
    "
    class="image"
    :class="{ eye: page.needsEye }"
  >
    <ul v-if="page.image.findings.length">
      <li
        v-for="f in page.image.findings"
        :key="f.kind"
        @mouseenter="emit('region', f.where ?? null)"
        @mouseleave="emit('region', null)"
      >
        <span class="state after wraps" :class="page.needsEye ? 'doubtful' : 'settled'">{{ said(f) }}</span>
        <span class="soft">{{ t(`image.units.${f.kind}`) }}</span>
      </li>
    </ul>
    <p v-if="page.image.askedBecause" class="spaced">
      <b>↻ {{ t('image.asked', { why: page.image.askedBecause, by: page.image.askedBy ?? '' }) }}</b>
      <KeyButton :disabled="locked" @click="emit('unask')">{{ t('image.unask') }}</KeyButton>
    </p>
    <p v-if="page.image.repairs.length" class="soft">
      {{
        page.image.repairedBy
          ? t('image.repairedBy', { by: page.image.repairedBy })
          : t('image.repairedByStream')
      }}:
      {{
        repairsOf(page)
          .map((r) => t(`repair.done.${r.do}`))
          .join(', ')
      }}{{ filed ? '' : ' ' + t('image.forReading') }}. {{ t('image.hold') }}
      <kbd>B</kbd>
    </p>
    <p v-if="page.image.acceptedBy" class="soft">
      ✓
      {{
        t('image.accepted', {
          by: page.image.acceptedBy,
          at: clock(page.image.acceptedAt),
        })
      }}
    </p>
  </div>
  <div v-if="page.role === 'content'" class="row acts">
    <KeyButton
      v-if="page.image.findings.length && !page.image.acceptedBy"
      :disabled="locked"
      k="K"
      @click="emit('accept')"
    >
      {{ t('image.accept') }}
    </KeyButton>
    <KeyButton :disabled="locked" k="P" @click="emit('repair')">
      {{ t('image.repair') }}
    </KeyButton>
    <KeyButton :disabled="locked || !!page.image.askedBecause" k="O" @click="emit('ask')">
      {{ t('image.ask') }}
    </KeyButton>
    <KeyButton :aria-expanded="open" k="I" @click="emit('toggle')">
      {{ t('image.figures') }}
    </KeyButton>
  </div>
  <ul v-if="open" class="figures">
    <li
      v-for="f in own()"
      :key="f.kind"
      :class="{ beyond: f.beyond }"
      @mouseenter="emit('region', f.where ?? null)"
      @mouseleave="emit('region', null)"
    >
      <span>{{ f.beyond ? '▲ ' : '' }}{{ t(`image.kinds.${f.kind}`) }}</span>
      <span class="mono">{{ f.said }}</span>
      <small class="soft">
        {{
          f.limit == null
            ? t('image.noLimit')
            : t(f.tooMuch ? 'image.most' : 'image.least', { limit: measured(f.limit) })
        }}
      </small>
    </li>
  </ul>
  <p v-if="open">
    {{ t('image.report') }}:
    <a :href="`/api/batches/${no}/image-report.csv`">{{ t('image.csv') }}</a>
    ·
    <a :href="`/api/batches/${no}/image-report.pdf`">{{ t('image.pdf') }}</a>
  </p>
</template>

<style scoped>
.image {
  border-left: 4px solid var(--line);
  padding: 3px 8px;
}
.image.eye {
  background: var(--doubt-pale);
  border-left-color: var(--doubt);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
p {
  margin: 2px 0;
}
.acts {
  gap: 6px;
  flex-wrap: wrap;
}
.figures li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 10px;
  padding: 2px 0;
  border-top: 1px solid var(--line-faint);
  font-size: 14px;
}
.figures small {
  flex: 100%;
}
.figures .beyond {
  color: var(--doubt);
  font-weight: 650;
}
</style>
