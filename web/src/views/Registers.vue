<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useKeys } from '../composables/useKeys'
import { useRegisters } from '../composables/useRegisters'
import type { Schema } from '../api/client'
import RegisterFacts from '../parts/RegisterFacts.vue'
import RegisterSource from '../parts/RegisterSource.vue'
import RegisterTrial from '../parts/RegisterTrial.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import NoteBanner from '../parts/base/NoteBanner.vue'
import PanelBox from '../parts/base/PanelBox.vue'
import PickFiles from '../parts/base/PickFiles.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { useSession } from '../session'

/** The organisation's own records that values are looked up in and held against. */
const { t } = useI18n()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const registers = useRegisters()
const {
  list,
  loading,
  problem,
  load,
  name,
  q,
  detail,
  newcomers,
  rows,
  columns,
  trial,
  busy,
  refused,
  done,
} = registers
/** Which source is being written. */
const form = ref<'new' | 'this' | null>(null)
async function attempt(as: string, settings: Schema['SourceSettings']) {
  if (await registers.trySource(as, settings)) form.value = null
}
const picker = ref<InstanceType<typeof PickFiles>>()
useKeys([
  {
    key: 'S',
    on: ['s', 'S'],
    label: t('registers.addSource'),
    run: () => supervisor.value && (form.value = 'new'),
  },
  { key: 'L', on: ['l', 'L'], label: t('registers.load'), run: () => picker.value?.choose() },
  {
    key: 'Ctrl+Enter',
    on: ['Enter'],
    ctrl: true,
    typing: true,
    label: t('registers.save'),
    run: () => void registers.save(),
  },
])
</script>

<template>
  <div class="registers">
    <header class="row">
      <h1 class="stretch">{{ t('registers.title') }}</h1>
      <span v-if="!supervisor" class="soft">{{ t('registers.only') }}</span>
      <KeyButton v-else k="S" @click="form = 'new'">{{ t('registers.addSource') }}</KeyButton>
      <PickFiles
        v-if="supervisor"
        ref="picker"
        accept=".csv,.txt,text/csv"
        k="L"
        main
        :disabled="busy"
        @files="([file]) => registers.take(file)"
      >
        {{ t('registers.load') }}
      </PickFiles>
    </header>
    <NoteBanner v-if="refused && !form" kind="wrong">{{ refused }}</NoteBanner>
    <NoteBanner v-if="done">{{ done }}</NoteBanner>
    <ElDrawer :model-value="!!form" :title="t('registers.source')" size="420px" @close="form = null">
      <RegisterSource
        v-if="form"
        :name="form === 'this' ? name : ''"
        :source="form === 'this' ? detail?.source : undefined"
        v-bind="{ busy, refused }"
        @try="attempt"
        @close="form = null"
      />
    </ElDrawer>
    <RegisterTrial
      v-if="trial"
      v-bind="{ trial, busy }"
      :known="(list ?? []).map((r) => r.name)"
      @save="registers.save"
      @rename="registers.rename"
      @close="trial = null"
    />
    <div v-else-if="list?.length" class="parts">
      <PanelBox :title="t('registers.all')">
        <ElMenu :default-active="name" @select="(chosen: string) => (name = chosen)">
          <ElMenuItem v-for="r in list" :key="r.name" :index="r.name">
            <span class="mono stretch">{{ r.name }}</span>
            <span class="soft">{{ t('registers.rows', r.rows) }}</span>
          </ElMenuItem>
        </ElMenu>
      </PanelBox>
      <PanelBox v-if="detail" :title="name">
        <template #acts>
          <span class="soft">{{ rows ? t('registers.found', { n: rows.all }) : '' }}</span>
          <ElInput
            v-model="q"
            class="search"
            clearable
            :placeholder="t('registers.search')"
            :aria-label="t('registers.search')"
          />
        </template>
        <ElTable
          :data="rows?.rows ?? []"
          height="calc(100vh - 260px)"
          size="small"
          :scrollbar-tabindex="0"
          :empty-text="t('registers.none')"
        >
          <ElTableColumn v-for="c in columns" :key="c" :label="c" min-width="120" show-overflow-tooltip>
            <template #default="{ row }">{{ row[c] }}</template>
          </ElTableColumn>
        </ElTable>
        <p v-if="rows && rows.all > rows.rows.length" class="soft">
          {{ t('registers.first', { n: rows.rows.length }) }}
        </p>
      </PanelBox>
      <PanelBox v-if="detail" :title="t('registers.columns')">
        <RegisterFacts
          v-bind="{ detail, newcomers, supervisor, busy }"
          @change="form = 'this'"
          @look="registers.lookAtSource"
          @by-hand="registers.removeSource"
          @say="registers.sayKind"
        />
      </PanelBox>
    </div>
    <WaitingFor v-else v-bind="{ loading, problem }" :empty="t('registers.noRegister')" @again="load" />
  </div>
</template>

<style scoped>
.registers {
  padding: 12px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.parts :deep(.el-menu) {
  --el-menu-base-level-padding: 8px;
  --el-menu-item-height: 36px;
  border: 0;
}
.parts {
  display: grid;
  grid-template-columns: minmax(180px, 220px) minmax(0, 1fr) minmax(220px, 300px);
  gap: 12px;
  align-items: start;
}
.search {
  width: 220px;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
