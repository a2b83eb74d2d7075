<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { moment } from './times'
import KeyButton from './base/KeyButton.vue'

/** Keys for programs that send batches. */
const props = defineProps<{ streams: Schema['Listed'][] }>()
const { t } = useI18n()
const tokens = ref<Schema['Token'][]>([])
const name = ref('')
const chosen = ref<string[]>([])
const secret = ref('')
const making = ref(false)

async function load() {
  const { data } = await api.GET('/api/tokens')
  tokens.value = data ?? []
}
void load()
async function make() {
  const { data, error } = await api.POST('/api/tokens', { body: { name: name.value, streams: chosen.value } })
  if (!data) return tell(error)
  secret.value = data.secret
  making.value = false
  name.value = ''
  chosen.value = []
  await load()
}
async function revoke(id: number) {
  const { error } = await api.POST('/api/tokens/{id}/revoke', { params: { path: { id } } })
  if (error) tell(error)
  await load()
}
const title = (s: string) => props.streams.find((x) => x.name === s)?.title ?? s
</script>

<template>
  <div class="row">
    <h2>{{ t('tokens.title') }}</h2>
    <span class="stretch" />
    <KeyButton @click="making = !making">{{ t('tokens.make') }}</KeyButton>
  </div>
  <form v-if="making" class="form" @submit.prevent="make">
    <ElInput
      v-model="name"
      :placeholder="t('tokens.name')"
      :aria-label="t('tokens.name')"
      required
      maxlength="80"
    />
    <ElCheckboxGroup v-model="chosen">
      <ElCheckbox v-for="s in streams" :key="s.name" :value="s.name" :label="s.title" />
    </ElCheckboxGroup>
    <KeyButton :disabled="!name || !chosen.length" main submit>{{ t('tokens.make') }}</KeyButton>
  </form>
  <p v-if="secret" class="secret">
    {{ t('tokens.once') }}
    <br />
    <code class="mono">{{ secret }}</code>
  </p>
  <p v-if="!tokens.length" class="soft">{{ t('tokens.none') }}</p>
  <article v-for="k in tokens" :key="k.id" :class="{ gone: k.revokedAt }">
    <b>{{ k.name }}</b>
    <span class="soft small">
      {{ k.streams.map(title).join(', ') }} ·
      {{
        k.revokedAt
          ? t('tokens.revoked', { time: moment(k.revokedAt) })
          : k.usedAt
            ? t('tokens.used', { time: moment(k.usedAt) })
            : t('tokens.unused')
      }}
    </span>
    <KeyButton v-if="!k.revokedAt" @click="revoke(k.id)">{{ t('tokens.revoke') }}</KeyButton>
  </article>
</template>

<style scoped>
.form {
  display: grid;
  gap: 6px;
  background: var(--field);
  border: 1px solid var(--line);
  padding: 10px;
}
.secret {
  background: var(--doubt-pale);
  padding: 8px;
  overflow-wrap: anywhere;
}
article {
  padding: 6px 0;
  border-top: 1px solid var(--line);
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.gone b {
  text-decoration: line-through;
}
.small {
  font-size: 13.5px;
}
</style>
