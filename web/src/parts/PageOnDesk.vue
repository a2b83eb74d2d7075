<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { pictureOf, type Repair, type Schema } from '../api/client'
import DocumentPages from './DocumentPages.vue'
import PageBeside from './PageBeside.vue'
import PageViewer from './PageViewer.vue'
import type { Shape } from './shapes'

/** The current page of the Page desk through its recipe, with what is looked at together with it. */
defineProps<{
  no: string
  page: Schema['DeskPage']
  beside: InstanceType<typeof PageBeside>['$props'] | undefined
  /** All pages of its document, where they are wanted instead of the one; else none. */
  together: Schema['DeskPage'][]
  recipe: Repair[]
  lens: boolean
  shapes: Shape[]
}>()
defineEmits<{ select: [page: number] }>()
const { t } = useI18n()
const viewer = ref<InstanceType<typeof PageViewer>>()
defineExpose({
  zoom: (factor: number) => viewer.value?.zoom(factor),
  fit: (to: 'whole' | 'width') => viewer.value?.fit(to),
  real: () => viewer.value?.real(),
})
</script>

<template>
  <DocumentPages
    v-if="together.length"
    v-bind="{ no, current: page.no }"
    :pages="together"
    @select="$emit('select', $event)"
  />
  <div v-else class="pair row-of">
    <PageBeside v-if="beside" v-bind="beside" />
    <PageViewer
      ref="viewer"
      :src="pictureOf(no, page, 900, recipe)"
      :fine="pictureOf(no, page, 1700, recipe)"
      :thumb="pictureOf(no, page, 200)"
      :turn="recipe.some((r) => r.do === 'straighten') ? -page.lean : 0"
      :lean="page.lean"
      :alt="t('pageDesk.page', { no: page.no })"
      :width-mm="page.widthMm"
      :height-mm="page.heightMm"
      v-bind="{ lens, shapes }"
    />
  </div>
</template>

<style scoped>
.pair {
  height: 100%;
}
</style>
