<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import DirectoryWays from './DirectoryWays.vue'
import SignInForm from './SignInForm.vue'

/** Over the screen when its session has ended: what is on it stays, and goes on once the same person has signed in. */
defineProps<{ name: string; directory: boolean }>()
const { t } = useI18n()
const form = ref<InstanceType<typeof SignInForm>>()
</script>

<template>
  <ElDialog
    model-value
    :title="t('signIn.title')"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    width="380px"
    append-to-body
    @opened="form?.focus()"
  >
    <p class="ended">{{ t('signIn.ended') }}</p>
    <SignInForm v-if="!directory" ref="form" :known="name" />
    <DirectoryWays v-else beside />
  </ElDialog>
</template>

<style scoped>
.ended {
  margin: 0 0 14px;
}
</style>
