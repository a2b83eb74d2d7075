<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Proposals } from '../composables/useProposals'
import KeyButton from './base/KeyButton.vue'
import type { Part } from './draft'

/** What the samples propose, the next one to be said something about first. */
const props = defineProps<{ proposals: Proposals; ready: boolean }>()
const emit = defineEmits<{ show: [page: number] }>()
const { t } = useI18n()
const { open, looked, busy, look, takeOne, leave, takeAll } = props.proposals
const titleOf = (part: Part) => {
  if (part.language) return t('workbench.language', { language: part.language })
  const size = (part.intake as { scan?: { size?: string } } | undefined)?.scan?.size
  if (size) return t('workbench.size', { size })
  return String(part.title ?? t(`rules.kind.${part.by}`))
}
</script>

<template>
  <p v-if="!ready" class="soft">{{ t('workbench.noSamples') }}</p>
  <template v-else>
    <div class="row acts">
      <KeyButton k="P" :main="!looked" :disabled="busy" @click="look">{{ t('workbench.propose') }}</KeyButton>
      <KeyButton v-if="open.length" k="Shift+T" @click="takeAll">
        {{ t('workbench.takeAll', open.length) }}
      </KeyButton>
    </div>
    <p v-if="looked && !open.length" class="soft" role="status">{{ t('workbench.nothingOpen') }}</p>
    <ol class="list">
      <li v-for="({ proposed, i }, at) in open" :key="i" :class="{ now: at === 0 }">
        <span class="soft">{{ t(`workbench.what.${proposed.proposal.what}`) }}</span>
        <b>{{ titleOf(proposed.proposal.part as Part) }}</b>
        <span v-if="proposed.proposal.what === 'field'" class="soft">
          {{ t(`fieldParts.kind.${(proposed.proposal.part as Part).kind}`) }}
        </span>
        <p>{{ proposed.why }}</p>
        <div class="row">
          <KeyButton :k="at === 0 ? 'T' : undefined" :main="at === 0" @click="takeOne(proposed)">
            {{ t('workbench.take') }}
          </KeyButton>
          <KeyButton :k="at === 0 ? 'L' : undefined" @click="leave(i)">{{ t('workbench.leave') }}</KeyButton>
          <ElButton
            v-if="proposed.proposal.seen.length"
            link
            @click="emit('show', proposed.proposal.seen[0].page)"
          >
            {{ t('workbench.showPage', { no: proposed.proposal.seen[0].page }) }}
          </ElButton>
        </div>
      </li>
    </ol>
  </template>
</template>

<style scoped>
.acts {
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 8px 10px;
  border-bottom: 1px solid var(--line-faint);
}
li.now {
  background: var(--petrol-pale);
}
li b {
  margin: 0 6px;
}
p {
  margin: 2px 0 6px;
}
</style>
