<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import GroupList from './GroupList.vue'
import PersonForm from './PersonForm.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import WaitingFor from './base/WaitingFor.vue'

type Account = Schema['Account']

/** Everybody who may sign in or once did, and the groups that they are in. */
const { t } = useI18n()
const people = useLoad(() => api.GET('/api/people'))
const groups = useLoad(() => api.GET('/api/groups'))
const editing = ref<Account | 'new' | null>(null)
const form = ref<InstanceType<typeof PersonForm>>()
const done = ref('')
const given = ref<{ name: string; password: string } | null>(null)

const names = (of: number[]) =>
  (groups.data.value ?? [])
    .filter((g) => of.includes(g.id))
    .map((g) => g.name)
    .join(', ')
const members = computed(() => {
  const count: Record<number, number> = {}
  for (const p of people.data.value ?? []) for (const g of p.groups) count[g] = (count[g] ?? 0) + 1
  return count
})

async function saved(name: string, password?: string) {
  editing.value = null
  given.value = password ? { name, password } : null
  done.value = password ? '' : t('people.saved', { name })
  await people.load()
}
async function groupsChanged() {
  await Promise.all([groups.load(), people.load()])
}
useKeys([{ key: 'A', on: ['a', 'A'], label: t('people.add'), run: () => (editing.value = 'new') }])
</script>

<template>
  <div class="beside">
    <section>
      <div class="row head">
        <span class="stretch" />
        <KeyButton main k="A" @click="editing = 'new'">{{ t('people.add') }}</KeyButton>
      </div>
      <NoteBanner v-if="given" kind="doubt">
        {{ t('people.given', { name: given.name }) }}
        <br />
        <code class="mono">{{ given.password }}</code>
      </NoteBanner>
      <NoteBanner v-if="done">{{ done }}</NoteBanner>
      <WaitingFor
        v-bind="{ loading: people.loading.value, problem: people.problem.value }"
        @again="people.load"
      />
      <ElTable v-if="people.data.value" :data="people.data.value" row-key="signIn">
        <ElTableColumn :label="t('people.name')" prop="name" min-width="130" />
        <ElTableColumn :label="t('people.signIn')" min-width="120">
          <template #default="{ row }">
            <span class="mono">{{ row.signIn }}</span>
            <div v-if="row.directory" class="soft">{{ t('people.isByDirectory') }}</div>
          </template>
        </ElTableColumn>
        <ElTableColumn :label="t('people.does')" width="110">
          <template #default="{ row }">{{ t(`people.role.${row.role}`) }}</template>
        </ElTableColumn>
        <ElTableColumn :label="t('people.groups')" min-width="140">
          <template #default="{ row }">
            <span :class="{ soft: !row.groups.length }">{{ names(row.groups) || t('people.noGroup') }}</span>
          </template>
        </ElTableColumn>
        <ElTableColumn width="140">
          <template #default="{ row }">
            <span class="state" :class="row.locked ? 'empty' : 'sure'">
              {{ t(row.locked ? 'people.isLocked' : 'people.may') }}
            </span>
          </template>
        </ElTableColumn>
        <ElTableColumn width="110" align="right">
          <template #default="{ row }">
            <KeyButton @click="editing = row as Account">{{ t('people.change') }}</KeyButton>
          </template>
        </ElTableColumn>
      </ElTable>
    </section>
    <GroupList :groups="groups.data.value ?? []" :members="members" @changed="groupsChanged" />
    <ElDrawer
      :model-value="!!editing"
      :title="t(editing === 'new' ? 'people.add' : 'people.changeOne')"
      size="460px"
      destroy-on-close
      @opened="form?.focus()"
      @update:model-value="editing = null"
    >
      <PersonForm
        v-if="editing"
        ref="form"
        :person="editing === 'new' ? null : editing"
        :groups="groups.data.value ?? []"
        @saved="saved"
        @close="editing = null"
      />
    </ElDrawer>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 16px;
  align-items: start;
}
section {
  display: grid;
  gap: 10px;
}
.state {
  font-weight: 600;
}
</style>
