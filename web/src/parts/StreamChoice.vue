<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import PickOne from './base/PickOne.vue'

/** The stream that paper is for: a few side by side, many in a list that is searched by typing. */
defineProps<{ streams: Schema['Listed'][]; disabled: boolean }>()
const chosen = defineModel<string>({ required: true })
const { t } = useI18n()
const FEW = 6
</script>

<template>
  <div class="stream-choice">
    <span class="soft">{{ t('intake.stream') }}</span>
    <ElRadioGroup
      v-if="streams.length <= FEW"
      v-model="chosen"
      :disabled="disabled"
      :aria-label="t('intake.stream')"
    >
      <ElRadio v-for="s in streams" :key="s.name" :value="s.name" border>{{ s.title }}</ElRadio>
    </ElRadioGroup>
    <PickOne
      v-else
      v-model="chosen"
      :options="streams.map((s) => ({ value: s.name, label: s.title }))"
      :disabled="disabled"
      :aria-label="t('intake.stream')"
      filterable
    />
  </div>
</template>

<style scoped>
.stream-choice {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.el-radio-group {
  gap: 8px;
}
.el-radio {
  margin: 0;
}
</style>
