<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import SignInForm from '../parts/SignInForm.vue'

const { t } = useI18n()
const router = useRouter()
const route = useRoute()
</script>

<template>
  <div class="ground">
    <div class="panel card">
      <div class="pole" aria-hidden="true" />
      <div class="form">
        <h1>{{ t('app.name') }}</h1>
        <p class="soft lead">{{ t('signIn.lead') }}</p>
        <SignInForm @done="router.push(String(route.query.to ?? '/desk/board'))" />
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
.lead {
  margin: 4px 0 18px;
}
</style>
