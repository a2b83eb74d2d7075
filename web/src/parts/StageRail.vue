<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

const props = defineProps<{ stage: string; share: number }>()
const { t } = useI18n()
const stages = ['intake', 'pages', 'index', 'filing', 'done']
const at = computed(() => stages.indexOf(props.stage))
</script>

<template>
  <span class="rail" :aria-label="t(`stages.${stage}`)">
    <span
      v-for="(s, i) in stages"
      :key="s"
      class="step"
      :class="{ past: i < at || stage === 'done', now: i === at && stage !== 'done' }"
      :title="t(`stages.${s}`)"
    >
      <i v-if="i === at && stage !== 'done'" :style="{ width: Math.round(share * 100) + '%' }" />
    </span>
    <span class="word">{{ t(`stages.${stage}`) }}</span>
  </span>
</template>

<style scoped>
.rail {
  display: inline-flex;
  align-items: center;
  gap: 3px;
}
.step {
  width: 30px;
  height: 8px;
  border: 1px solid #8a97a1;
  background: var(--field);
  position: relative;
  overflow: hidden;
}
.step.past {
  background: #6d8f96;
  border-color: #6d8f96;
}
.step.now {
  border-color: var(--petrol);
  height: 14px;
  border-width: 2px;
}
.step i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--petrol);
}
.word {
  margin-left: 7px;
  min-width: 48px;
}
</style>
