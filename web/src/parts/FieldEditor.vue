<script setup lang="ts">
import { computed, toRaw } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import type { DraftField } from './draft'
import { CHECKS, CHOICES, FIELD_KINDS, FIELD_MORE, FINDERS, TIDY } from './fieldParts'
import PartList from './PartList.vue'
import SentenceBlanks from './SentenceBlanks.vue'

/** One field of a type: what it is, how it is found, what is done to what is read, and what it is held against. */
const props = defineProps<{
  /** How its value comes to be on the paper at hand, where it is known. */
  steps?: Schema['FieldSteps']
}>()
const field = defineModel<DraftField>({ required: true })
const emit = defineEmits<{ remove: []; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const kinds = computed(() => choices(FIELD_KINDS, 'fieldParts.kind'))
const put = (name: string, value: unknown) => {
  const other: DraftField = { ...toRaw(field.value), [name]: value }
  const nothing = value === false || (Array.isArray(value) && !value.length)
  if (nothing) delete other[name]
  field.value = other
}
/** What it is once all steps are done: what its kind asks for comes last. */
const byKind = computed(() => {
  const all = props.steps?.steps ?? []
  return all.length > (field.value.tidy?.length ?? 0) ? all.at(-1) : undefined
})
</script>

<template>
  <div class="row head">
    <FieldBox :label="t('workbench.fieldTitle')">
      <ElInput
        :model-value="field.title ?? field.field"
        maxlength="80"
        @update:model-value="put('title', $event)"
      />
    </FieldBox>
    <FieldBox :label="t('workbench.fieldKind')">
      <PickOne
        :model-value="field.kind ?? 'text'"
        :options="kinds"
        @update:model-value="put('kind', $event)"
      />
    </FieldBox>
  </div>
  <SentenceBlanks
    v-if="field.kind === 'choice' || field.choices"
    v-model="field"
    :blanks="CHOICES"
    sentence="fieldParts.choices"
    words="fieldParts"
  />
  <ElCheckbox :model-value="!!field.required" @update:model-value="put('required', $event)">
    {{ t('workbench.required') }}
  </ElCheckbox>
  <h3>{{ t('workbench.found') }}</h3>
  <PartList :of="FINDERS" :model-value="field.finders ?? []" @update:model-value="put('finders', $event)" />
  <h3>{{ t('workbench.tidied') }}</h3>
  <p v-if="steps?.read" class="step">
    {{ t('workbench.asRead') }}
    <span class="mono" dir="auto">“{{ steps.read }}”</span>
  </p>
  <PartList :of="TIDY" :model-value="field.tidy ?? []" @update:model-value="put('tidy', $event)">
    <template #after="{ no }">
      <p v-if="steps?.steps[no]" class="step">
        <span v-if="steps.steps[no].problem" class="wrong">{{ steps.steps[no].problem }}</span>
        <span v-else class="mono" dir="auto">“{{ steps.steps[no].value }}”</span>
      </p>
    </template>
  </PartList>
  <p v-if="byKind" class="step">
    {{ t('workbench.byKind') }}
    <span v-if="byKind.problem" class="wrong">{{ byKind.problem }}</span>
    <span v-else class="mono" dir="auto">“{{ byKind.value }}”</span>
  </p>
  <h3>{{ t('workbench.checked') }}</h3>
  <PartList :of="CHECKS" :model-value="field.checks ?? []" @update:model-value="put('checks', $event)" />
  <h3>{{ t('workbench.moreOfField') }}</h3>
  <SentenceBlanks v-model="field" :blanks="FIELD_MORE" sentence="fieldParts.more" words="fieldParts" />
  <div class="row foot">
    <KeyButton @click="emit('close')">{{ t('workbench.allFields') }}</KeyButton>
    <KeyButton @click="emit('remove')">{{ t('workbench.removeField') }}</KeyButton>
  </div>
</template>

<style scoped>
.head {
  align-items: flex-end;
}
h3 {
  margin: 14px 0 4px;
}
.foot {
  margin-top: 14px;
}
.step {
  margin: 2px 0;
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.wrong {
  color: var(--wrong);
}
</style>
