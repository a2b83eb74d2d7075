<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import type { OfferedType } from '../composables/useNaming'
import KeyButton from './base/KeyButton.vue'
import { certain } from './figures'

/**
 * The types that a document can be of, the best guesses first: few on figure keys; many are found by typing, the arrows
 * choose among them. The one that Enter would take is told, so that its specimen can lie beside the page.
 */
const props = defineProps<{ types: OfferedType[]; document: number }>()
const emit = defineEmits<{ name: [type: string]; looking: [type: string]; close: [] }>()
const { t } = useI18n()
const FEW = 9
const SHOWN = 12
const many = computed(() => props.types.length > FEW)
const typed = ref('')
const at = ref(0)
const input = ref<InputInstance>()
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
const fits = (x: OfferedType) =>
  plain(typed.value)
    .split(' ')
    .every((part) => plain([x.title, ...x.under].join(' ')).includes(part))
const found = computed(() => props.types.filter(fits).slice(0, SHOWN))
const figureOf = (i: number) => (i < FEW && !typed.value ? i + 1 : undefined)

watch(typed, () => (at.value = 0))
watch(
  () => found.value[at.value]?.type ?? '',
  (type) => emit('looking', type),
  { immediate: true },
)
onMounted(() => input.value?.focus())
function step(by: number) {
  at.value = Math.max(0, Math.min(found.value.length - 1, at.value + by))
}
/** A figure in an empty field takes a type, as it does where there is no field. */
function press(e: Event | KeyboardEvent) {
  if (!(e instanceof KeyboardEvent)) return
  const figure = Number(e.key)
  if (typed.value || !figure || !found.value[figure - 1]) return
  e.preventDefault()
  e.stopPropagation()
  emit('name', found.value[figure - 1].type)
}
const take = () => found.value[at.value] && emit('name', found.value[at.value].type)
</script>

<template>
  <div class="types" role="group" :aria-label="t('pageDesk.typeOf', { no: document })">
    <ElInput
      v-if="many"
      ref="input"
      v-model="typed"
      :placeholder="t('pageDesk.otherTypes')"
      :aria-label="t('pageDesk.otherTypes')"
      @keydown.esc="emit('close')"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.enter.prevent.stop="take"
      @keydown="press"
    />
    <KeyButton
      v-for="(x, i) in found"
      :key="x.type"
      :k="figureOf(i)"
      :class="{ taken: many && i === at }"
      @click="emit('name', x.type)"
      @mouseenter="emit('looking', x.type)"
      @focus="emit('looking', x.type)"
    >
      <span class="title">
        {{ x.title }}
        <span v-if="x.under.length" class="under">{{ x.under.join(' › ') }}</span>
      </span>
      <span v-if="x.certainty && x.certainty >= 0.01" class="soft">{{ certain(x.certainty) }}</span>
    </KeyButton>
    <span v-if="!found.length" class="soft">{{ t('pageDesk.noType', { typed }) }}</span>
    <span v-else-if="typed && types.filter(fits).length > SHOWN" class="soft">
      {{ t('pageDesk.moreTypes') }}
    </span>
  </div>
</template>

<style scoped>
.types {
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.types .el-button {
  margin: 0;
  justify-content: flex-start;
}
.title {
  display: inline-flex;
  flex-direction: column;
  align-items: flex-start;
  line-height: 1.15;
}
.under {
  font-size: 11.5px;
  color: var(--ink-soft);
}
.soft {
  margin-inline-start: 8px;
}
.taken {
  outline: 2px solid var(--petrol);
  outline-offset: -2px;
}
</style>
