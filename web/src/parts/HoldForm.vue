<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useAsking } from '../composables/useAsking'
import FormEnd from './base/FormEnd.vue'
import { useLoad } from '../composables/useLoad'
import FieldBox from './base/FieldBox.vue'
import PickOne from './base/PickOne.vue'

/** Holds documents under a hold that there is, or a new one. */
const props = defineProps<{ documents?: Schema['FiledAs'][]; archived?: number[] }>()
const emit = defineEmits<{ done: [hold: Schema['Hold']]; close: [] }>()
const { t } = useI18n()
const NEW = 0
const holds = useLoad(() => api.GET('/api/retention/holds'))
const open = computed(() => (holds.data.value ?? []).filter((h) => !h.ended))
const which = ref(NEW)
watch(open, (now) => (which.value = now[0]?.id ?? NEW))
const name = ref('')
const why = ref('')
const { busy, refused, asking } = useAsking()
const ready = computed(() => which.value !== NEW || (name.value.trim() !== '' && why.value.trim() !== ''))

function save() {
  if (!ready.value) return
  const put = (id: number) =>
    asking(
      () =>
        api.POST('/api/retention/holds/{id}/documents', {
          params: { path: { id } },
          body: { documents: props.documents ?? [], archived: props.archived ?? [] },
        }),
      (hold) => hold && emit('done', hold),
    )
  if (which.value !== NEW) return put(which.value)
  return asking(
    () => api.POST('/api/retention/holds', { body: { name: name.value, why: why.value } }),
    (hold) => {
      // Asked again after a refusal it is the one that there is now.
      if (hold) which.value = hold.id
      return hold && put(hold.id)
    },
  )
}
</script>

<template>
  <form class="form" @submit.prevent="save">
    <p class="soft">{{ t('retention.holdLead') }}</p>
    <FieldBox :label="t('retention.which')">
      <PickOne
        v-model="which"
        :options="[
          ...open.map((h) => ({ value: h.id, label: h.name })),
          { value: NEW, label: t('retention.newHold') },
        ]"
      />
    </FieldBox>
    <template v-if="which === NEW">
      <FieldBox :label="t('retention.holdName')"><ElInput v-model="name" maxlength="120" /></FieldBox>
      <FieldBox :label="t('retention.why')"><ElInput v-model="why" maxlength="400" /></FieldBox>
    </template>
    <FormEnd :act="t('retention.save')" v-bind="{ busy, refused }" :ready="ready" @close="emit('close')" />
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
