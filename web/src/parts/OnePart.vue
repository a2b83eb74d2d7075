<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import PickOne from './base/PickOne.vue'
import SentenceBlanks from './SentenceBlanks.vue'
import { kindOf, type PartKind } from './blanks'
import type { Part } from './draft'

/** One part that is of one of several kinds. */
defineProps<{ of: PartKind }>()
const part = defineModel<Part>({ required: true })
const { t } = useI18n()
const choices = useChoices()
</script>

<template>
  <PickOne
    :model-value="kindOf(of, part)"
    :options="choices(Object.keys(of.blanks), of.named)"
    :aria-label="t('blanks.which')"
    @update:model-value="part = of.make!($event ?? '')"
  />
  <SentenceBlanks
    v-if="of.blanks[kindOf(of, part)]"
    v-model="part"
    :blanks="of.blanks[kindOf(of, part)]"
    :sentence="`${of.sentence}.${kindOf(of, part)}`"
    :words="of.words"
  />
  <SentenceBlanks
    v-if="of.more?.[kindOf(of, part)]"
    v-model="part"
    class="soft"
    :blanks="of.more[kindOf(of, part)]"
    :sentence="`${of.sentence}More.${kindOf(of, part)}`"
    :words="of.words"
  />
</template>
