<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useAsking } from '../composables/useAsking'
import FormEnd from './base/FormEnd.vue'
import KeyButton from './base/KeyButton.vue'
import FieldBox from './base/FieldBox.vue'

/** Values of a filed document put right: they are filed as its newer version. */
const props = defineProps<{ opened: Schema['OpenedDocument'] }>()
const emit = defineEmits<{ done: [corrected: Schema['Corrected']]; close: [] }>()
const { t } = useI18n()
const about = props.opened.document.document
const before: Record<string, string> = Object.fromEntries(about.fields.map((f) => [f.name, f.value ?? '']))
const typed = reactive({ ...before })
const why = ref('')
const { busy, refused, asking } = useAsking()
const others = computed(() =>
  Object.fromEntries(Object.entries(typed).filter(([name, value]) => value.trim() !== (before[name] ?? ''))),
)
const unlikely = computed(
  () => (refused.value as { code?: string } | undefined)?.code === 'correctionUnlikely',
)
const ready = computed(() => Object.keys(others.value).length > 0 && why.value.trim() !== '')

/** @param sure whether values that do not pass their fields' checks are meant so */
function save(sure: boolean) {
  if (!ready.value) return
  const params = { path: { id: about.id } }
  const body = { values: others.value, why: why.value, sure }
  return asking(
    () => api.POST('/api/archive/{id}/values', { params, body }),
    (data) => data && emit('done', data),
  )
}
</script>

<template>
  <form class="form" @submit.prevent="save(false)">
    <p class="soft">{{ t('archive.correctLead', { n: about.version + 1 }) }}</p>
    <FieldBox v-for="f in opened.document.fields" :key="f.name" :label="f.title">
      <ElInput v-model="typed[f.name]" class="mono" maxlength="1000" />
    </FieldBox>
    <FieldBox :label="t('archive.correctWhy')"><ElInput v-model="why" maxlength="400" /></FieldBox>
    <FormEnd :act="t('archive.correctSave')" v-bind="{ busy, refused }" :ready="ready" @close="emit('close')">
      <template v-if="unlikely" #acts>
        <KeyButton @click="save(true)">{{ t('archive.correctSure') }}</KeyButton>
      </template>
    </FormEnd>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
p {
  margin: 0;
}
</style>
