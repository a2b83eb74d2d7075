<script setup lang="ts" generic="T extends string | number | boolean">
/** One of a few: the library's list with our words; where nothing is chosen yet, `placeholder` says what for. */
defineProps<{ options: { value: T; label: string }[]; placeholder?: string }>()
const chosen = defineModel<T | null>()
</script>

<template>
  <ElSelect
    v-model="chosen"
    class="pick"
    :placeholder="placeholder ?? ' '"
    :empty-values="placeholder ? undefined : [null, undefined]"
    :value-on-clear="null"
  >
    <ElOption v-for="o in options" :key="String(o.value)" :value="o.value" :label="o.label" />
  </ElSelect>
</template>

<style scoped>
.pick {
  min-width: 110px;
}
</style>
