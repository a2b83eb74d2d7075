<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, repairsOf, tell, type Schema } from '../api/client'
import { useHeld } from '../composables/useHeld'
import { useKeys } from '../composables/useKeys'
import PageViewer from '../parts/PageViewer.vue'
import type { Shape } from '../parts/shapes'
import { moment } from '../parts/times'
import KeyButton from '../parts/base/KeyButton.vue'

const props = defineProps<{ id: string }>()
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const opened = ref<Schema['OpenedDocument'] | null>(null)
const pageNo = ref(0)
const q = computed(() => String(route.query.q ?? ''))

void (async () => {
  const { data, error } = await api.GET('/api/archive/{id}', {
    params: { path: { id: Number(props.id) }, query: { q: q.value } },
  })
  if (!data) return tell(error)
  opened.value = data
  pageNo.value = data.document.hits[0]?.page ?? data.pages[0].no
})()

const page = computed(() => opened.value?.pages.find((p) => p.no === pageNo.value))
const repairs = computed(() => repairsOf(page.value && { image: page.value }))
/** The page as it was received, while the key is held. */
const received = useHeld('b')
function picture(no: number, width: number) {
  const before = received.value && no === pageNo.value && width > 200
  return `/api/archive/${props.id}/pages/${no}/picture?width=${width}${before ? '&received=true' : ''}`
}
const straightened = computed(() => !received.value && repairs.value.some((r) => r.do === 'straighten'))
const hits = computed(() => opened.value?.document.hits ?? [])
const shapes = computed<Shape[]>(() =>
  hits.value
    .filter((h) => h.page === pageNo.value)
    .flatMap((h) => h.words.map((box) => ({ box, kind: 'hit' as const, print: true }))),
)
const pages = computed(() => opened.value?.pages.map((p) => p.no) ?? [])
const step = (by: number) => {
  const to = pages.value[pages.value.indexOf(pageNo.value) + by]
  if (to) pageNo.value = to
}
const back = () => router.push({ name: 'archive', query: { q: q.value || undefined } })
useKeys([
  { key: '←', on: ['ArrowLeft'], label: t('pageDesk.left'), run: () => step(-1) },
  { key: '→', on: ['ArrowRight'], label: t('pageDesk.right'), run: () => step(1) },
  { key: 'B', on: ['b', 'B'], label: t('pageDesk.before'), run: () => (received.value = true) },
  { key: 'Esc', on: ['Escape'], label: t('archive.back'), run: () => void back() },
])
const copy = (text: string) => navigator.clipboard?.writeText(text)
</script>

<template>
  <div v-if="opened" class="document">
    <nav class="pages" :aria-label="t('board.pages')">
      <button
        v-for="p in opened.pages"
        :key="p.no"
        class="on-paper"
        :class="{ on: p.no === pageNo }"
        :aria-label="t('pageDesk.page', { no: p.no })"
        @click="pageNo = p.no"
      >
        <img :src="picture(p.no, 200)" alt="" />
        <span class="mono">{{ pages.indexOf(p.no) + 1 }}</span>
        <span v-if="hits.some((h) => h.page === p.no)" class="flag">
          {{ hits.filter((h) => h.page === p.no).length }}
        </span>
      </button>
    </nav>
    <PageViewer
      v-if="page"
      class="view"
      :src="picture(page.no, 1700)"
      :alt="opened.document.document.title"
      :width-mm="page.widthMm"
      :height-mm="page.heightMm"
      :shapes="shapes"
      :turn="straightened ? -page.lean : 0"
      :lean="page.lean"
      :thumb="picture(page.no, 200)"
    />
    <aside>
      <KeyButton k="Esc" @click="back">
        {{ t('archive.back') }}
      </KeyButton>
      <h1>{{ opened.document.document.title }}</h1>
      <p class="soft">
        {{
          t('archive.from', {
            batch: opened.document.document.batch,
            when: moment(opened.document.document.filedAt),
            by: opened.document.filedBy,
          })
        }}
      </p>
      <dl>
        <template v-for="(value, name) in opened.document.document.fields" :key="name">
          <dt>{{ name }}</dt>
          <dd class="mono">{{ value }}</dd>
        </template>
      </dl>
      <p v-if="repairs.length" class="soft">
        {{ t('archive.repaired', { how: repairs.map((r) => t(`repair.${r.do}`).toLowerCase()).join(', ') }) }}
        {{ t('image.hold') }}
        <kbd>B</kbd>
      </p>
      <a class="pdf" :href="`/api/archive/${id}/file`" target="_blank" rel="noopener">
        {{ t('archive.open') }}
      </a>
      <h2>{{ hits.length ? t('archive.hits', hits.length) : t('archive.noHits') }}</h2>
      <ol>
        <li v-for="(h, i) in hits" :key="i">
          <button class="hit" @click="pageNo = h.page">
            {{ h.line }}
            <span class="soft">{{ t('archive.hitOn', { page: pages.indexOf(h.page) + 1 }) }}</span>
          </button>
          <KeyButton class="copy" @click="copy(h.line)">{{ t('archive.copy') }}</KeyButton>
        </li>
      </ol>
    </aside>
  </div>
  <p v-else class="soft note">{{ t('app.loading') }}</p>
</template>

<style scoped>
.document {
  height: 100%;
  display: grid;
  grid-template-columns: 112px minmax(0, 1fr) 360px;
}
.pages {
  overflow: auto;
  background: var(--ground);
  padding: 8px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.pages button {
  position: relative;
  border: 1px solid #a9b3bb;
  background: #fff;
  padding: 0;
  cursor: pointer;
  flex: none;
}
.pages button.on {
  outline: 3px solid var(--petrol);
}
.pages img {
  width: 100%;
  aspect-ratio: auto 1 / 1.41;
  display: block;
}
.pages .mono {
  position: absolute;
  left: 4px;
  bottom: 2px;
  font-size: 12px;
  color: var(--ink);
  background: #fff;
}
.flag {
  position: absolute;
  right: 3px;
  top: 3px;
  background: #facc3c;
  border: 1px solid #8a6a00;
  font-size: 11px;
  padding: 0 4px;
}
aside {
  overflow: auto;
  background: var(--panel);
  border-left: 1px solid var(--line);
  padding: 12px 16px;
}
h1 {
  margin: 12px 0 4px;
}
h2 {
  margin: 18px 0 6px;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 4px 8px;
  margin: 0 0 12px;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
ol {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 4px;
  border-top: 1px solid var(--line-faint);
}
.hit {
  flex: 1;
  text-align: left;
  font: inherit;
  border: 0;
  background: none;
  padding: 5px 0;
  cursor: pointer;
  color: var(--ink);
}
.hit:hover {
  color: var(--petrol);
}
.copy {
  border: 0;
  background: none;
}
.note {
  padding: 30px;
}
</style>
