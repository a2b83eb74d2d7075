<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { currentKeys } from '../composables/useKeys'
import KeyButton from './base/KeyButton.vue'

defineEmits<{ close: [] }>()
const { t } = useI18n()
</script>

<template>
  <aside class="help panel" role="dialog" :aria-label="t('app.keysHere')">
    <header class="row">
      <h2 class="stretch">{{ t('app.keysHere') }}</h2>
      <KeyButton k="Esc" @click="$emit('close')">
        {{ t('app.close') }}
      </KeyButton>
    </header>
    <p v-if="!currentKeys.list.length">{{ t('app.noKeys') }}</p>
    <dl>
      <template v-for="a in currentKeys.list" :key="a.key">
        <dt>
          <kbd>{{ a.key }}</kbd>
        </dt>
        <dd>{{ a.label }}</dd>
      </template>
    </dl>
  </aside>
</template>

<style scoped>
.help {
  position: fixed;
  right: 16px;
  top: 56px;
  width: 360px;
  max-height: calc(100vh - 80px);
  overflow: auto;
  padding: 14px 16px;
  box-shadow: 0 6px 24px rgb(29 39 51 / 35%);
  z-index: 50;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 6px 10px;
  margin: 12px 0 0;
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
