<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { worded, type Schema } from '../api/client'
import NoteBanner from './base/NoteBanner.vue'
import KeyButton from './base/KeyButton.vue'
import { ago, moment } from './times'

/** Where a register comes from, when that was last right, and what is in the way. */
const props = defineProps<{ source?: Schema['Source']; supervisor: boolean; busy: boolean }>()
const emit = defineEmits<{ change: []; look: [whatever: boolean]; byHand: [] }>()
const { t } = useI18n()
const place = computed(() => {
  const s = props.source?.settings as Record<string, string> | undefined
  return s && t(`registers.place.${s.kind}`, s)
})
const halfGone = computed(() => props.source?.problem?.code === 'registerHalfGone')
</script>

<template>
  <section>
    <h3>{{ t('registers.origin') }}</h3>
    <p v-if="!source" class="soft">{{ t('registers.byHand') }}</p>
    <template v-else>
      <p>
        {{ t('registers.bySource', { place }) }}
        <br />
        <span v-if="source.goodAt" class="soft">
          {{ t('registers.goodAt', { when: moment(source.goodAt) }) }}
        </span>
      </p>
      <NoteBanner v-if="source.problem" kind="doubt">
        {{ worded(source.problem) }}
        <template v-if="source.goodAt">
          {{ t('registers.goesOn', { ago: ago(source.goodAt, Date.now()) }) }}
        </template>
      </NoteBanner>
    </template>
    <div v-if="supervisor" class="row acts">
      <template v-if="source">
        <KeyButton :disabled="busy" @click="emit('look', false)">{{ t('channels.run') }}</KeyButton>
        <KeyButton v-if="halfGone" :disabled="busy" @click="emit('look', true)">
          {{ t('registers.whatever') }}
        </KeyButton>
        <KeyButton @click="emit('change')">{{ t('channels.change') }}</KeyButton>
        <KeyButton @click="emit('byHand')">{{ t('registers.toHand') }}</KeyButton>
      </template>
      <KeyButton v-else @click="emit('change')">{{ t('registers.giveSource') }}</KeyButton>
    </div>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0;
  overflow-wrap: anywhere;
}
section {
  margin-bottom: 14px;
}
.acts {
  flex-wrap: wrap;
  gap: 6px;
}
</style>
