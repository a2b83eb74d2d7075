<script setup lang="ts">
import SentenceBlank from './SentenceBlank.vue'
import { filled, said, type Blank } from './blanks'
import { toRaw } from 'vue'

/** A part of a stream as a sentence with blanks to fill; its words, and those of its choices, stand under one key. */
defineProps<{ blanks: Blank[]; sentence: string; words: string }>()
const part = defineModel<Record<string, unknown>>({ required: true })
</script>

<template>
  <i18n-t :keypath="sentence" tag="div" class="sentence" scope="global">
    <template v-for="blank in blanks" :key="blank.name" #[blank.name]>
      <SentenceBlank
        v-bind="{ blank, words }"
        :beside="part"
        :value="said(part, blank)"
        @put="part = filled(toRaw(part), blank, $event)"
      />
    </template>
  </i18n-t>
</template>

<style scoped>
.sentence {
  line-height: 2.3;
}
.sentence :deep(.el-select) {
  width: auto;
  min-width: 100px;
  display: inline-block;
}
/* As wide as what is chosen. */
.sentence :deep(.pick .el-select__placeholder) {
  position: static;
  transform: none;
  max-width: 340px;
}
.sentence :deep(.pick .el-select__input-wrapper) {
  position: absolute;
}
.sentence :deep(.pick) {
  min-width: 70px;
}
.sentence :deep(.phrases) {
  width: 100%;
}
.sentence :deep(.phrases .el-tag) {
  max-width: 100%;
}
.sentence :deep(.short) {
  width: 150px;
}
.sentence :deep(.wide) {
  width: 100%;
}
.sentence :deep(.figure) {
  width: 84px;
}
</style>
