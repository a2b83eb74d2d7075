<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema, worded } from '../api/client'
import { useAsking } from '../composables/useAsking'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import type { Right } from './rights'

/** Which groups alone have one right. */
const props = defineProps<{
  right: Right
  stream: string
  type: string
  title: string
  groups: Schema['Group'][]
  chosen: number[]
}>()
const emit = defineEmits<{ saved: [rules: Schema['Rule'][]]; close: [] }>()
const { t } = useI18n()
const these = ref([...props.chosen])
const { busy, refused, asking } = useAsking()

const save = () =>
  asking(
    () =>
      api.PUT('/api/rights', {
        body: { right: props.right, stream: props.stream, type: props.type, groups: these.value },
      }),
    (rules) => emit('saved', rules ?? []),
  )
</script>

<template>
  <form class="form" @submit.prevent="save">
    <b>{{ title }}</b>
    <p class="soft">
      {{
        groups.length
          ? t('people.onlyThese', { others: t(type ? 'people.asStream' : `people.byRole.${right}`) })
          : t('people.noGroups')
      }}
    </p>
    <ElCheckboxGroup v-model="these" class="groups">
      <ElCheckbox v-for="g in groups" :key="g.id" :value="g.id" :label="g.name" />
    </ElCheckboxGroup>
    <NoteBanner v-if="refused !== undefined" kind="wrong">{{ worded(refused) }}</NoteBanner>
    <div class="row">
      <KeyButton main submit :disabled="busy || !groups.length">{{ t('people.save') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </div>
  </form>
</template>

<style scoped>
.form,
.groups {
  display: grid;
  gap: 8px;
}
p {
  margin: 0;
}
</style>
