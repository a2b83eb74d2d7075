<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useAsking } from '../composables/useAsking'
import FormEnd from './base/FormEnd.vue'
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
    <FormEnd
      :act="t('people.save')"
      v-bind="{ busy, refused }"
      :ready="groups.length > 0"
      @close="emit('close')"
    />
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
