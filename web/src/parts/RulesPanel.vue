<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useTrial } from '../composables/useTrial'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import RuleSentence from './RuleSentence.vue'
import TrialStrip from './TrialStrip.vue'
import { newRule, RULE_KINDS, type RuleKind } from './rules'

/** Where documents begin, in sentences, with what they make of a batch that is there already. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()
const { rules, batches, batch, trial, wrong, loaded, changed, save } = useTrial(props.stream)
const choices = computed(() =>
  batches.value.map((b) => ({ value: b.no, label: t('limits.choice', { no: b.no, n: b.pages }) })),
)
function move(i: number, by: number) {
  const [rule] = rules.value.splice(i, 1)
  rules.value.splice(i + by, 0, rule)
}
async function keep() {
  const version = await save()
  if (version !== undefined) emit('saved', version)
}
</script>

<template>
  <PanelBox v-if="loaded" :title="t('rules.title')">
    <template #acts>
      <label v-if="choices.length" class="row">
        <span class="soft tried">{{ t('rules.triedOn') }}</span>
        <PickOne v-model="batch" :options="choices" :aria-label="t('rules.triedOn')" filterable />
      </label>
      <KeyButton main :disabled="!changed || !!wrong" @click="keep">{{ t('rules.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <p class="soft">{{ t('rules.what') }}</p>
    <ol class="rules">
      <li v-for="(_, i) in rules" :key="i" class="row">
        <div class="stretch"><RuleSentence v-model="rules[i]" /></div>
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
        <ElButton link :aria-label="t('rules.remove', { n: i + 1 })" @click="rules.splice(i, 1)">✕</ElButton>
      </li>
      <li v-if="!rules.length" class="soft">{{ t('rules.none') }}</li>
    </ol>
    <ElDropdown trigger="click" @command="(by: RuleKind) => rules.push(newRule(by))">
      <ElButton class="act">
        {{ t('rules.add') }}
        <span aria-hidden="true">▾</span>
      </ElButton>
      <template #dropdown>
        <ElDropdownMenu>
          <ElDropdownItem v-for="by in RULE_KINDS" :key="by" :command="by">
            {{ t(`rules.kind.${by}`) }}
          </ElDropdownItem>
        </ElDropdownMenu>
      </template>
    </ElDropdown>
    <NoteBanner v-if="wrong" kind="wrong" class="wrong">{{ wrong }}</NoteBanner>
    <p v-if="!choices.length" class="soft">{{ t('rules.noBatch') }}</p>
    <TrialStrip v-if="trial" :no="batch" :trial="trial" />
  </PanelBox>
</template>

<style scoped>
.tried {
  white-space: nowrap;
}
.rules {
  margin: 0 0 8px;
  padding-inline-start: 22px;
}
.rules li {
  gap: 6px;
  align-items: flex-start;
  border-bottom: 1px solid var(--line-faint);
}
.wrong {
  white-space: pre-wrap;
  margin-top: 8px;
}
</style>
