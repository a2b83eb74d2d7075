<script setup lang="ts">
import { reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import AddOne from './base/AddOne.vue'
import KeyButton from './base/KeyButton.vue'
import SentenceBlanks from './SentenceBlanks.vue'
import { anySaid, kindOf, type PartKind } from './blanks'
import type { Part } from './draft'

/** Parts of one kind in their order, each as a sentence; one that a newer version made is named and stays. */
const props = defineProps<{ of: PartKind; none?: string }>()
const list = defineModel<Part[]>({ required: true })
const { t } = useI18n()
const choices = useChoices()
function changed(change: (all: Part[]) => void) {
  const all = [...list.value]
  change(all)
  list.value = all
}
const put = (i: number, part: Part) => changed((all) => (all[i] = part))
const remove = (i: number) => changed((all) => all.splice(i, 1))
const up = (i: number) => changed((all) => all.splice(i - 1, 0, ...all.splice(i, 1)))
const add = (kind: string) => changed((all) => all.push(props.of.make?.(kind) ?? { [props.of.by!]: kind }))
const moreOf = (part: Part) => props.of.more?.[kindOf(props.of, part)] ?? []
/** Whose second sentence was asked for. */
const opened = reactive(new Set<number>())
const sentence = (part: Part) =>
  props.of.by ? `${props.of.sentence}.${kindOf(props.of, part)}` : props.of.sentence
</script>

<template>
  <ol class="parts">
    <li v-for="(part, i) in list" :key="i" class="row">
      <div class="stretch">
        <SentenceBlanks
          v-if="of.blanks[kindOf(of, part)]"
          :model-value="part"
          :blanks="of.blanks[kindOf(of, part)]"
          :sentence="sentence(part)"
          :words="of.words"
          @update:model-value="put(i, $event)"
        />
        <p v-else class="soft">{{ t('blanks.unknown', { kind: kindOf(of, part) }) }}</p>
        <template v-if="moreOf(part).length">
          <SentenceBlanks
            v-if="opened.has(i) || anySaid(part, moreOf(part))"
            class="soft"
            :model-value="part"
            :blanks="moreOf(part)"
            :sentence="`${of.sentence}More.${kindOf(of, part)}`"
            :words="of.words"
            @update:model-value="put(i, $event)"
          />
          <ElButton v-else link class="more" @click="opened.add(i)">{{ t('blanks.more') }}</ElButton>
        </template>
        <slot name="after" :part="part" :no="i" />
      </div>
      <ElButton v-if="i > 0" link :aria-label="t('blanks.up', { n: i + 1 })" @click="up(i)">▴</ElButton>
      <ElButton link :aria-label="t('blanks.remove', { n: i + 1 })" @click="remove(i)">✕</ElButton>
    </li>
    <li v-if="none && !list.length" class="soft">{{ none }}</li>
  </ol>
  <AddOne v-if="of.by" :options="choices(Object.keys(of.blanks), of.named)" @add="add">
    {{ t(of.add) }}
  </AddOne>
  <KeyButton v-else @click="add('one')">{{ t(of.add) }}</KeyButton>
</template>

<style scoped>
.more {
  color: var(--petrol);
}
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
