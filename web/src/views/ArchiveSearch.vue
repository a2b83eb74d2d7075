<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import FoundDocument from '../parts/FoundDocument.vue'
import { chips, without } from '../parts/query'
import KeyButton from '../parts/base/KeyButton.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const words = ref(String(route.query.q ?? ''))
const at = ref(-1)
const input = ref<InputInstance>()
const list = ref<HTMLElement>()
const asked = computed(() => String(route.query.q ?? ''))

const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/archive', { params: { query: { q: asked.value } } }),
)
const found = computed(() => data.value?.found ?? [])
watch(asked, (q) => {
  words.value = q
  at.value = -1
  void load()
})
onMounted(() => input.value?.focus())
const ask = (q: string) => router.push({ query: { q: q || undefined } })
const open = (d: Schema['Found']) =>
  router.push({ name: 'document', params: { id: d.id }, query: { q: asked.value || undefined } })
function step(by: number) {
  at.value = Math.max(0, Math.min(found.value.length - 1, at.value + by))
  list.value?.children[at.value]?.scrollIntoView({ block: 'nearest' })
}
useKeys([
  { key: '↓', on: ['ArrowDown'], typing: true, label: t('board.down'), run: () => step(1) },
  { key: '↑', on: ['ArrowUp'], typing: true, label: t('board.up'), run: () => step(-1) },
  {
    key: 'Enter',
    on: ['Enter'],
    typing: true,
    label: t('archive.search'),
    run: () =>
      void (at.value >= 0 && words.value === asked.value ? open(found.value[at.value]) : ask(words.value)),
  },
])
const empty = computed(() => {
  if (!data.value || found.value.length) return false
  return data.value.archived ? t('archive.none') : t('archive.empty')
})
</script>

<template>
  <div class="archive">
    <div class="ask">
      <ElInput
        id="archive-words"
        ref="input"
        v-model="words"
        :placeholder="t('archive.placeholder')"
        :aria-label="t('archive.search')"
      />
      <KeyButton main k="Enter" @click="ask(words)">{{ t('archive.search') }}</KeyButton>
    </div>
    <div class="row chips">
      <ElTag
        v-for="c in chips(asked)"
        :key="c.raw"
        closable
        disable-transitions
        @close="ask(without(asked, c.raw))"
      >
        <span v-if="c.field" class="soft after">{{ c.field }}</span>
        <b>{{ c.text }}</b>
      </ElTag>
      <span v-if="data" class="soft">
        {{ asked ? t('archive.found', found.length) : t('archive.newest') }}
      </span>
      <span class="stretch" />
      <span v-if="data?.fieldNames.length" class="soft names">
        {{ t('archive.fields', { names: data.fieldNames.join(', ') }) }}
      </span>
    </div>
    <WaitingFor v-bind="{ loading, problem }" :empty="empty" @again="load" />
    <div ref="list" class="results">
      <FoundDocument v-for="(d, i) in found" :key="d.id" :found="d" :at="i === at" @open="open(d)" />
      <p v-if="data?.more" class="soft">{{ t('archive.more', { n: found.length }) }}</p>
    </div>
  </div>
</template>

<style scoped>
.archive {
  height: 100%;
  display: flex;
  flex-direction: column;
  padding: 14px 16px;
  gap: 10px;
  max-width: 1300px;
  margin: 0 auto;
}
.ask {
  display: flex;
  gap: 8px;
}
.ask .el-input {
  --el-input-height: 40px;
  font-size: 18px;
}
.chips {
  flex-wrap: wrap;
}
.names {
  font-size: 13px;
}
.results {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
@media (max-width: 900px), (max-height: 560px) {
  .archive {
    height: auto;
  }
}
</style>
