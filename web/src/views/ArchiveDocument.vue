<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, archivePicture, repairsOf, type Schema } from '../api/client'
import { useEvents } from '../composables/useEvents'
import { useHeld } from '../composables/useHeld'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import DocumentFacts from '../parts/DocumentFacts.vue'
import PagesBeside from '../parts/PagesBeside.vue'
import PageViewer from '../parts/PageViewer.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'
import { useSession } from '../session'
import type { Shape } from '../parts/shapes'

const props = defineProps<{ id: string }>()
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const pageNo = ref(0)
/** Of the lines with hits: the one that was stepped to. */
const hitNo = ref(-1)
const q = computed(() => String(route.query.q ?? ''))

const {
  data: opened,
  loading,
  problem,
  load,
} = useLoad(() =>
  api.GET('/api/archive/{id}', {
    params: { path: { id: Number(props.id) }, query: { q: q.value } },
  }),
)
watch(opened, (o) => {
  // What goes on under somebody's eyes leaves them where they are.
  if (o && !o.pages.some((p) => p.no === pageNo.value))
    pageNo.value = o.document.hits[0]?.page ?? o.pages[0]?.no ?? 0
})
// A newer version is shown when it is there.
if (useSession().me?.role !== 'reader') {
  useEvents((no) => {
    if (no === opened.value?.document.document.batch) void load()
  })
}
const text = ref<Schema['TextLine'][]>([])
watch(pageNo, async (page) => {
  text.value = []
  if (!page) return
  const { data } = await api.GET('/api/archive/{id}/pages/{page}/text', {
    params: { path: { id: Number(props.id), page } },
  })
  if (page === pageNo.value) text.value = data ?? []
})

const page = computed(() => opened.value?.pages.find((p) => p.no === pageNo.value))
const pages = computed(() => opened.value?.pages.map((p) => p.no) ?? [])
const hits = computed(() => opened.value?.document.hits ?? [])
const hitsOn = (no: number) => hits.value.filter((h) => h.page === no).length
const repairs = computed(() => repairsOf(page.value && { image: page.value }))
const hit = computed(() => hits.value[hitNo.value])
function stepHit(by: number) {
  if (!hits.value.length) return
  hitNo.value = (hitNo.value + by + hits.value.length) % hits.value.length
  pageNo.value = hit.value!.page
}
/** The page as it was received, while the key is held. */
const received = useHeld('b')
const picture = (width: number) => archivePicture(props.id, pageNo.value, width, received.value)
const straightened = computed(() => !received.value && repairs.value.some((r) => r.do === 'straighten'))
const shapes = computed(() =>
  hits.value
    .filter((h) => h.page === pageNo.value)
    .flatMap((h) =>
      h.words.map((box): Shape => ({ box, kind: h === hit.value ? 'hitNow' : 'hit', print: true })),
    ),
)
// The large pictures of the pages beside this one are made while this one is looked at.
watch(pageNo, (no) => {
  for (const by of [1, -1]) {
    const near = pages.value[pages.value.indexOf(no) + by]
    if (near) new Image().src = archivePicture(props.id, near, 1700)
  }
})
function step(by: number) {
  pageNo.value = pages.value[pages.value.indexOf(pageNo.value) + by] ?? pageNo.value
}
const back = () => void router.push({ name: 'archive', query: route.query })
useKeys([
  { key: '←', on: ['ArrowLeft'], label: t('pageDesk.left'), run: () => step(-1) },
  { key: '→', on: ['ArrowRight'], label: t('pageDesk.right'), run: () => step(1) },
  { key: 'N', on: ['n'], label: t('archive.nextHit'), run: () => stepHit(1) },
  { key: 'Shift+N', on: ['N'], label: t('archive.lastHit'), run: () => stepHit(hitNo.value < 0 ? 0 : -1) },
  { key: 'B', on: ['b', 'B'], label: t('pageDesk.before'), run: () => (received.value = true) },
  { key: 'Esc', on: ['Escape'], label: t('archive.back'), run: back },
])
</script>

<template>
  <div v-if="opened" class="desk-frame">
    <div class="halves row-of">
      <PagesBeside v-if="pages.length" :id="id" v-model="pageNo" :pages="pages" :hits="hitsOn" />
      <div class="stretch">
        <PageViewer
          v-if="page"
          :src="picture(1700)"
          :thumb="picture(900)"
          :alt="opened.document.document.title"
          :width-mm="page.widthMm"
          :height-mm="page.heightMm"
          :shapes="shapes"
          :text="text"
          :focus="hit?.box ?? null"
          :turn="straightened ? -page.lean : 0"
          :lean="page.lean"
        />
      </div>
      <DocumentFacts v-bind="{ opened, repairs }" :asked="!!q" @back="back" @show="(no) => (pageNo = no)" />
    </div>
  </div>
  <WaitingFor v-else v-bind="{ loading, problem }" @again="load" />
</template>
