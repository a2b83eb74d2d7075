<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'

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
  <h2>{{ t('header.title') }}</h2>
  <div class="row sheet">
    <label>
      {{ t('header.pages') }}
      <ElInput v-model="pages" inputmode="numeric" />
    </label>
    <label>
      {{ t('header.documents') }}
      <ElInput v-model="documents" inputmode="numeric" />
    </label>
    <a class="act" :href="address(stream)" target="_blank">{{ t('header.print') }}</a>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.sheet {
  gap: 10px;
  flex-wrap: wrap;
}
.el-input {
  width: 70px;
}
a.act {
  text-decoration: none;
}
</style>
