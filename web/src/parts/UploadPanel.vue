<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api } from '../api/client'
import { useSending } from '../composables/useSending'
import KeyButton from './base/KeyButton.vue'
import PickFiles from './base/PickFiles.vue'
import { ACCEPTED, filesDropped } from './drop'
import SendingList from './SendingList.vue'

/** Files and whole folders brought in by hand, dropped or chosen, as a batch; or as more pages of a filed document. */
const props = defineProps<{ stream: string; document?: number }>()
const emit = defineEmits<{ finished: [no: string] }>()
const { t } = useI18n()
function open() {
  if (props.document !== undefined)
    return api.POST('/api/archive/{id}/pages', { params: { path: { id: props.document } } })
  localStorage.setItem('jalon.stream', props.stream)
  return api.POST('/api/batches', { body: { stream: props.stream } })
}
const { list, no, busy, finished, pages, done, share, take, send, complete, cancel, again } = useSending(open)
const over = ref(false)
const files = ref<InstanceType<typeof PickFiles>>()
async function dropped(e: DragEvent) {
  over.value = false
  if (e.dataTransfer) take(await filesDropped(e.dataTransfer))
}
defineExpose({ choose: () => files.value?.choose(), busy })
</script>

<template>
  <div
    v-if="!list.length"
    class="drop"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <p class="row ways">
      {{ t('intake.drop') }}
      <PickFiles
        ref="files"
        class="files-input"
        :accept="ACCEPTED"
        :disabled="!stream"
        multiple
        k="O"
        @files="take"
      >
        {{ t('intake.choose') }}
      </PickFiles>
      <PickFiles :disabled="!stream" directory multiple @files="take">
        {{ t('intake.chooseFolder') }}
      </PickFiles>
    </p>
    <p class="soft">{{ t('intake.kinds') }}</p>
  </div>
  <template v-else>
    <SendingList :list="list" :done="done" :share="share" />
    <div class="row">
      <KeyButton v-if="busy" @click="cancel">{{ t('intake.cancel') }}</KeyButton>
      <template v-else-if="finished">
        <strong>{{ t('intake.open', { no, pages }, pages) }}</strong>
        <span class="stretch" />
        <KeyButton v-if="document === undefined" @click="emit('finished', again())">
          {{ t('intake.again') }}
        </KeyButton>
        <slot :no="no" />
      </template>
      <template v-else>
        <KeyButton main @click="send">{{ t('intake.goOn') }}</KeyButton>
        <KeyButton :disabled="!done" @click="complete">{{ t('intake.enough') }}</KeyButton>
      </template>
    </div>
  </template>
</template>

<style scoped>
.drop {
  flex: 1;
  min-height: 220px;
  border: 2px dashed #8a97a1;
  border-radius: 4px;
  display: grid;
  place-content: center;
  text-align: center;
  background: var(--field);
  font-size: 17px;
}
.drop.over {
  border-color: var(--petrol);
  background: var(--petrol-pale);
}
.ways {
  flex-wrap: wrap;
  justify-content: center;
}
</style>
