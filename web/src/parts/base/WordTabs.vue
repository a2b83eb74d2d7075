<script setup lang="ts" generic="T extends string">
/** Tabs by their words, all of them in sight: where they are long they take two lines. */
const tab = defineModel<T>({ required: true })
</script>

<template>
  <ElTabs v-model="tab" class="word-tabs"><slot /></ElTabs>
</template>

<style scoped>
.word-tabs :deep(.el-tabs__nav-wrap) {
  padding: 0;
}
.word-tabs :deep(.el-tabs__nav-scroll) {
  overflow: visible;
}
.word-tabs :deep(.el-tabs__nav) {
  flex-wrap: wrap;
  float: none;
  transform: none !important;
}
.word-tabs :deep(.el-tabs__nav-prev),
.word-tabs :deep(.el-tabs__nav-next),
.word-tabs :deep(.el-tabs__active-bar) {
  display: none;
}
.word-tabs :deep(.el-tabs__item) {
  padding: 0 8px;
}
.word-tabs :deep(.el-tabs__item.is-active) {
  border-bottom: 2px solid var(--petrol);
}
</style>
