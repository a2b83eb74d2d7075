<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import FoundDocument from '../parts/FoundDocument.vue'
import ResultsBar from '../parts/ResultsBar.vue'
import RetentionDue from '../parts/RetentionDue.vue'
import SavedSearches from '../parts/SavedSearches.vue'
import SearchChips from '../parts/SearchChips.vue'
import SearchFacets from '../parts/SearchFacets.vue'
import SearchInput from '../parts/SearchInput.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { useSession } from '../session'

const { t } = useI18n()
const supervisor = useSession().me?.role === 'supervisor'
const route = useRoute()
const router = useRouter()
const asked = computed(() => String(route.query.q ?? ''))
const sort = computed(() => String(route.query.sort ?? ''))
const words = ref(asked.value)
const at = ref(-1)
const input = ref<InstanceType<typeof SearchInput>>()
const list = ref<HTMLElement>()
const more = ref<Schema['Found'][]>([])
const chosen = ref<number[]>([])

const search = (from: number) =>
  api.GET('/api/archive', { params: { query: { q: asked.value, sort: sort.value, from } } })
const { data, loading, problem, load } = useLoad(() => search(0))
const found = computed(() => [...(data.value?.found ?? []), ...more.value])
const left = computed(() => (data.value?.total ?? 0) - found.value.length)
watch([asked, sort], () => {
  words.value = asked.value
  at.value = -1
  more.value = []
  chosen.value = []
  void load()
})
async function showMore() {
  const of = data.value
  const { data: next, error } = await search(found.value.length)
  // What was asked meanwhile has results of its own.
  if (of !== data.value) return
  problem.value = error
  more.value.push(...(next?.found ?? []))
}
function ask(q: string, by = sort.value) {
  input.value?.close()
  void router.push({ query: { q: q || undefined, sort: by || undefined } })
}
const open = (d: Schema['Found']) =>
  router.push({
    name: 'document',
    params: { id: d.id },
    query: { q: asked.value || undefined, sort: sort.value || undefined },
  })
function step(by: number) {
  at.value = Math.max(0, Math.min(found.value.length - 1, at.value + by))
  list.value?.children[at.value]?.scrollIntoView({ block: 'nearest' })
}
function choose(id: number, wanted: boolean) {
  chosen.value = wanted ? [...chosen.value, id] : chosen.value.filter((c) => c !== id)
}
function chooseAt() {
  const d = found.value[at.value]
  if (d) choose(d.id, !chosen.value.includes(d.id))
}
function enter() {
  if (at.value >= 0 && words.value === asked.value) void open(found.value[at.value])
  else ask(words.value)
}
useKeys([
  { key: '↓', on: ['ArrowDown'], label: t('board.down'), run: () => step(1) },
  { key: '↑', on: ['ArrowUp'], label: t('board.up'), run: () => step(-1) },
  // In the line these are the line's, which says so.
  { key: 'Enter', on: ['Enter'], label: t('archive.search'), run: enter },
  { key: 'Ctrl+Space', on: [' '], typing: true, ctrl: true, label: t('archive.chooseKey'), run: chooseAt },
])
const empty = computed(() => {
  if (!data.value || found.value.length) return false
  const parts = data.value.understood
  if (parts.length && parts.every((p) => p.nothing)) return t('archive.nothingAsked')
  return data.value.archived ? t('archive.none') : t('archive.empty')
})
</script>

<template>
  <div class="archive">
    <SearchInput ref="input" v-model="words" @ask="ask(words)" @enter="enter" @step="step" />
    <div class="row chips">
      <SearchChips :line="asked" :parts="data?.understood ?? []" @ask="ask" />
      <SavedSearches :line="asked" :sort="sort" @ask="(s) => ask(s.line, s.sort)" />
      <RetentionDue v-if="supervisor" />
    </div>
    <p v-if="data?.behind" class="soft">{{ t('archive.behind', data.behind) }}</p>
    <WaitingFor v-bind="{ loading, problem }" :empty="empty" @again="load" />
    <div v-if="found.length" class="halves row-of answer">
      <SearchFacets class="facets" :line="asked" :facets="data?.facets ?? []" @ask="ask" />
      <div class="results">
        <ResultsBar
          :sort="sort"
          :line="asked"
          :total="data?.total ?? 0"
          :fields="data?.fields ?? []"
          :chosen="chosen"
          @update:sort="(by) => ask(asked, by)"
          @none="chosen = []"
        />
        <div ref="list" class="list">
          <FoundDocument
            v-for="(d, i) in found"
            :key="d.id"
            :found="d"
            :at="i === at"
            :chosen="chosen.includes(d.id)"
            @update:chosen="(wanted) => choose(d.id, wanted)"
            @open="open(d)"
          />
          <KeyButton v-if="left > 0" @click="showMore">
            {{ t('archive.more', { n: Math.min(left, data?.found.length ?? 0) }) }}
          </KeyButton>
        </div>
      </div>
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
  max-width: 1400px;
  margin: 0 auto;
}
.chips {
  flex-wrap: wrap;
}
.answer {
  flex: 1;
  min-height: 0;
  gap: 18px;
}
.facets {
  width: 190px;
  flex: none;
  overflow: auto;
}
.results {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.list {
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
