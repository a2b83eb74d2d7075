<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import FieldEditor from './FieldEditor.vue'
import FieldList from './FieldList.vue'
import FieldPapers from './FieldPapers.vue'
import SentenceBlanks from './SentenceBlanks.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import {
  GROUPS,
  holderOf,
  nameFor,
  newName,
  type Draft,
  type DraftField,
  type DraftType,
  type Part,
} from './draft'
import { TYPE } from './streamParts'

/** The type at hand, said in sentences, with its fields; the field at hand is changed in place of their list. */
const props = defineProps<{
  draft: Draft
  change: (how: (draft: Draft) => void) => void
  /** The type of the paper at hand. */
  at?: string
  steps?: Schema['FieldSteps']
  trial?: Schema['Trial'] | null
  batch: string
}>()
/** The type's and the field's name, or none; a type alone has no field's name. */
const chosen = defineModel<{ type: string; field: string } | null>({ required: true })
const emit = defineEmits<{ show: [page: number] }>()
const { t } = useI18n()
const types = computed(() => [
  ...(props.draft.types ?? []).map((x) => ({ value: x.type, label: x.title ?? x.type })),
  { value: GROUPS, label: t('workbench.groups') },
])
const name = computed(() => {
  const wanted = [chosen.value?.type, props.at].find((x) => types.value.some((o) => o.value === x))
  return wanted ?? types.value[0].value
})
const type = computed(() =>
  name.value === GROUPS
    ? (props.draft.cut?.groups ?? {})
    : props.draft.types?.find((x) => x.type === name.value),
)
const field = computed(
  () => chosen.value?.field && type.value?.fields?.find((f) => f.field === chosen.value!.field),
)
const fields = (how: (all: DraftField[]) => DraftField[]) =>
  props.change((d) => {
    const its = holderOf(d, name.value)!
    its.fields = how(its.fields ?? [])
  })
const put = (other: DraftField) => fields((all) => all.map((f) => (f.field === other.field ? other : f)))
function remove() {
  const { field: gone } = chosen.value!
  chosen.value = { type: name.value, field: '' }
  fields((all) => all.filter((f) => f.field !== gone))
}
function add() {
  const title = t('workbench.newField')
  const made = nameFor(title, type.value ?? {})
  fields((all) => [...all, { field: made, title }])
  chosen.value = { type: name.value, field: made }
}
const putType = (other: Part) =>
  props.change((d) => (d.types = d.types!.map((x) => (x.type === name.value ? (other as DraftType) : x))))
function addType() {
  const title = t('workbench.newType')
  const all = props.draft.types ?? []
  const made = newName(
    title,
    'type',
    all.map((x) => x.type),
  )
  props.change((d) => (d.types = [...(d.types ?? []), { type: made, title, fields: [] }]))
  chosen.value = { type: made, field: '' }
}
function removeType() {
  const gone = name.value
  chosen.value = null
  props.change((d) => (d.types = d.types!.filter((x) => x.type !== gone)))
}
</script>

<template>
  <template v-if="field">
    <FieldEditor
      :model-value="field"
      v-bind="{ steps }"
      @update:model-value="put"
      @remove="remove"
      @close="chosen = { type: name, field: '' }"
    />
    <h3>{{ t('workbench.onPapers') }}</h3>
    <FieldPapers
      v-if="trial"
      v-bind="{ trial, batch }"
      :type="name"
      :field="field.field"
      @show="emit('show', $event)"
    />
  </template>
  <template v-else-if="type">
    <div class="row">
      <PickOne
        :model-value="name"
        :options="types"
        filterable
        :aria-label="t('workbench.typeAtHand')"
        @update:model-value="chosen = { type: $event ?? '', field: '' }"
      />
      <KeyButton @click="addType">{{ t('workbench.addType') }}</KeyButton>
      <KeyButton v-if="name !== GROUPS && draft.types!.length > 1" @click="removeType">
        {{ t('workbench.removeType') }}
      </KeyButton>
    </div>
    <template v-if="name !== GROUPS">
      <ElInput
        class="title"
        :model-value="type.title ?? name"
        :aria-label="t('workbench.typeTitle')"
        maxlength="80"
        @update:model-value="putType({ ...type, title: $event })"
      />
      <SentenceBlanks
        :model-value="type as Part"
        :blanks="TYPE.words"
        sentence="streamParts.type.words"
        words="streamParts"
        @update:model-value="putType"
      />
    </template>
    <h3>{{ t('streamParts.section.fields') }}</h3>
    <FieldList :fields="type.fields ?? []" @open="chosen = { type: name, field: $event }" />
    <KeyButton @click="add">{{ t('workbench.addField') }}</KeyButton>
    <template v-if="name !== GROUPS">
      <template
        v-for="(section, part) in { doubts: 'asked', kept: 'keep', places: 'layout' } as const"
        :key="part"
      >
        <h3>{{ t(`streamParts.section.${part}`) }}</h3>
        <SentenceBlanks
          :model-value="type as Part"
          :blanks="TYPE[section]"
          :sentence="`streamParts.type.${section}`"
          words="streamParts"
          @update:model-value="putType"
        />
      </template>
    </template>
  </template>
</template>

<style scoped>
.title {
  margin: 8px 0 4px;
}
h3 {
  margin: 14px 0 4px;
}
</style>
