<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FieldEditor from './FieldEditor.vue'
import KeyButton from './base/KeyButton.vue'
import { nameFor, type Draft, type DraftField, type DraftType } from './draft'

/** The types of a draft with their fields; the field at hand is changed in place of the list. */
const props = defineProps<{ draft: Draft; change: (how: (draft: Draft) => void) => void }>()
/** The type's and the field's name, or none. */
const chosen = defineModel<{ type: string; field: string } | null>({ required: true })
const { t } = useI18n()
const typeOf = (draft: Draft, name: string) => draft.types?.find((type) => type.type === name)
const field = computed(
  () =>
    chosen.value &&
    typeOf(props.draft, chosen.value.type)?.fields?.find((f) => f.field === chosen.value!.field),
)
function put(other: DraftField) {
  const { type, field: name } = chosen.value!
  props.change((d) => {
    const its = typeOf(d, type)!
    its.fields = its.fields!.map((f) => (f.field === name ? other : f))
  })
}
function remove() {
  const { type, field: name } = chosen.value!
  chosen.value = null
  props.change((d) => {
    const its = typeOf(d, type)!
    its.fields = its.fields!.filter((f) => f.field !== name)
  })
}
function add(type: DraftType) {
  const name = nameFor(t('workbench.newField'), type)
  props.change((d) => {
    const its = typeOf(d, type.type)!
    its.fields = [...(its.fields ?? []), { field: name, title: t('workbench.newField') }]
  })
  chosen.value = { type: type.type, field: name }
}
const retitle = (name: string, title: string) =>
  props.change((d) => {
    typeOf(d, name)!.title = title
  })
</script>

<template>
  <FieldEditor
    v-if="field"
    :model-value="field"
    @update:model-value="put"
    @remove="remove"
    @close="chosen = null"
  />
  <section v-for="type in draft.types ?? []" v-else :key="type.type" class="type">
    <ElInput
      :model-value="type.title ?? type.type"
      :aria-label="t('workbench.typeTitle')"
      maxlength="80"
      @update:model-value="retitle(type.type, $event)"
    />
    <ul>
      <li v-for="f in type.fields ?? []" :key="f.field">
        <ElButton link class="to" @click="chosen = { type: type.type, field: f.field }">
          {{ f.title ?? f.field }}
        </ElButton>
        <span class="soft">{{ t(`fieldParts.kind.${f.kind ?? 'text'}`) }}</span>
      </li>
      <li v-if="!type.fields?.length" class="soft">{{ t('workbench.noFields') }}</li>
    </ul>
    <KeyButton @click="add(type)">{{ t('workbench.addField') }}</KeyButton>
  </section>
</template>

<style scoped>
.type {
  padding: 6px 0 12px;
  border-bottom: 1px solid var(--line-faint);
}
ul {
  list-style: none;
  margin: 4px 0 8px;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 3px 0;
}
.to {
  color: var(--petrol);
}
</style>
