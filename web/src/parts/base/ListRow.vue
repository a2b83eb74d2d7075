<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** A row of a list: its state first, what it is, and its acts when they are asked for; the first one is at hand. */
export interface RowAct {
  name: string
  label: string
  disabled?: boolean
}
defineProps<{ title: string; state?: string; kind?: string; acts?: RowAct[] }>()
defineEmits<{ act: [name: string] }>()
const { t } = useI18n()
</script>

<template>
  <article class="list-row">
    <span v-if="state" class="state" :class="kind">{{ state }}</span>
    <div class="what">
      <b class="name">{{ title }}</b>
      <slot />
    </div>
    <div class="at-hand"><slot name="acts" /></div>
    <ElDropdown
      v-if="acts?.length"
      trigger="click"
      placement="bottom-end"
      @command="(name: string) => $emit('act', name)"
    >
      <ElButton class="act more" :aria-label="t('app.actsFor', { what: title })">
        {{ t('app.acts') }}
        <span aria-hidden="true">▾</span>
      </ElButton>
      <template #dropdown>
        <ElDropdownMenu>
          <ElDropdownItem v-for="a in acts" :key="a.name" :command="a.name" :disabled="a.disabled">
            {{ a.label }}
          </ElDropdownItem>
        </ElDropdownMenu>
      </template>
    </ElDropdown>
  </article>
</template>

<style scoped>
.list-row {
  display: flex;
  align-items: baseline;
  gap: 12px;
  padding: 8px 2px;
  border-top: 1px solid var(--line-faint);
}
.state {
  min-width: 84px;
  font-weight: 600;
}
.what {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.name {
  margin-inline-end: 0.5em;
}
.at-hand {
  display: flex;
  gap: 6px;
}
</style>
