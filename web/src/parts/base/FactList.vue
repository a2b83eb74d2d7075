<script setup lang="ts">
/** What is known of something, a line each: what it is, and what it says. Values that were read stand in mono. */
defineProps<{ facts: { label: string; value: string; mono?: boolean }[] }>()
</script>

<template>
  <ElDescriptions class="facts-list" :column="1" size="small">
    <ElDescriptionsItem v-for="f in facts" :key="f.label" :label="f.label" label-class-name="soft">
      <bdi :class="{ mono: f.mono }">{{ f.value }}</bdi>
    </ElDescriptionsItem>
  </ElDescriptions>
</template>
