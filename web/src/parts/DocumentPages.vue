<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Schema } from '../api/client'

/** The pages of a document next to each other; of a long one those around the current page. */
const props = defineProps<{ no: string; pages: Schema['DeskPage'][]; current: number }>()
const emit = defineEmits<{ select: [page: number] }>()
const { t } = useI18n()

const AT_ONCE = 8
const from = computed(() => {
  const at = props.pages.findIndex((p) => p.no === props.current)
  return Math.floor(Math.max(0, at) / AT_ONCE) * AT_ONCE
})
const shown = computed(() => props.pages.slice(from.value, from.value + AT_ONCE))
const columns = computed(() => (shown.value.length > 4 ? 4 : Math.min(shown.value.length, 3)))
</script>

<template>
  <div class="together">
    <div class="grid" :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }">
      <ElButton
        v-for="(p, i) in shown"
        :key="p.no"
        :class="{ current: p.no === current }"
        :aria-current="p.no === current || undefined"
        :aria-label="t('pageDesk.page', { no: p.no })"
        @click="emit('select', p.no)"
      >
        <img :src="pictureOf(no, p, 900)" alt="" />
        <span class="mono">{{ from + i + 1 }}</span>
      </ElButton>
    </div>
    <p class="soft">
      {{ t('pageDesk.together', { from: from + 1, to: from + shown.length, all: pages.length }) }}
    </p>
  </div>
</template>

<style scoped>
.together {
  height: 100%;
  display: flex;
  flex-direction: column;
  background: var(--ground);
}
.grid {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: grid;
  gap: 10px;
  padding: 10px;
  align-content: start;
}
.el-button {
  position: relative;
  display: block;
  height: auto;
  margin: 0;
  padding: 0;
  border: 1px solid #a9b3bb;
  border-radius: 0;
  background: #fff;
}
.el-button :deep(> span) {
  display: block;
}
.el-button.current {
  outline: 3px solid var(--petrol);
}
img {
  display: block;
  width: 100%;
  min-height: 60px;
}
.mono {
  position: absolute;
  left: 4px;
  bottom: 2px;
  padding: 0 3px;
  background: #fff;
  font-size: 12px;
}
p {
  margin: 0;
  padding: 4px 10px;
  font-size: 12.5px;
}
</style>
