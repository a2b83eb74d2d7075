<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, worded } from '../api/client'
import { useSession } from '../session'
import FieldBox from '../parts/base/FieldBox.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import MyPlace from '../parts/MyPlace.vue'

/** What is a person's own: the password, and how the screens look. */
const { t } = useI18n()
const session = useSession()
const router = useRouter()
const before = ref('')
const after = ref('')
const again = ref('')
const problem = ref<string | null>(null)
const done = ref(false)
const busy = ref(false)

async function change() {
  problem.value = after.value === again.value ? null : t('password.differ')
  if (problem.value || busy.value) return
  busy.value = true
  const { error } = await api.POST('/api/me/password', { body: { before: before.value, after: after.value } })
  busy.value = false
  problem.value = error ? worded(error) : null
  done.value = !error
  if (error) return
  before.value = after.value = again.value = ''
  if (session.me?.mustChange) {
    session.me.mustChange = false
    await router.push('/')
  }
}
</script>

<template>
  <div class="mine" @keydown.esc="router.back()">
    <MyPlace />
    <div v-if="session.me?.directory" class="panel card">
      <h1>{{ t('password.title') }}</h1>
      <p>{{ t('password.byDirectory') }}</p>
    </div>
    <form v-else class="panel card" @submit.prevent="change">
      <h1>{{ t('password.title') }}</h1>
      <p class="soft">
        {{ t(session.me?.mustChange ? 'password.mustChange' : 'password.lead', { name: session.me?.name }) }}
      </p>
      <input type="text" name="username" autocomplete="username" :value="session.me?.signIn" hidden />
      <FieldBox :label="t('password.before')">
        <ElInput v-model="before" type="password" autocomplete="current-password" required />
      </FieldBox>
      <FieldBox :label="t('password.after')">
        <ElInput v-model="after" type="password" autocomplete="new-password" minlength="12" required />
      </FieldBox>
      <FieldBox :label="t('password.again')">
        <ElInput v-model="again" type="password" autocomplete="new-password" required />
      </FieldBox>
      <NoteBanner v-if="problem" kind="wrong">{{ problem }}</NoteBanner>
      <NoteBanner v-if="done">{{ t('password.done') }}</NoteBanner>
      <div class="row">
        <KeyButton :disabled="busy" main submit k="Enter">{{ t('password.change') }}</KeyButton>
        <KeyButton k="Esc" @click="router.back()">{{ t('app.close') }}</KeyButton>
      </div>
    </form>
  </div>
</template>

<style scoped>
.mine {
  min-height: 100%;
  padding: 14px;
  display: flex;
  gap: 14px;
  align-items: stretch;
  justify-content: center;
  align-content: center;
  flex-wrap: wrap;
}
.card {
  width: 430px;
  padding: 24px 28px 28px;
  display: flex;
  flex-direction: column;
  gap: 13px;
}
h1 {
  font-size: 22px;
}
p {
  margin: 0;
}
</style>
