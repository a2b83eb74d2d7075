<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'
import { useLimits } from '../composables/useLimits'
import KeyButton from './base/KeyButton.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import { measured } from './figures'
import LimitsChart from './LimitsChart.vue'

/** The limits of a stream, with what each would mean for the pages of a batch that was scanned before. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()

const {
  loaded,
  measures,
  measure,
  chosen,
  limits,
  batches,
  batch,
  pages,
  beyond,
  flagged,
  any,
  sorted,
  range,
  near,
  set,
  save,
} = useLimits(props.stream)
const choices = computed(() =>
  batches.value.map((b) => ({ value: b.no, label: t('limits.choice', { no: b.no, n: b.pages }) })),
)
const sign = (m: Schema['MeasureInfo']) => (m.tooMuch ? '≤' : '≥')
const said = (m: Schema['MeasureInfo']) => {
  const limit = limits.value[m.measure]
  return limit == null ? t('image.noLimit') : `${sign(m)} ${measured(limit)} ${m.unit}`
}
async function keep() {
  const version = await save()
  if (version !== undefined) emit('saved', version)
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
      <KeyButton main @click="keep">{{ t('limits.save') }}</KeyButton>
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
