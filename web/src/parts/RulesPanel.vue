<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useTrial } from '../composables/useTrial'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PanelBox from './base/PanelBox.vue'
import PickOne from './base/PickOne.vue'
import RuleList from './RuleList.vue'
import TrialStrip from './TrialStrip.vue'

/** Where documents begin, in sentences, with what they make of a batch that is there already. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ saved: [version: number]; close: [] }>()
const { t } = useI18n()
const { rules, batches, batch, trial, wrong, loaded, changed, save } = useTrial(props.stream)
const choices = computed(() =>
  batches.value.map((b) => ({ value: b.no, label: t('limits.choice', { no: b.no, n: b.pages }) })),
)
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
    <RuleList v-model="rules" />
    <NoteBanner v-if="wrong" kind="wrong" class="wrong">{{ wrong }}</NoteBanner>
    <p v-if="!choices.length" class="soft">{{ t('rules.noBatch') }}</p>
    <TrialStrip v-if="trial" :no="batch" :trial="trial" />
  </PanelBox>
</template>

<style scoped>
.tried {
  white-space: nowrap;
}
.wrong {
  white-space: pre-wrap;
  margin-top: 8px;
}
</style>
