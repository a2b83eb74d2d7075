<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import FieldParts from './FieldParts.vue'
import type { DraftField } from './draft'
import { CHECKS, FIELD_KINDS, FINDERS, newFinder } from './fieldParts'

/** One field of a type: what it is, how it is found, what it is held against. */
const field = defineModel<DraftField>({ required: true })
const emit = defineEmits<{ remove: []; close: [] }>()
const { t } = useI18n()
const choices = useChoices()
const kinds = computed(() => choices(FIELD_KINDS, 'fieldParts.kind'))
const put = (name: string, value: unknown) => {
  const other: DraftField = { ...field.value, [name]: value }
  const nothing = value === false || (Array.isArray(value) && !value.length)
  if (nothing) delete other[name]
  field.value = other
}
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
  <ElCheckbox :model-value="!!field.required" @update:model-value="put('required', $event)">
    {{ t('workbench.required') }}
  </ElCheckbox>
  <h3>{{ t('workbench.found') }}</h3>
  <FieldParts
    of="finder"
    :kinds="FINDERS"
    :make="newFinder"
    :model-value="field.finders ?? []"
    @update:model-value="put('finders', $event)"
  />
  <h3>{{ t('workbench.checked') }}</h3>
  <FieldParts
    of="check"
    :kinds="CHECKS"
    :make="(check) => ({ check })"
    :model-value="field.checks ?? []"
    @update:model-value="put('checks', $event)"
  />
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
</style>
