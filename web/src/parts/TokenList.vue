<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import { moment } from './times'
import { useLoad } from '../composables/useLoad'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import ListRow from './base/ListRow.vue'
import NoteBanner from './base/NoteBanner.vue'
import WaitingFor from './base/WaitingFor.vue'

/** Keys for programs that send batches. */
const props = defineProps<{ streams: Schema['Listed'][] }>()
const { t } = useI18n()
const { data, loading, problem, load } = useLoad(() => api.GET('/api/tokens'))
const empty = computed(() => !!data.value && !data.value.length && t('tokens.none'))
const name = ref('')
const chosen = ref<string[]>([])
const secret = ref('')
const making = ref(false)

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
function course(k: Schema['Token']) {
  if (k.revokedAt) return t('tokens.revoked', { time: moment(k.revokedAt) })
  return k.usedAt ? t('tokens.used', { time: moment(k.usedAt) }) : t('tokens.unused')
}
</script>

<template>
  <div class="row">
    <span class="soft stretch">{{ t('tokens.what') }}</span>
    <KeyButton :aria-expanded="making" @click="making = !making">{{ t('tokens.make') }}</KeyButton>
  </div>
  <form v-if="making" class="form" @submit.prevent="make">
    <FieldBox :label="t('tokens.name')"><ElInput v-model="name" maxlength="80" /></FieldBox>
    <ElCheckboxGroup v-model="chosen">
      <ElCheckbox v-for="s in streams" :key="s.name" :value="s.name" :label="s.title" />
    </ElCheckboxGroup>
    <KeyButton :disabled="!name || !chosen.length" main submit>{{ t('tokens.make') }}</KeyButton>
  </form>
  <NoteBanner v-if="secret" kind="doubt">
    {{ t('tokens.once') }}
    <br />
    <code class="mono">{{ secret }}</code>
  </NoteBanner>
  <WaitingFor v-bind="{ loading, problem }" :empty="empty" @again="load" />
  <ListRow
    v-for="k in data ?? []"
    :key="k.id"
    :title="k.name"
    :state="t(k.revokedAt ? 'tokens.gone' : 'tokens.inForce')"
    :kind="k.revokedAt ? 'empty' : 'sure'"
    :acts="k.revokedAt ? [] : [{ name: 'revoke', label: t('tokens.revoke') }]"
    @act="revoke(k.id)"
  >
    <div class="soft small">{{ k.streams.map(title).join(', ') }} · {{ course(k) }}</div>
  </ListRow>
</template>

<style scoped>
.form {
  display: grid;
  gap: 6px;
  background: var(--field);
  border: 1px solid var(--line);
  padding: 10px;
}
.small {
  font-size: 13.5px;
}
</style>
