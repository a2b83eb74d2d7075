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
/** The group that gets a name: 0 for a new one. */
const naming = ref<number | null>(null)

async function named(name: string) {
  const id = naming.value
  naming.value = null
  const { error } = id
    ? await api.PUT('/api/groups/{id}', { params: { path: { id } }, body: { name } })
    : await api.POST('/api/groups', { body: { name } })
  if (error) tell(error)
  emit('changed')
}
async function act(what: string, id: number) {
  if (what === 'rename') {
    naming.value = id
    return
  }
  const { error } = await api.DELETE('/api/groups/{id}', { params: { path: { id } } })
  if (error) tell(error)
  emit('changed')
}
</script>

<template>
  <aside class="panel groups">
    <div class="row">
      <h2 class="stretch">{{ t('people.groups') }}</h2>
      <KeyButton @click="naming = 0">{{ t('people.addGroup') }}</KeyButton>
    </div>
    <p class="soft">{{ t(groups.length ? 'people.groupsLead' : 'people.noGroups') }}</p>
    <ListRow
      v-for="g in groups"
      :key="g.id"
      :title="g.name"
      :acts="[
        { name: 'rename', label: t('people.rename') },
        { name: 'remove', label: t('people.remove') },
      ]"
      @act="act($event, g.id)"
    >
      <span class="soft">{{ t('people.members', members[g.id] ?? 0) }}</span>
    </ListRow>
    <AskReason
      v-if="naming !== null"
      :label="t('people.group')"
      :given="groups.find((g) => g.id === naming)?.name"
      @said="named"
      @close="naming = null"
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
