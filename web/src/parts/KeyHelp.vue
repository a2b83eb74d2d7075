<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { currentKeys } from '../composables/useKeys'

/** The keys of the screen that is shown, beside it. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
</script>

<template>
  <ElDrawer
    v-model="open"
    :title="t('app.keysHere')"
    :modal="false"
    modal-penetrable
    :lock-scroll="false"
    size="380px"
    class="help"
  >
    <p v-if="!currentKeys.list.length">{{ t('app.noKeys') }}</p>
    <dl>
      <template v-for="a in currentKeys.list" :key="a.key">
        <dt>
          <kbd>{{ a.key }}</kbd>
        </dt>
        <dd>{{ a.label }}</dd>
      </template>
      <dt><kbd>Esc</kbd></dt>
      <dd>{{ t('app.leaveField') }}</dd>
    </dl>
  </ElDrawer>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 6px 10px;
  margin: 0;
}
dd {
  margin: 0;
}
dt kbd {
  margin: 0;
  opacity: 1;
  font-size: 13px;
  padding: 2px 6px;
}
</style>
