<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import type { PageActs } from '../composables/usePageActs'
import KeyButton from './base/KeyButton.vue'

/** The acts of the Page desk in a row: what the hands do most at the left, where to go at the right. */
const props = defineProps<{
  batch: Schema['BatchDetail']
  page: Schema['DeskPage'] | undefined
  acts: PageActs
  locked: boolean
  chosen: number
  eyes: number
  passed: number | undefined
}>()
defineEmits<{ undo: []; redo: []; next: []; on: [] }>()
const size = defineModel<number>('size', { required: true })
const onlyEyes = defineModel<boolean>('onlyEyes', { required: true })
const { t } = useI18n()
const content = computed(() => props.page?.role === 'content')
const sizes = ['small', 'medium', 'large'].map((name, value) => ({ value, label: t(`pageDesk.${name}`) }))
</script>

<template>
  <div class="tools row" role="toolbar" :aria-label="batch.no">
    <KeyButton :disabled="locked || !content" k="Space" @click="acts.toggleStake">
      {{ acts.isFirst.value ? t('pageDesk.lift') : t('pageDesk.plant') }}
    </KeyButton>
    <KeyButton :disabled="locked" k="A" @click="acts.toggleAside">
      {{ content ? t('pageDesk.aside') : t('pageDesk.back') }}
    </KeyButton>
    <KeyButton :disabled="locked" k="R" @click="acts.turn">{{ t('pageDesk.turn') }}</KeyButton>
    <KeyButton
      :disabled="locked || page?.document == null"
      :aria-expanded="acts.naming.value"
      k="T"
      @click="acts.toggleNaming"
    >
      {{ t('pageDesk.type') }}
    </KeyButton>
    <KeyButton
      :disabled="locked"
      :title="t('pageDesk.moveLeft')"
      :aria-label="t('pageDesk.moveLeft')"
      k=","
      @click="acts.nudge(-1)"
    >
      ◂
    </KeyButton>
    <KeyButton
      :disabled="locked"
      :title="t('pageDesk.moveRight')"
      :aria-label="t('pageDesk.moveRight')"
      k="."
      @click="acts.nudge(1)"
    >
      ▸
    </KeyButton>
    <KeyButton :disabled="locked || !batch.canUndo" k="Z" @click="$emit('undo')">
      {{ t('pageDesk.undo') }}
    </KeyButton>
    <KeyButton
      :disabled="locked || !batch.canRedo"
      :title="t('pageDesk.redo')"
      :aria-label="t('pageDesk.redo')"
      @click="$emit('redo')"
    >
      ↷
    </KeyButton>
    <span v-if="acts.carried.value.length" class="carried" role="status">
      {{ t('pageDesk.carried', { n: acts.carried.value.length, page: page?.no ?? 0 }) }}
    </span>
    <span v-else-if="chosen > 1" class="soft">{{ t('pageDesk.chosen', { n: chosen }) }}</span>
    <span class="stretch" />
    <ElSegmented
      v-if="!acts.carried.value.length"
      v-model="size"
      :options="sizes"
      :aria-label="t('pageDesk.thumbs')"
    >
      <template #default="{ item }">
        <span class="size" :title="item.label">
          <i :style="{ width: 6 + item.value * 3 + 'px', height: 9 + item.value * 4 + 'px' }" />
          <span class="visually-hidden">{{ item.label }}</span>
        </span>
      </template>
    </ElSegmented>
    <KeyButton :aria-pressed="onlyEyes" k="E" @click="onlyEyes = !onlyEyes">
      ▲ {{ t('image.eyeShort') }}
      <b>{{ eyes }}</b>
    </KeyButton>
    <span v-if="passed !== undefined" class="soft" role="status">
      {{ t('pageDesk.allSure', { n: passed }) }}
    </span>
    <KeyButton v-else k="N" @click="$emit('next')">{{ t('pageDesk.next') }}</KeyButton>
    <KeyButton main k="Enter" @click="$emit('on')">{{ t('pageDesk.on') }}</KeyButton>
  </div>
</template>

<style scoped>
.tools {
  padding: 6px 14px;
  gap: 6px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
.carried {
  background: var(--doubt-pale);
  padding: 2px 8px;
}
.size i {
  display: inline-block;
  border: 1.5px solid currentColor;
  vertical-align: middle;
}
</style>
