<script setup lang="ts">
import { useEventListener, watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Repair } from '../api/client'
import { useChoices } from '../composables/useChoices'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'

/** A recipe for one page, seen at once; the received image stays. */
const props = defineProps<{ now: Repair[]; byHand: boolean }>()
const emit = defineEmits<{ preview: [recipe: Repair[]]; save: [recipe: Repair[]]; streams: []; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const STEPS: Repair['do'][] = [
  'straighten',
  'whitenEdges',
  'fillHoles',
  'cleanSpecks',
  'evenLight',
  'dropColour',
  'sharpen',
  'bitonal',
]
const on = ref(new Set(props.now.map((r) => r.do)))
const colour = ref(props.now.find((r) => r.do === 'dropColour')?.colour ?? 'any')
const brightness = ref(props.now.find((r) => r.do === 'levels')?.brightness ?? 0)
const contrast = ref(props.now.find((r) => r.do === 'levels')?.contrast ?? 0)

/** Colour goes before tones, tones before black and white. */
const recipe = computed<Repair[]>(() => {
  const all: Repair[] = []
  for (const step of STEPS) {
    if (step === 'sharpen' && (brightness.value || contrast.value))
      all.push({ do: 'levels', brightness: brightness.value, contrast: contrast.value })
    if (on.value.has(step))
      all.push(step === 'dropColour' ? { do: step, colour: colour.value } : ({ do: step } as Repair))
  }
  return all
})
watchDebounced(recipe, (r) => emit('preview', r), { debounce: 150, immediate: true })
function toggle(step: Repair['do']) {
  const next = new Set(on.value)
  if (!next.delete(step)) next.add(step)
  on.value = next
}
function press(e: KeyboardEvent) {
  const step = STEPS[Number(e.key) - 1]
  if (e.ctrlKey || e.altKey || e.metaKey) return
  if (step) toggle(step)
  else if (e.key === 'Enter') emit('save', recipe.value)
  else if (e.key === 'Escape') emit('close')
  else return
  e.preventDefault()
  e.stopImmediatePropagation()
}
useEventListener('keydown', press, { capture: true })
</script>

<template>
  <div class="repairs row" role="group" :aria-label="t('image.repair')">
    <KeyButton v-for="(s, i) in STEPS" :key="s" :aria-pressed="on.has(s)" :k="i + 1" @click="toggle(s)">
      {{ on.has(s) ? '☑' : '☐' }} {{ t(`repair.${s}`) }}
    </KeyButton>
    <label v-if="on.has('dropColour')">
      {{ t('repair.which') }}
      <PickOne v-model="colour" :options="choices(['any', 'red', 'green', 'blue'], 'repair.colours')" />
    </label>
    <span class="tone">
      {{ t('repair.brightness') }}
      <ElSlider
        v-model="brightness"
        :min="-0.5"
        :max="0.5"
        :step="0.05"
        :aria-label="t('repair.brightness')"
      />
    </span>
    <span class="tone">
      {{ t('repair.contrast') }}
      <ElSlider v-model="contrast" :min="-0.8" :max="0.8" :step="0.1" :aria-label="t('repair.contrast')" />
    </span>
    <span class="stretch" />
    <KeyButton v-if="byHand" @click="emit('streams')">{{ t('repair.streams') }}</KeyButton>
    <KeyButton main k="Enter" @click="emit('save', recipe)">
      {{ t('repair.save') }}
    </KeyButton>
    <KeyButton k="Esc" @click="emit('close')">
      {{ t('app.close') }}
    </KeyButton>
  </div>
</template>

<style scoped>
.repairs {
  gap: 6px 8px;
  padding: 6px 14px;
  background: var(--petrol-pale);
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
[aria-pressed='true'] {
  background: var(--field);
  border-color: var(--petrol);
  font-weight: 600;
}
label,
.tone {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
.el-slider {
  width: 110px;
  margin: 0 8px;
}
</style>
