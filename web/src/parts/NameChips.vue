<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import { FORMS, type NamePart, partsOf, templateOf, type ValueKind } from './nameParts'

/** A name made of values and words between them; each value says what of it is taken. */
export interface NameValue {
  name: string
  title: string
  kind: ValueKind
}
const props = defineProps<{ label: string; values: NameValue[] }>()
const template = defineModel<string>({ required: true })
const { t, te } = useI18n()
const parts = computed(() => partsOf(template.value))
const asText = ref(false)
const titleOf = (name: string) => props.values.find((v) => v.name === name)?.title ?? name
const kindOf = (name: string) => props.values.find((v) => v.name === name)?.kind ?? 'text'

const put = (all: NamePart[]) => (template.value = templateOf(all))
const change = (i: number, part: NamePart) => put(parts.value.map((p, at) => (at === i ? part : p)))
const remove = (i: number) => put(parts.value.filter((_, at) => at !== i))
function move(i: number, by: number) {
  const all = [...parts.value]
  const [part] = all.splice(i, 1)
  all.splice(Math.max(0, i + by), 0, part!)
  put(all)
}
/** A word to stand between two values is made with the second of them. */
function add(name: string | null | undefined) {
  if (!name) return
  const between: NamePart[] = parts.value.at(-1)?.kind === 'value' ? [{ kind: 'text', text: ' ' }] : []
  put([...parts.value, ...between, { kind: 'value', name, form: '', otherwise: null }])
}
const formWord = (form: string) => {
  const key = `names.form.${form || 'whole'}`
  return te(key) ? t(key) : form
}
const forms = (name: string, now: string) =>
  [...new Set([...FORMS[kindOf(name)], now])].map((form) => ({ value: form, label: formWord(form) }))
</script>

<template>
  <div role="group" :aria-label="label">
    {{ label }}
    <div class="chips">
      <ElInput v-if="asText" v-model="template" class="whole mono" :aria-label="label" />
      <template v-for="(p, i) in parts" v-else :key="i">
        <ElInput
          v-if="p.kind === 'text'"
          class="between mono"
          :style="{ width: `${Math.max(3, p.text.length + 3)}ch` }"
          :model-value="p.text"
          :aria-label="t('names.text')"
          @change="(text: string) => (text ? change(i, { kind: 'text', text }) : remove(i))"
        />
        <ElPopover v-else trigger="click" :width="300" :teleported="true">
          <template #reference>
            <ElButton class="chip">
              {{ titleOf(p.name) }}
              <span v-if="p.form" class="soft">{{ formWord(p.form) }}</span>
              <span v-if="p.otherwise !== null" class="soft">{{ t('names.or', { text: p.otherwise }) }}</span>
            </ElButton>
          </template>
          <div class="about">
            <FieldBox :label="t('names.take')">
              <PickOne
                :model-value="p.form"
                :options="forms(p.name, p.form)"
                @update:model-value="(form) => change(i, { ...p, form: form ?? '' })"
              />
            </FieldBox>
            <FieldBox v-if="kindOf(p.name) !== 'count'" :label="t('names.otherwise')">
              <ElInput
                :model-value="p.otherwise ?? ''"
                @change="(text: string) => change(i, { ...p, otherwise: text || null })"
              />
            </FieldBox>
            <div class="row">
              <KeyButton :disabled="i === 0" :aria-label="t('names.left')" @click="move(i, -1)">◂</KeyButton>
              <KeyButton
                :disabled="i === parts.length - 1"
                :aria-label="t('names.right')"
                @click="move(i, 1)"
              >
                ▸
              </KeyButton>
              <span class="stretch" />
              <KeyButton @click="remove(i)">{{ t('names.remove') }}</KeyButton>
            </div>
          </div>
        </ElPopover>
      </template>
      <PickOne
        v-if="!asText"
        class="add"
        :model-value="null"
        :placeholder="t('names.add')"
        :aria-label="t('names.addTo', { name: label })"
        :options="values.map((v) => ({ value: v.name, label: v.title }))"
        @update:model-value="add"
      />
      <ElButton link @click="asText = !asText">{{ t(asText ? 'names.asChips' : 'names.asText') }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin-top: 3px;
}
.chip .soft {
  margin-inline-start: 0.4em;
}
.add {
  width: 150px;
}
.about {
  display: grid;
  gap: 10px;
}
.whole {
  flex: 1;
}
</style>
