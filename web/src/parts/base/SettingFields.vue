<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import PickOne from './PickOne.vue'

/** One of the settings that a kind of thing has. */
export interface Setting {
  name: string
  /** Of its label, where that is not its name. */
  label?: string
  /** What may be chosen, worded below its name. */
  options?: string[]
  type?: 'number' | 'password' | 'textarea'
  needed?: boolean
}
/** The settings of a form below each other; a password stays when it is not written again. */
const props = defineProps<{
  settings: Setting[]
  form: Record<string, string | number | boolean | null | undefined>
  /** Of their labels, in the words file. */
  words: string
  least: number
  keeps: boolean
}>()
const { t } = useI18n()
const needed = { required: true, message: t('channels.needed'), trigger: 'change' }
/** The same, as what is typed and as figures. */
const typed = props.form as Record<string, string | undefined>
const numbers = props.form as Record<string, number | undefined>
</script>

<template>
  <ElFormItem
    v-for="s in settings"
    :key="s.name"
    :label="t(`${words}.${s.label ?? s.name}`)"
    :prop="s.name"
    :rules="s.needed ? needed : []"
  >
    <ElInputNumber v-if="s.type === 'number'" v-model="numbers[s.name]" :min="least" :controls="false" />
    <PickOne
      v-else-if="s.options"
      v-model="typed[s.name]"
      :options="s.options.map((o) => ({ value: o, label: t(`${words}.${s.name}Is.${o}`) }))"
    />
    <ElInput
      v-else
      v-model="typed[s.name]"
      :class="{ mono: s.type === 'textarea' }"
      :type="s.type"
      :rows="6"
      :placeholder="s.type === 'password' && keeps ? t('channels.keep') : ''"
      autocomplete="off"
    />
  </ElFormItem>
</template>
