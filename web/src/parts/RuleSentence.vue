<script setup lang="ts">
import { computed, toRaw } from 'vue'
import { useI18n } from 'vue-i18n'
import SentenceBlanks from './SentenceBlanks.vue'
import { BLANKS, filled, type Rule } from './rules'

/** A cutting rule as a sentence with blanks to fill. */
const rule = defineModel<Rule>({ required: true })
const { t } = useI18n()
/** None for a kind that a newer version saved. */
const blanks = computed(() => BLANKS[rule.value.by])
</script>

<template>
  <p v-if="!blanks" class="soft">{{ t('rules.unknown', { by: rule.by }) }}</p>
  <SentenceBlanks
    v-else
    v-model="rule"
    :blanks="blanks"
    :sentence="`rules.sentence.${rule.by}`"
    words="rules"
  />
  <ElTag
    v-if="rule.where"
    closable
    @close="rule = filled(toRaw(rule), { name: 'where', at: 'where', kind: 'text' }, '')"
  >
    {{ t('rules.inPart', { box: (rule.where as number[]).join(', ') }) }}
  </ElTag>
</template>
