<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import { useSession } from '../session'
import HoldForm from './HoldForm.vue'
import PickOne from './base/PickOne.vue'

/** Over the results: how many, in which order, and what can be taken along. */
const props = defineProps<{
  line: string
  total: number
  fields: Schema['SearchField'][]
  chosen: number[]
}>()
const emit = defineEmits<{ none: [] }>()
const supervisor = useSession().me?.role === 'supervisor'
const holding = ref(false)
function held() {
  holding.value = false
  emit('none')
}
const sort = defineModel<string>('sort', { required: true })
const { t } = useI18n()

/** What does not stand on the papers, or is the order of filing. */
const NOT_SORTED_BY = ['filed', 'year']
const orders = computed(() => [
  { value: '', label: t('archive.sort.newest') },
  { value: 'filed', label: t('archive.sort.oldest') },
  ...props.fields
    .filter((f) => !NOT_SORTED_BY.includes(f.name))
    .flatMap((f) => [
      { value: f.name, label: t('archive.sort.up', { title: f.title }) },
      { value: `-${f.name}`, label: t('archive.sort.down', { title: f.title }) },
    ]),
])
const table = computed(
  () => `/api/archive/results.csv?${new URLSearchParams({ q: props.line, sort: sort.value })}`,
)
const files = (as: string) => `/api/archive/files.${as}?ids=${props.chosen.join(',')}`
</script>

<template>
  <div class="row bar">
    <span>{{ line ? t('archive.found', total) : t('archive.newest', total) }}</span>
    <template v-if="chosen.length">
      <b>{{ t('archive.chosen', chosen.length) }}</b>
      <a :href="files('pdf')" download>{{ t('archive.asPdf') }}</a>
      <a :href="files('zip')" download>{{ t('archive.asZip') }}</a>
      <ElButton v-if="supervisor" link @click="holding = true">{{ t('retention.hold') }}</ElButton>
      <ElButton link @click="emit('none')">{{ t('archive.chooseNone') }}</ElButton>
    </template>
    <span class="stretch" />
    <a :href="table" download>{{ t('archive.table') }}</a>
    <PickOne v-model="sort" class="orders" :aria-label="t('archive.sortBy')" :options="orders" />
    <ElDrawer
      v-model="holding"
      :title="t('retention.holdThese', chosen.length)"
      size="460px"
      destroy-on-close
    >
      <HoldForm :archived="chosen" @done="held" @close="holding = false" />
    </ElDrawer>
  </div>
</template>

<style scoped>
.bar {
  flex-wrap: wrap;
  gap: 4px 12px;
}
.orders {
  width: 180px;
}
</style>
