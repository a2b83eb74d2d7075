<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schema } from '../api/client'
import { useSending } from '../composables/useSending'
import PickFiles from './base/PickFiles.vue'
import { ACCEPTED, filesDropped } from './drop'
import SendingList from './SendingList.vue'
import TrialStrip from './TrialStrip.vue'

/** The pages that a stream is tried on, with their stakes, and a place to drop more. */
const props = defineProps<{
  batch: string
  trial: Schema['Trial'] | null
  page: number
  /** Whether the stream has no version yet. */
  first: boolean
  /** Opens the batch of samples; none where another batch is looked at. */
  open: Parameters<typeof useSending>[0] | null
}>()
const emit = defineEmits<{ show: [page: number] }>()
const { t } = useI18n()
const { list, done, share, take } = useSending(() => props.open!(), false)
const over = ref(false)
const picker = ref<InstanceType<typeof PickFiles>>()
async function dropped(e: DragEvent) {
  over.value = false
  if (e.dataTransfer) take(await filesDropped(e.dataTransfer))
}
defineExpose({ choose: () => picker.value?.choose() })
</script>

<template>
  <section
    class="samples"
    :class="{ over }"
    :aria-label="t('workbench.samples')"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="open && dropped($event)"
  >
    <div v-if="open" class="row">
      <PickFiles ref="picker" :accept="ACCEPTED" multiple k="O" :main="!trial?.pages.length" @files="take">
        {{ t('workbench.addSamples') }}
      </PickFiles>
    </div>
    <p v-if="open && !trial?.pages.length && !list.length" class="soft">{{ t('workbench.drop') }}</p>
    <SendingList v-if="list.length" v-bind="{ list, done, share }" />
    <p v-if="trial?.unread" class="soft" role="status">{{ t('workbench.reading', trial.unread) }}</p>
    <TrialStrip
      v-if="trial?.pages.length"
      :no="batch"
      v-bind="{ trial, page, first }"
      @show="emit('show', $event)"
    />
  </section>
</template>

<style scoped>
.samples {
  padding: 8px;
  overflow: auto;
  height: 100%;
}
.over {
  background: var(--petrol-pale);
}
</style>
