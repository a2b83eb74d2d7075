<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { worded, type Schema } from '../api/client'
import DeliveryFate from './DeliveryFate.vue'
import { clock } from './times'
import { tree } from './tree'

type Delivery = Schema['DeskDelivery']

/** The folders and files about to be made, or made: destination by destination, each file with what becomes of it. */
const props = defineProps<{
  deliveries: Delivery[]
  lists: Schema['DeskList'][]
  begun: boolean
  busy: boolean
}>()
const emit = defineEmits<{ fate: [delivery: Delivery, fate: Delivery['remedies'][number], name?: string] }>()
const current = defineModel<number>({ required: true })
const { t } = useI18n()
const nodes = computed(() => tree(props.deliveries, props.lists))

const STATES: Record<Delivery['state'], string> = {
  planned: 'empty',
  running: 'empty',
  retrying: 'doubtful',
  refused: 'wrong',
  done: 'settled',
  heldBack: 'doubtful',
  leftOut: 'empty',
}
const formats = (d: Delivery) => d.formats.map((f) => t(`filing.formats.${f}`)).join(' · ')
const isTrouble = (found: Schema['Checked']['found']) => found === 'changed' || found === 'gone'
const listState = (list: Schema['DeskList']) =>
  !props.begun
    ? { look: 'empty', words: t('filing.listPlanned') }
    : list.behind
      ? { look: list.reason ? 'doubtful' : 'empty', words: t('filing.listBehind') }
      : { look: 'settled', words: t('filing.listWritten') }
const state = (d: Delivery) => t(`filing.${d.state}`, { by: d.saidBy, n: d.tries }, d.tries)
</script>

<template>
  <ElTree
    class="filing-tree"
    :data="nodes"
    node-key="id"
    default-expand-all
    :expand-on-click-node="false"
    :indent="18"
    :aria-label="t('filing.tree')"
    @node-click="(n: (typeof nodes)[number]) => n.delivery && (current = n.delivery.document)"
  >
    <template #default="{ data: n }">
      <div class="node" :class="[n.kind, { current: n.delivery?.document === current }]">
        <template v-if="n.delivery">
          <span class="mono name" dir="auto">
            {{ n.name || t('retention.goneDocument', { n: n.delivery.document }) }}
          </span>
          <span class="formats">{{ formats(n.delivery) }}</span>
          <span class="state" :class="STATES[n.delivery.state as Delivery['state']]">
            {{ state(n.delivery) }}
          </span>
          <span v-if="n.delivery.saidWhy" class="checked">{{ n.delivery.saidWhy }}</span>
          <span v-if="n.delivery.erased" class="checked">
            {{ t(`retention.became.${n.delivery.erased}`) }}
          </span>
          <span
            v-if="n.delivery.checked"
            class="checked"
            :class="{ wrong: isTrouble(n.delivery.checked.found) }"
          >
            {{ t(`filing.found.${n.delivery.checked.found}`, { when: clock(n.delivery.checked.at) }) }}
          </span>
          <DeliveryFate
            v-if="n.delivery.remedies.length && (n.delivery.id || n.delivery.document === current)"
            class="fate"
            :delivery="n.delivery"
            :busy="busy"
            @fate="(fate, name) => emit('fate', n.delivery, fate, name)"
          />
        </template>
        <template v-else-if="n.list">
          <span class="mono name" dir="auto">{{ n.name }}</span>
          <span class="state" :class="listState(n.list).look">{{ listState(n.list).words }}</span>
          <span v-if="n.list.reason" class="checked wrong">
            {{ worded(n.list.reason) }} {{ t('filing.nextTry', { time: clock(n.list.nextAt) }) }}
          </span>
        </template>
        <span v-else class="name" dir="auto">{{ n.kind === 'folder' ? `${n.name}/` : n.name }}</span>
      </div>
    </template>
  </ElTree>
</template>

<style scoped>
.filing-tree {
  --el-tree-node-content-height: auto;
  --el-fill-color-blank: transparent;
  --el-tree-node-hover-bg-color: var(--hover);
  font-size: 15px;
}
.node {
  display: flex;
  flex-wrap: wrap;
  flex: 1;
  min-width: 0;
  align-items: baseline;
  gap: 0 10px;
  padding: 3px 6px;
  white-space: normal;
}
.node.destination {
  font-weight: 650;
}
.node.folder {
  color: var(--ink-soft);
}
.node.current {
  background: var(--petrol-pale);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.name {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.formats {
  font-size: 12.5px;
  color: var(--ink-soft);
}
.checked {
  flex: 100%;
  font-size: 13px;
  color: var(--ink-soft);
}
.checked.wrong {
  color: var(--wrong);
  font-weight: 650;
}
.fate {
  flex: 100%;
}
</style>
