<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { SelectInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import KeyButton from './base/KeyButton.vue'
import { share } from './figures'

/**
 * The types that a document can be of, the best guesses first: few on figure keys, many in a list that is searched by
 * typing with the guesses on figure keys below it.
 */
const props = defineProps<{
  types: { type: string; title: string; certainty?: number }[]
  document: number
}>()
const emit = defineEmits<{ name: [type: string]; close: [] }>()
const { t } = useI18n()
const FEW = 9
const many = computed(() => props.types.length > FEW)
const onKeys = computed(() =>
  many.value ? props.types.filter((x) => x.certainty !== undefined) : props.types,
)
const list = ref<SelectInstance>()
onMounted(() => list.value?.focus())
</script>

<template>
  <div class="types" role="group" :aria-label="t('pageDesk.typeOf', { no: document })">
    <ElSelect
      v-if="many"
      ref="list"
      :model-value="''"
      :placeholder="t('pageDesk.otherTypes')"
      :aria-label="t('pageDesk.otherTypes')"
      filterable
      automatic-dropdown
      default-first-option
      @change="(type: string) => emit('name', type)"
      @keydown.esc="emit('close')"
    >
      <ElOption v-for="x in types" :key="x.type" :value="x.type" :label="x.title" />
    </ElSelect>
    <KeyButton v-for="(x, i) in onKeys" :key="x.type" :k="i + 1" @click="emit('name', x.type)">
      {{ x.title }}
      <span v-if="x.certainty !== undefined" class="soft">{{ share(x.certainty, 0) }}</span>
    </KeyButton>
  </div>
</template>

<style scoped>
.types {
  display: flex;
  flex-direction: column;
  gap: 5px;
}
</style>
