<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schema } from '../api/client'
import KeyButton from './base/KeyButton.vue'
import { vFocus } from './base/focus'

/** A type that the stream does not have yet, made from the document that is looked at. */
defineProps<{ types: Schema['TypeInfo'][] }>()
const emit = defineEmits<{ make: [title: string, like: string | null] }>()
const { t } = useI18n()
const open = ref(false)
const title = ref('')
const like = ref('')
const make = () => title.value.trim() && emit('make', title.value.trim(), like.value || null)
</script>

<template>
  <KeyButton v-if="!open" @click="open = true">{{ t('pageDesk.newType') }}</KeyButton>
  <form v-else class="new-type" @submit.prevent="make" @keydown.esc.stop="open = false">
    <label for="new-type">{{ t('pageDesk.newTypeIs') }}</label>
    <ElInput id="new-type" v-model="title" v-focus maxlength="80" required />
    <label for="new-type-like">{{ t('pageDesk.newTypeLike') }}</label>
    <ElSelect id="new-type-like" v-model="like" clearable :placeholder="t('pageDesk.newTypeNone')">
      <ElOption v-for="x in types" :key="x.type" :value="x.type" :label="x.title" />
    </ElSelect>
    <KeyButton main submit k="Enter">{{ t('pageDesk.newTypeSave') }}</KeyButton>
  </form>
</template>

<style scoped>
.new-type {
  display: flex;
  flex-direction: column;
  gap: 4px;
  align-items: stretch;
}
</style>
