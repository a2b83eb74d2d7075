<script setup lang="ts">
import type { UploadFile, UploadInstance } from 'element-plus'
import { nextTick, ref } from 'vue'
import KeyButton from './KeyButton.vue'

/** A button that lets files be chosen, or with `directory` a folder with all in it; they come together, as chosen. */
defineProps<{
  accept?: string
  multiple?: boolean
  directory?: boolean
  disabled?: boolean
  k?: string
  main?: boolean
}>()
const emit = defineEmits<{ files: [files: File[]] }>()
const upload = ref<UploadInstance>()
let chosen: File[] = []

/** The library tells of one file after the other. */
async function add(file: UploadFile) {
  chosen.push(file.raw!)
  if (chosen.length > 1) return
  await nextTick()
  upload.value?.clearFiles()
  emit('files', chosen)
  chosen = []
}
defineExpose({ choose: () => (upload.value?.$el as HTMLElement).querySelector('input')?.click() })
</script>

<template>
  <ElUpload
    ref="upload"
    class="pick-files"
    :auto-upload="false"
    :show-file-list="false"
    :on-change="add"
    v-bind="{ accept, multiple, directory, disabled }"
  >
    <!-- What takes the press is around it already. -->
    <KeyButton tag="span" :disabled="disabled" :k="k" :main="main"><slot /></KeyButton>
  </ElUpload>
</template>

<style scoped>
.pick-files {
  display: inline-block;
}
</style>
