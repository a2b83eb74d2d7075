<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useSession } from '../session'
import FieldBox from '../parts/base/FieldBox.vue'
import KeyButton from '../parts/base/KeyButton.vue'

const { t } = useI18n()
const session = useSession()
const router = useRouter()
const route = useRoute()
const name = ref('')
const password = ref('')
const problem = ref<string | null>(null)
const busy = ref(false)

async function go() {
  busy.value = true
  try {
    problem.value = await session.signIn(name.value, password.value)
    if (!problem.value) await router.push(String(route.query.to ?? '/desk/board'))
  } catch {
    problem.value = t('app.noServer')
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="ground">
    <form class="panel card" @submit.prevent="go">
      <div class="pole" aria-hidden="true" />
      <div class="form">
        <h1>{{ t('app.name') }}</h1>
        <p class="soft lead">{{ t('signIn.lead') }}</p>
        <FieldBox :label="t('signIn.name')">
          <ElInput v-model="name" name="username" autocomplete="username" autofocus required />
        </FieldBox>
        <FieldBox :label="t('signIn.password')">
          <ElInput
            v-model="password"
            name="password"
            type="password"
            autocomplete="current-password"
            required
          />
        </FieldBox>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <KeyButton :disabled="busy" main submit k="Enter">
          {{ t('signIn.go') }}
        </KeyButton>
      </div>
    </form>
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
  display: flex;
  flex-direction: column;
  gap: 14px;
}
h1 {
  font-size: 28px;
}
.lead {
  margin: -10px 0 4px;
}
.problem {
  margin: 0;
  padding: 6px 9px;
  background: var(--wrong-pale);
  color: var(--wrong);
  border-left: 4px solid var(--wrong);
}
</style>
