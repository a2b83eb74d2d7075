<script setup lang="ts">
import { toRaw } from 'vue'
import { useI18n } from 'vue-i18n'
import PickOne from './base/PickOne.vue'
import { filled, said, type Blank } from './rules'

/** A part of a stream as a sentence with blanks to fill; its words, and those of its choices, stand under one key. */
const props = defineProps<{ blanks: Blank[]; sentence: string; words: string }>()
const part = defineModel<Record<string, unknown>>({ required: true })
const { t } = useI18n()
const put = (blank: Blank, value: unknown) =>
  (part.value = filled(toRaw(part.value) as never, blank, value) as never)
const value = (blank: Blank) => said(part.value as never, blank)
const options = (blank: Blank) => [
  { value: '', label: t(`${props.words}.any.${blank.words}`) },
  ...blank.choices!.map((value) => ({
    value,
    label: blank.words === 'barcode' ? value.replace('_', ' ') : t(`${props.words}.${blank.words}.${value}`),
  })),
]
</script>

<template>
  <i18n-t :keypath="sentence" tag="p" class="sentence" scope="global">
    <template v-for="blank in blanks" :key="blank.name" #[blank.name]>
      <PickOne
        v-if="blank.kind === 'choice'"
        :model-value="String(value(blank) ?? '')"
        :options="options(blank)"
        :aria-label="t(`${words}.blank.${blank.words}`)"
        @update:model-value="put(blank, $event)"
      />
      <ElSelect
        v-else-if="blank.kind === 'phrases'"
        :model-value="(value(blank) as string[] | undefined) ?? []"
        multiple
        filterable
        allow-create
        default-first-option
        :reserve-keyword="false"
        :placeholder="t('rules.noWords')"
        :aria-label="t(`${words}.blank.${blank.name}`)"
        class="phrases"
        @update:model-value="put(blank, $event)"
      />
      <ElInputNumber
        v-else-if="blank.kind === 'number'"
        :model-value="value(blank) === undefined ? undefined : Number(value(blank))"
        :controls="false"
        class="short"
        :placeholder="t('rules.noText')"
        :aria-label="t(`${words}.blank.${blank.name}`)"
        @update:model-value="put(blank, $event)"
      />
      <ElInput
        v-else
        :model-value="String(value(blank) ?? '')"
        class="mono short"
        :placeholder="t('rules.noText')"
        :aria-label="t(`${words}.blank.${blank.name}`)"
        @update:model-value="put(blank, $event)"
      />
    </template>
  </i18n-t>
</template>

<style scoped>
.sentence {
  margin: 0;
  line-height: 2.3;
}
.sentence :deep(.el-select) {
  width: auto;
  min-width: 130px;
  display: inline-block;
}
.sentence :deep(.phrases) {
  min-width: 200px;
}
.short {
  width: 150px;
}
</style>
