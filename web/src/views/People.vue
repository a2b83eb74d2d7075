<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import LogList from '../parts/LogList.vue'
import PeopleList from '../parts/PeopleList.vue'
import RightsTable from '../parts/RightsTable.vue'

/** Who may sign in, who may do what, and who did what. */
const { t } = useI18n()
const tab = ref('list')
</script>

<template>
  <div class="people">
    <h1>{{ t('people.title') }}</h1>
    <ElTabs v-model="tab">
      <ElTabPane name="list" :label="t('people.list')"><PeopleList /></ElTabPane>
      <ElTabPane name="rights" :label="t('people.rights')" lazy><RightsTable /></ElTabPane>
      <ElTabPane name="log" :label="t('people.log')" lazy><LogList /></ElTabPane>
    </ElTabs>
  </div>
</template>

<style scoped>
.people {
  padding: 12px 16px;
}
</style>
