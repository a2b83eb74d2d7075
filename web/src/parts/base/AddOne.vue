<script setup lang="ts" generic="T extends string">
/** Adds one of several kinds of a thing: the button opens the list of them. */
defineProps<{ options: { value: T; label: string }[] }>()
const emit = defineEmits<{ add: [kind: T] }>()
</script>

<template>
  <ElDropdown trigger="click" @command="(kind: T) => emit('add', kind)">
    <ElButton class="act">
      <slot />
      <span aria-hidden="true" class="down">▾</span>
    </ElButton>
    <template #dropdown>
      <ElDropdownMenu>
        <ElDropdownItem v-for="o in options" :key="o.value" :command="o.value">{{ o.label }}</ElDropdownItem>
      </ElDropdownMenu>
    </template>
  </ElDropdown>
</template>

<style scoped>
.down {
  margin-inline-start: 5px;
}
</style>
