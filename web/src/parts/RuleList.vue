<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import AddOne from './base/AddOne.vue'
import RuleSentence from './RuleSentence.vue'
import { newRule, RULE_KINDS, type Rule, type RuleKind } from './rules'

/** Cutting rules in their order of trust. */
const rules = defineModel<Rule[]>({ required: true })
const { t } = useI18n()
const choices = useChoices()
const changed = (change: (list: Rule[]) => void) => {
  const list = [...rules.value]
  change(list)
  rules.value = list
}
const put = (i: number, rule: Rule) => changed((list) => (list[i] = rule))
const move = (i: number, by: number) => changed((list) => list.splice(i + by, 0, ...list.splice(i, 1)))
const remove = (i: number) => changed((list) => list.splice(i, 1))
const add = (by: RuleKind) => changed((list) => list.push(newRule(by)))
</script>

<template>
  <ol class="rules">
    <li v-for="(rule, i) in rules" :key="i" class="row">
      <div class="stretch"><RuleSentence :model-value="rule" @update:model-value="put(i, $event)" /></div>
      <ElButton link :disabled="i === 0" :aria-label="t('rules.up', { n: i + 1 })" @click="move(i, -1)">
        ▴
      </ElButton>
      <ElButton
        link
        :disabled="i === rules.length - 1"
        :aria-label="t('rules.down', { n: i + 1 })"
        @click="move(i, 1)"
      >
        ▾
      </ElButton>
      <ElButton link :aria-label="t('rules.remove', { n: i + 1 })" @click="remove(i)">✕</ElButton>
    </li>
    <li v-if="!rules.length" class="soft">{{ t('rules.none') }}</li>
  </ol>
  <AddOne :options="choices(RULE_KINDS, 'rules.kind')" @add="add">{{ t('rules.add') }}</AddOne>
</template>

<style scoped>
.rules {
  margin: 0 0 8px;
  padding-inline-start: 22px;
}
.rules li {
  gap: 6px;
  align-items: flex-start;
  border-bottom: 1px solid var(--line-faint);
}
</style>
