<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** A place of the page, typed in millimetres from its upper left corner; arrow keys change a figure by half of one. */
const props = defineProps<{ label: string; value?: number[] }>()
const emit = defineEmits<{ put: [value: number[] | undefined] }>()
const { t } = useI18n()
const SIDES = ['left', 'top', 'width', 'height'] as const
const put = (i: number, mm?: number) =>
  emit(
    'put',
    props.value!.map((v, at) => (at === i ? (mm ?? v) : v)),
  )
</script>

<template>
  <span v-if="value" class="box" role="group" :aria-label="label">
    <ElInputNumber
      v-for="(side, i) in SIDES"
      :key="side"
      :model-value="value[i]"
      :controls="false"
      :step="0.5"
      :min="i > 1 ? 0.5 : 0"
      class="mm"
      :aria-label="t(`blanks.box.${side}`)"
      :title="t(`blanks.box.${side}`)"
      @update:model-value="put(i, $event)"
    />
    {{ t('blanks.box.mm') }}
    <ElButton link :aria-label="t('blanks.box.none')" @click="emit('put', undefined)">✕</ElButton>
  </span>
  <ElButton v-else link class="to" @click="emit('put', [0, 0, 210, 99])">
    {{ t('blanks.box.anywhere') }}
  </ElButton>
</template>

<style scoped>
.box {
  white-space: nowrap;
}
.mm :deep(.el-input__wrapper) {
  padding: 1px 3px;
}
.mm {
  width: 56px;
  margin-inline-end: 3px;
}
.to {
  color: var(--petrol);
}
</style>
