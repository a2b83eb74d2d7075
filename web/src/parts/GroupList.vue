<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, type Schema } from '../api/client'
import AskReason from './AskReason.vue'
import KeyButton from './base/KeyButton.vue'
import ListRow from './base/ListRow.vue'

/** Groups of people, which alone can be given rights. */
defineProps<{ groups: Schema['Group'][]; members: Record<number, number> }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
type Group = Schema['Group']
/** What is typed for which group; its number is 0 for a new one. */
const asking = ref<{ what: 'name' | 'follow'; group: Group } | null>(null)
const NEW: Group = { id: 0, name: '', directoryName: '' }

async function save({ id, name, directoryName }: Group) {
  const body = { name, directoryName }
  const { error } = id
    ? await api.PUT('/api/groups/{id}', { params: { path: { id } }, body })
    : await api.POST('/api/groups', { body })
  if (error) tell(error)
  emit('changed')
}
function said(text: string) {
  const { what, group } = asking.value!
  asking.value = null
  return save(what === 'name' ? { ...group, name: text } : { ...group, directoryName: text })
}
async function act(what: string, group: Group) {
  if (what === 'name' || what === 'follow') asking.value = { what, group }
  else if (what === 'unfollow') await save({ ...group, directoryName: '' })
  else {
    const { error } = await api.DELETE('/api/groups/{id}', { params: { path: { id: group.id } } })
    if (error) tell(error)
    emit('changed')
  }
}
const acts = (g: Group) =>
  [
    { name: 'name', label: t('people.rename') },
    { name: 'follow', label: t('people.follow') },
    { name: 'unfollow', label: t('people.unfollow') },
    { name: 'remove', label: t('people.remove') },
  ].filter((a) => a.name !== 'unfollow' || g.directoryName)
</script>

<template>
  <aside class="panel groups">
    <div class="row">
      <h2 class="stretch">{{ t('people.groups') }}</h2>
      <KeyButton @click="asking = { what: 'name', group: NEW }">{{ t('people.addGroup') }}</KeyButton>
    </div>
    <p class="soft">{{ t(groups.length ? 'people.groupsLead' : 'people.noGroups') }}</p>
    <ListRow v-for="g in groups" :key="g.id" :title="g.name" :acts="acts(g)" @act="act($event, g)">
      <span class="soft">{{ t('people.members', members[g.id] ?? 0) }}</span>
      <div v-if="g.directoryName" class="soft">{{ t('people.follows', { name: g.directoryName }) }}</div>
    </ListRow>
    <AskReason
      v-if="asking"
      :label="t(asking.what === 'name' ? 'people.group' : 'people.followsWhich')"
      :given="asking.what === 'name' ? asking.group.name : asking.group.directoryName"
      @said="said"
      @close="asking = null"
    />
  </aside>
</template>

<style scoped>
.groups {
  padding: 12px 14px;
}
h2 {
  font-size: 16px;
  margin: 0;
}
p {
  margin: 8px 0;
}
</style>
