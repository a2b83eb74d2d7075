<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useChoices } from '../composables/useChoices'
import { useLoad } from '../composables/useLoad'
import FieldBox from './base/FieldBox.vue'
import PickOne from './base/PickOne.vue'

/** Sheets to be printed and laid into a stack: what each is for, and what it has to say. */
const props = defineProps<{ stream: Schema['Listed'] }>()
const { t } = useI18n()
const choices = useChoices()
type Kind = Schema['Listed']['sheets'][number]
const kind = ref<Kind>('header')
const paper = ref<'A4' | 'LETTER'>('A4')
const copies = ref(1)
const pages = ref('')
const documents = ref('')
const find = ref('')
const register = ref('')
const column = ref('')
const named = ref('')
const { data: registers } = useLoad(() => api.GET('/api/registers'))
const columns = computed(() => registers.value?.find((r) => r.name === register.value)?.columns ?? [])
watch(registers, (all) => (register.value ||= all?.[0]?.name ?? ''))
watch(columns, (all) => ([column.value, named.value] = [all[0] ?? '', all[1] ?? '']))
watch(
  () => props.stream.sheets,
  (known) => !known.includes(kind.value) && (kind.value = 'header'),
)
const same = (values: string[]) => values.map((value) => ({ value, label: value }))

const address = computed(() => {
  const asked: Record<string, string> = { paper: paper.value }
  const put = (name: string, value: string) => value && (asked[name] = value)
  let what = 'sheets'
  if (kind.value === 'header') {
    what = 'header-sheet'
    put('pages', pages.value)
    put('documents', documents.value)
  } else if (kind.value === 'cover') {
    what = 'cover-sheets'
    put('register', register.value)
    put('column', column.value)
    put('named', named.value)
    put('find', find.value)
  } else {
    asked.kind = kind.value.toUpperCase()
    asked.copies = String(copies.value)
  }
  return `/api/streams/${props.stream.name}/${what}?${new URLSearchParams(asked)}`
})
</script>

<template>
  <div class="row sheet">
    <FieldBox :label="t('header.kind')">
      <PickOne v-model="kind" :options="choices(stream.sheets, 'header.kinds')" />
    </FieldBox>
    <FieldBox :label="t('header.paper')">
      <PickOne v-model="paper" :options="choices(['A4', 'LETTER'], 'header.papers')" />
    </FieldBox>
    <template v-if="kind === 'header'">
      <FieldBox :label="t('header.pages')"><ElInput v-model="pages" inputmode="numeric" /></FieldBox>
      <FieldBox :label="t('header.documents')"><ElInput v-model="documents" inputmode="numeric" /></FieldBox>
    </template>
    <template v-else-if="kind === 'cover'">
      <FieldBox :label="t('header.register')">
        <PickOne v-model="register" :options="same((registers ?? []).map((r) => r.name))" />
      </FieldBox>
      <FieldBox :label="t('header.column')"><PickOne v-model="column" :options="same(columns)" /></FieldBox>
      <FieldBox :label="t('header.named')"><PickOne v-model="named" :options="same(columns)" /></FieldBox>
      <FieldBox :label="t('header.find')"><ElInput v-model="find" class="wide" /></FieldBox>
    </template>
    <FieldBox v-else :label="t('header.copies')">
      <ElInputNumber v-model="copies" :min="1" :max="500" />
    </FieldBox>
    <ElButton class="act" tag="a" :href="address" target="_blank">{{ t('header.print') }}</ElButton>
  </div>
  <p class="soft">{{ t(`header.what.${kind}`) }}</p>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
.sheet :deep(.el-select) {
  min-width: 140px;
}
.sheet {
  gap: 10px;
  flex-wrap: wrap;
  align-items: flex-end;
}
.el-input {
  width: 90px;
}
.el-input.wide {
  width: 160px;
}
</style>
