<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { SelectInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'

/** The types that a document can be of: few on figure keys, many in a list that is searched by typing. */
const props = defineProps<{ types: Schema['BatchDetail']['types']; document: number }>()
const emit = defineEmits<{ name: [type: string]; close: [] }>()
const { t } = useI18n()
const FEW = 9
const many = computed(() => props.types.length > FEW)
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
    <template v-else>
      <KeyButton v-for="(x, i) in types" :key="x.type" :k="i + 1" @click="emit('name', x.type)">
        {{ x.title }}
      </KeyButton>
    </template>
  </div>
</template>

<style scoped>
.types {
  display: flex;
  flex-direction: column;
  gap: 5px;
}
</style>
