<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'
import type { Part } from './draft'

/** Names with what each of them says; a new row counts once it has a name. */
const props = defineProps<{
  label: string
  value: Part
  values: 'text' | 'number' | 'phrases'
  /** What the names can be, where not anything. */
  choices: { value: string; label: string }[]
}>()
const emit = defineEmits<{ put: [value: Part] }>()
const { t } = useI18n()
interface Row {
  name: string
  says: unknown
}
const rows = ref<Row[]>([])
const asPart = () => Object.fromEntries(rows.value.filter((r) => r.name).map((r) => [r.name, r.says]))
watch(
  () => JSON.stringify(props.value),
  (now) => {
    if (now !== JSON.stringify(asPart()))
      rows.value = Object.entries(props.value).map(([name, says]) => ({ name, says }))
  },
  { immediate: true },
)
const add = () => rows.value.push({ name: '', says: { text: '', number: null, phrases: [] }[props.values] })
const put = () => emit('put', asPart())
const remove = (i: number) => (rows.value.splice(i, 1), put())
</script>

<template>
  <div class="pairs" role="group" :aria-label="label">
    <div v-for="(row, i) in rows" :key="i" class="row">
      <PickOne
        v-if="choices.length"
        v-model="row.name"
        :options="choices"
        :aria-label="t('blanks.pair.name')"
        @update:model-value="put"
      />
      <ElInput
        v-else
        v-model="row.name"
        class="mono short"
        :aria-label="t('blanks.pair.name')"
        @change="put"
      />
      <ElInputNumber
        v-if="values === 'number'"
        v-model="row.says as number"
        :controls="false"
        class="figure"
        :placeholder="t('blanks.pair.none')"
        :aria-label="t('blanks.pair.says')"
        @change="put"
      />
      <ElSelect
        v-else-if="values === 'phrases'"
        v-model="row.says as string[]"
        multiple
        filterable
        allow-create
        default-first-option
        :placeholder="t('blanks.pair.spellings')"
        :aria-label="t('blanks.pair.says')"
        @change="put"
      />
      <ElInput
        v-else
        v-model="row.says as string"
        class="mono short"
        :aria-label="t('blanks.pair.says')"
        @change="put"
      />
      <ElButton link :aria-label="t('blanks.pair.remove')" @click="remove(i)">✕</ElButton>
    </div>
    <KeyButton @click="add">
      {{ t('blanks.pair.add') }}
    </KeyButton>
  </div>
</template>

<style scoped>
.pairs {
  line-height: 2;
}
.row {
  gap: 6px;
}
</style>
