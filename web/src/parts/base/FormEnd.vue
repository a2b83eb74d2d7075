<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { worded } from '../../api/client'
import KeyButton from './KeyButton.vue'
import NoteBanner from './NoteBanner.vue'

/** The end of a form: why the server refused it and what can be done about that, the act, and the way out. */
defineProps<{ act: string; busy: boolean; ready: boolean; refused: unknown }>()
defineEmits<{ close: [] }>()
const { t } = useI18n()
</script>

<template>
  <NoteBanner v-if="refused !== undefined" kind="wrong">
    {{ worded(refused) }}
    <template v-if="$slots.acts" #acts><slot name="acts" /></template>
  </NoteBanner>
  <div class="row">
    <KeyButton main submit :disabled="busy || !ready">{{ act }}</KeyButton>
    <KeyButton @click="$emit('close')">{{ t('app.close') }}</KeyButton>
  </div>
</template>
