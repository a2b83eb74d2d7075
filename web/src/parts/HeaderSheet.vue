<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FieldBox from './base/FieldBox.vue'

/** A batch header sheet to be laid on top of a stack: says for which stream it is and how much follows. */
defineProps<{ stream: string }>()
const { t } = useI18n()
const pages = ref('')
const documents = ref('')
const address = (stream: string) =>
  `/api/streams/${stream}/header-sheet?` +
  new URLSearchParams({
    ...(pages.value && { pages: pages.value }),
    ...(documents.value && { documents: documents.value }),
  })
</script>

<template>
  <p class="soft">{{ t('header.what') }}</p>
  <div class="row sheet">
    <FieldBox :label="t('header.pages')"><ElInput v-model="pages" inputmode="numeric" /></FieldBox>
    <FieldBox :label="t('header.documents')"><ElInput v-model="documents" inputmode="numeric" /></FieldBox>
    <ElButton class="act" tag="a" :href="address(stream)" target="_blank">{{ t('header.print') }}</ElButton>
  </div>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
.sheet {
  gap: 10px;
  flex-wrap: wrap;
  align-items: flex-end;
}
.el-input {
  width: 90px;
}
</style>
