<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import AddOne from './base/AddOne.vue'
import SentenceBlanks from './SentenceBlanks.vue'
import type { Part } from './draft'
import type { Blank } from './rules'

/** The finders or checks of a field, each as a sentence; one that cannot be said in one is named and stays. */
const props = defineProps<{
  of: 'finder' | 'check'
  kinds: Record<string, Blank[]>
  make: (kind: string) => Part
}>()
const parts = defineModel<Part[]>({ required: true })
const { t } = useI18n()
const choices = useChoices()
const kindOf = (part: Part) => String(part[props.of === 'finder' ? 'by' : 'check'])
const changed = (change: (list: Part[]) => void) => {
  const list = [...parts.value]
  change(list)
  parts.value = list
}
const put = (i: number, part: Part) => changed((list) => (list[i] = part))
const remove = (i: number) => changed((list) => list.splice(i, 1))
const first = (i: number) => changed((list) => list.unshift(...list.splice(i, 1)))
</script>

<template>
  <ol class="parts">
    <li v-for="(part, i) in parts" :key="i" class="row">
      <div class="stretch">
        <SentenceBlanks
          v-if="kinds[kindOf(part)]"
          :model-value="part"
          :blanks="kinds[kindOf(part)]"
          :sentence="`fieldParts.${of}.${kindOf(part)}`"
          words="fieldParts"
          @update:model-value="put(i, $event)"
        />
        <p v-else class="soft">{{ t('fieldParts.inJson', { kind: kindOf(part) }) }}</p>
        <ElTag v-if="part.boxMm" disable-transitions>
          {{ t('rules.inPart', { box: (part.boxMm as number[]).map(Math.round).join(', ') }) }}
        </ElTag>
      </div>
      <ElButton v-if="i > 0" link :aria-label="t('fieldParts.first', { n: i + 1 })" @click="first(i)">
        ▴
      </ElButton>
      <ElButton link :aria-label="t('fieldParts.remove', { n: i + 1 })" @click="remove(i)">✕</ElButton>
    </li>
  </ol>
  <AddOne
    :options="choices(Object.keys(kinds), `fieldParts.named.${of}`)"
    @add="(kind) => changed((list) => list.push(make(kind)))"
  >
    {{ t(`fieldParts.add.${of}`) }}
  </AddOne>
</template>

<style scoped>
.parts {
  margin: 0 0 8px;
  padding-inline-start: 20px;
}
.parts li {
  gap: 6px;
  align-items: flex-start;
  border-bottom: 1px solid var(--line-faint);
}
</style>
