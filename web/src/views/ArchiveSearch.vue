<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { InputInstance } from 'element-plus'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, tell, type Schema } from '../api/client'
import { useKeys } from '../composables/useKeys'
import Snippet from '../parts/Snippet.vue'
import { chips, without } from '../parts/query'
import { moment } from '../parts/times'
import KeyButton from '../parts/base/KeyButton.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const words = ref(String(route.query.q ?? ''))
const result = ref<Schema['Result'] | null>(null)
const at = ref(-1)
const input = ref<InputInstance>()
const asked = computed(() => String(route.query.q ?? ''))

async function search() {
  const { data, error } = await api.GET('/api/archive', { params: { query: { q: asked.value } } })
  if (data) result.value = data
  else tell(error)
  at.value = -1
}
watch(
  asked,
  (q) => {
    words.value = q
    void search()
  },
  { immediate: true },
)
onMounted(() => input.value?.focus())
const go = () => router.push({ query: { q: words.value || undefined } })
const open = (d: Schema['Found']) =>
  router.push({ name: 'document', params: { id: d.id }, query: { q: asked.value || undefined } })
const picture = (id: number, page: number, width: number) =>
  `/api/archive/${id}/pages/${page}/picture?width=${width}`
const step = (by: number) =>
  (at.value = Math.max(0, Math.min((result.value?.found.length ?? 1) - 1, at.value + by)))
useKeys([
  { key: '↓', on: ['ArrowDown'], typing: true, label: t('board.down'), run: () => step(1) },
  { key: '↑', on: ['ArrowUp'], typing: true, label: t('board.up'), run: () => step(-1) },
  {
    key: 'Enter',
    on: ['Enter'],
    typing: true,
    label: t('archive.search'),
    run: () =>
      at.value >= 0 && words.value === asked.value ? void open(result.value!.found[at.value]) : void go(),
  },
])
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
      <KeyButton main k="Enter" @click="go">
        {{ t('archive.search') }}
      </KeyButton>
    </div>
    <div class="row chips">
      <button
        v-for="c in chips(asked)"
        :key="c.raw"
        class="chip"
        :title="t('archive.remove')"
        @click="router.push({ query: { q: without(asked, c.raw) || undefined } })"
      >
        <span v-if="c.field" class="soft after">{{ c.field }}</span>
        <b>{{ c.text }}</b>
        ×
      </button>
      <span v-if="result" class="soft">
        {{ asked ? t('archive.found', result.found.length) : t('archive.newest') }}
      </span>
      <span class="stretch" />
      <span v-if="result?.fieldNames.length" class="soft names">
        {{ t('archive.fields', { names: result.fieldNames.join(', ') }) }}
      </span>
    </div>
    <div class="results">
      <article
        v-for="(d, i) in result?.found ?? []"
        :key="d.id"
        class="panel"
        :class="{ at: i === at }"
        @click="open(d)"
      >
        <img :src="picture(d.id, d.firstPage, 200)" loading="lazy" alt="" />
        <div class="what">
          <div class="row">
            <a href="#" @click.prevent="open(d)">{{ d.title }}</a>
            <span class="soft">
              {{ t('archive.pages', d.pageCount) }} · {{ t('archive.filed', { when: moment(d.filedAt) }) }}
            </span>
          </div>
          <template v-if="d.hit">
            <Snippet
              :src="picture(d.id, d.hit.page, 1700)"
              :alt="d.hit.line"
              :box="d.hit.box"
              :page-width="210"
              :page-height="297"
              :width="620"
              :height="26"
            />
          </template>
          <dl>
            <template v-for="(value, name) in d.fields" :key="name">
              <dt>{{ name }}</dt>
              <dd class="mono">{{ value }}</dd>
            </template>
          </dl>
        </div>
      </article>
      <p v-if="result && !result.archived" class="soft">{{ t('archive.empty') }}</p>
      <p v-else-if="result && !result.found.length" class="soft">{{ t('archive.none') }}</p>
      <p v-if="result?.more" class="soft">{{ t('archive.more', { n: result.found.length }) }}</p>
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
.chip {
  font: inherit;
  border: 1px solid var(--petrol);
  background: var(--petrol-pale);
  border-radius: 12px;
  padding: 1px 10px;
  cursor: pointer;
  color: var(--ink);
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
article {
  display: flex;
  gap: 14px;
  padding: 10px 12px;
  cursor: pointer;
  background: var(--field);
  flex: none;
}
article:hover,
article.at {
  border-color: var(--petrol);
  box-shadow: inset 4px 0 0 var(--petrol);
}
article img {
  width: 76px;
  height: 107px;
  object-fit: cover;
  object-position: top;
  border: 1px solid var(--line);
  flex: none;
}
.what {
  min-width: 0;
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin: 0;
  font-size: 13.5px;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0 0 0 -12px;
}
</style>
