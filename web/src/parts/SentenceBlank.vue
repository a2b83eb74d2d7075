<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useKnown } from '../composables/useKnown'
import type { Blank } from './blanks'
import BoxBlank from './BoxBlank.vue'
import OnePart from './OnePart.vue'
import PairsBlank from './PairsBlank.vue'
import PartList from './PartList.vue'
import PickOne from './base/PickOne.vue'
import type { Part } from './draft'

/** One blank of a sentence, with what can be put there. */
const props = defineProps<{ blank: Blank; words: string; value: unknown; beside?: Part }>()
const emit = defineEmits<{ put: [value: unknown] }>()
const { t } = useI18n()
const names = useKnown()
if (props.blank.known) names.ask(props.blank.known)
const offers = computed(() => (props.blank.known ? names.offers(props.blank.known, props.beside ?? {}) : []))
const under = (words?: string) => (words?.includes('.') ? words : `${props.words}.${words}`)
const label = computed(() => {
  const { words, name } = props.blank
  return t(`${props.words}.blank.${words && !words.includes('.') ? words : name}`)
})
const choices = computed(() => {
  const { choices = [], words, kind } = props.blank
  const any = words?.includes('.') ? 'any' : words
  const all = choices.map((value) => ({
    value,
    label: /barcode$/.test(words ?? '') ? value.replace('_', ' ') : t(`${under(words)}.${value}`),
  }))
  return kind === 'choice' ? [{ value: '', label: t(`${props.words}.any.${any}`) }, ...all] : all
})
/** A yes has two or three answers; the usual one is said by saying nothing. */
const answers = computed(() => {
  const { name, usual } = props.blank
  const both = [
    { value: 'no', label: t(`${props.words}.no.${name}`) },
    { value: 'yes', label: t(`${props.words}.yes.${name}`) },
  ]
  return usual === null ? [{ value: '', label: t(`${props.words}.any.${name}`) }, ...both] : both
})
const answer = computed(() => {
  const now = props.value ?? props.blank.usual
  return now === null || now === undefined ? '' : now ? 'yes' : 'no'
})
const say = (said: string) => {
  const now = said === '' ? null : said === 'yes'
  emit('put', now === props.blank.usual ? undefined : now)
}
const pages = computed(() =>
  ['first', 'last', 'any', '2', '3', '-2'].map((value) => ({ value, label: named(value) })),
)
const named = (page: string) =>
  /^-?\d+$/.test(page) ? t('fieldParts.pageNo', { n: page }) : t(`fieldParts.page.${page || 'usual'}`)
const turn = (page: string) => emit('put', /^-?\d+$/.test(page) ? Number(page) : page)
const list = computed(() => ((props.value as unknown[] | undefined) ?? []).map(String))
const box = computed(() => props.value as number[] | undefined)
const part = computed(() => (props.value ?? {}) as Part)
const all = computed(() => (props.value ?? []) as Part[])
const listed = (now: string[]) =>
  emit('put', props.blank.values === 'number' ? now.map(Number).filter((n) => Number.isInteger(n)) : now)
</script>

<template>
  <PickOne
    v-if="blank.kind === 'choice'"
    :model-value="String(value ?? '')"
    :options="choices as { value: string; label: string }[]"
    :aria-label="label"
    @update:model-value="emit('put', $event)"
  />
  <PickOne
    v-else-if="blank.kind === 'yes'"
    :model-value="answer"
    :options="answers"
    :aria-label="label"
    @update:model-value="say($event ?? '')"
  />
  <ElSelect
    v-else-if="blank.kind === 'page'"
    :model-value="String(value ?? '')"
    filterable
    allow-create
    :aria-label="label"
    :empty-values="[null, undefined]"
    @update:model-value="turn"
  >
    <ElOption value="" :label="named('')" />
    <ElOption v-for="p in pages" :key="p.value" v-bind="p" />
  </ElSelect>
  <ElSelect
    v-else-if="blank.kind === 'known'"
    :model-value="String(value ?? '')"
    filterable
    allow-create
    default-first-option
    clearable
    :placeholder="t('rules.noText')"
    :aria-label="label"
    @update:model-value="emit('put', $event ?? '')"
  >
    <ElOption v-for="o in offers" :key="o.value" v-bind="o" />
  </ElSelect>
  <ElSelect
    v-else-if="blank.kind === 'phrases' || blank.kind === 'some'"
    :model-value="list"
    multiple
    filterable
    :allow-create="blank.kind === 'phrases'"
    default-first-option
    :reserve-keyword="false"
    :placeholder="t(blank.kind === 'some' ? 'rules.noText' : 'rules.noWords')"
    :aria-label="label"
    class="phrases"
    @update:model-value="listed"
  >
    <ElOption v-for="c in [...choices, ...offers]" :key="c.value" v-bind="c" />
  </ElSelect>
  <ElInputNumber
    v-else-if="blank.kind === 'number'"
    :model-value="value === undefined ? undefined : Number(value)"
    :controls="false"
    class="figure"
    :placeholder="t('rules.usual')"
    :aria-label="label"
    @update:model-value="emit('put', $event)"
  />
  <BoxBlank v-else-if="blank.kind === 'box'" v-bind="{ label }" :value="box" @put="emit('put', $event)" />
  <PairsBlank
    v-else-if="blank.kind === 'pairs'"
    v-bind="{ label, choices }"
    :values="blank.values ?? 'text'"
    :value="part"
    @put="emit('put', $event)"
  />
  <PartList
    v-else-if="blank.kind === 'parts'"
    :of="blank.of!"
    :model-value="all"
    @update:model-value="emit('put', $event)"
  />
  <OnePart
    v-else-if="blank.kind === 'part'"
    :of="blank.of!"
    :model-value="part"
    @update:model-value="emit('put', $event)"
  />
  <ElInput
    v-else
    :model-value="String(value ?? '')"
    class="mono"
    :class="blank.wide ? 'wide' : 'short'"
    :placeholder="t('rules.noText')"
    :aria-label="label"
    @update:model-value="emit('put', $event)"
  />
</template>
