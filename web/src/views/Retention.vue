<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import DueList from '../parts/DueList.vue'
import ErasedList from '../parts/ErasedList.vue'
import HoldList from '../parts/HoldList.vue'

/** What is kept no longer, what is held, and what was erased. */
const { t } = useI18n()
const tab = ref('due')
</script>

<template>
  <div class="retention">
    <div class="row">
      <h1 class="stretch">{{ t('retention.title') }}</h1>
      <RouterLink :to="{ name: 'archive' }">{{ t('retention.back') }}</RouterLink>
    </div>
    <ElTabs v-model="tab">
      <ElTabPane name="due" :label="t('retention.due')"><DueList /></ElTabPane>
      <ElTabPane name="held" :label="t('retention.held')" lazy><HoldList /></ElTabPane>
      <ElTabPane name="gone" :label="t('retention.gone')" lazy>
        <ErasedList v-if="tab === 'gone'" />
      </ElTabPane>
    </ElTabs>
  </div>
</template>

<style scoped>
.retention {
  padding: 12px 16px;
}
</style>
