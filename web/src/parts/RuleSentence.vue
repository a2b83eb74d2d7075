<script setup lang="ts">
import { computed, toRaw } from 'vue'
import { useI18n } from 'vue-i18n'
import PickOne from './base/PickOne.vue'
import { BLANKS, filled, said, type Blank, type Rule } from './rules'

/** A cutting rule as a sentence with blanks to fill. */
const rule = defineModel<Rule>({ required: true })
const { t } = useI18n()
/** None for a kind that a newer version saved. */
const blanks = computed(() => BLANKS[rule.value.by])
const put = (blank: Blank, value: unknown) => (rule.value = filled(toRaw(rule.value), blank, value))
const options = (blank: Blank) => [
  { value: '', label: t(`rules.any.${blank.words}`) },
  ...blank.choices!.map((value) => ({
    value,
    label: blank.words === 'barcode' ? value.replace('_', ' ') : t(`rules.${blank.words}.${value}`),
  })),
]
const textOf = (blank: Blank) => String(said(rule.value, blank) ?? '')
const phrasesOf = (blank: Blank) => (said(rule.value, blank) as string[] | undefined) ?? []
</script>

<template>
  <p v-if="!blanks" class="soft">{{ t('rules.unknown', { by: rule.by }) }}</p>
  <i18n-t v-else :keypath="`rules.sentence.${rule.by}`" tag="p" class="sentence" scope="global">
    <template v-for="blank in blanks" :key="blank.name" #[blank.name]>
      <PickOne
        v-if="blank.kind === 'choice'"
        :model-value="textOf(blank)"
        :options="options(blank)"
        :aria-label="t(`rules.blank.${blank.words}`)"
        @update:model-value="put(blank, $event)"
      />
      <ElSelect
        v-else-if="blank.kind === 'phrases'"
        :model-value="phrasesOf(blank)"
        multiple
        filterable
        allow-create
        default-first-option
        :reserve-keyword="false"
        :placeholder="t('rules.noWords')"
        :aria-label="t(`rules.blank.${blank.name}`)"
        class="phrases"
        @update:model-value="put(blank, $event)"
      />
      <ElInputNumber
        v-else-if="blank.kind === 'number'"
        :model-value="Number(said(rule, blank) ?? 1)"
        :min="1"
        :max="10000"
        :aria-label="t(`rules.blank.${blank.name}`)"
        @update:model-value="put(blank, $event)"
      />
      <ElInput
        v-else
        :model-value="textOf(blank)"
        class="mono short"
        :placeholder="t('rules.noText')"
        :aria-label="t(`rules.blank.${blank.name}`)"
        @update:model-value="put(blank, $event)"
      />
    </template>
  </i18n-t>
  <ElTag
    v-if="rule.where"
    closable
    @close="rule = filled(toRaw(rule), { name: 'where', at: 'where', kind: 'text' }, '')"
  >
    {{ t('rules.inPart', { box: (rule.where as number[]).join(', ') }) }}
  </ElTag>
</template>

<style scoped>
.sentence {
  margin: 0;
  line-height: 2.3;
}
.sentence :deep(.el-select) {
  width: auto;
  min-width: 165px;
  display: inline-block;
}
.sentence :deep(.phrases) {
  min-width: 240px;
}
.short {
  width: 150px;
}
</style>
