<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import DirectoryWays from '../parts/DirectoryWays.vue'
import SignInForm from '../parts/SignInForm.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'

const { t, te } = useI18n()
const router = useRouter()
const route = useRoute()
/** Why the directory, or what it says, did not let somebody in. */
const refused = computed(() => {
  const code = route.query.refused
  if (!code) return ''
  return t(te(`signIn.refused.${code}`) ? `signIn.refused.${code}` : 'signIn.refused.directoryFailed')
})
</script>

<template>
  <div class="ground">
    <div class="panel card">
      <div class="pole" aria-hidden="true" />
      <div class="form">
        <h1>{{ t('app.name') }}</h1>
        <p class="soft lead">{{ t('signIn.lead') }}</p>
        <NoteBanner v-if="refused" kind="wrong" class="refused">{{ refused }}</NoteBanner>
        <SignInForm @done="router.push(String(route.query.to ?? '/desk/board'))" />
        <DirectoryWays />
      </div>
    </div>
  </div>
</template>

<style scoped>
.ground {
  height: 100%;
  display: grid;
  place-items: center;
}
.card {
  display: flex;
  width: 400px;
  overflow: hidden;
}
.pole {
  width: 14px;
  background: repeating-linear-gradient(var(--stake) 0 34px, #fff 34px 68px);
  border-right: 1px solid var(--line);
}
.form {
  flex: 1;
  padding: 28px 30px 30px;
}
h1 {
  font-size: 28px;
}
.refused {
  margin-bottom: 14px;
}
.lead {
  margin: 4px 0 18px;
}
</style>
