<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWords } from '../composables/useWords'
import { useRouter } from 'vue-router'
import { api, pictureOf, type Schema } from '../api/client'
import { useEvents } from '../composables/useEvents'
import { useKeys } from '../composables/useKeys'
import { useLoad } from '../composables/useLoad'
import BringPages from '../parts/BringPages.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import WaitingFor from '../parts/base/WaitingFor.vue'

/** Sheets to be fetched and scanned again: where they lie and how to know them. Printed, it goes to the shelf. */
const { t } = useI18n()
const { sheet } = useWords()
const router = useRouter()
const filling = ref<string | null>(null)
const key = (w: Row) => `${w.batch}/${w.page}`
type Row = Schema['Rescan']
const { data, loading, problem, load } = useLoad(() => api.GET('/api/rescans'))
const rows = ref<Row[]>([])
watch(data, (now) => {
  // The row whose sheet is being scanned stays until its bar is closed, or what went wrong could not be read.
  const filled = rows.value.filter((w) => key(w) === filling.value && !now?.some((d) => key(d) === key(w)))
  rows.value = [...filled, ...(now ?? [])]
})
function closed() {
  filling.value = null
  void load()
}
useEvents(() => void load())
const print = () => window.print()
useKeys([{ key: 'P', on: ['p', 'P'], label: t('rescans.print'), run: print }])
</script>

<template>
  <div class="rescans">
    <div class="row head">
      <h1 class="stretch">{{ t('rescans.title', { n: rows.length }, rows.length) }}</h1>
      <KeyButton :disabled="!rows.length" main k="P" @click="print">
        {{ t('rescans.print') }}
      </KeyButton>
    </div>
    <WaitingFor v-bind="{ loading, problem }" :empty="!rows.length && t('rescans.none')" @again="load" />
    <article v-for="w in rows" :key="key(w)" class="panel">
      <img :src="pictureOf(w.batch, { no: w.page, rotation: w.rotation }, 200)" alt="" />
      <div class="what">
        <div>
          <b class="mono">{{ w.batch }}</b>
          {{ w.stream }}
          <span class="soft">{{ w.source }}</span>
        </div>
        <div class="where">
          {{ w.sheet ? sheet(w.sheet, w.side) : t('rescans.fileOnly', { file: w.file, p: w.filePage }) }},
          {{ t('rescans.inBatch', { no: w.page }) }}
        </div>
        <div class="words">{{ w.words ? `“${w.words} …”` : t('rescans.noWords') }}</div>
        <div>
          <span class="state doubtful after wraps">{{ w.because }}</span>
          <span class="soft">{{ t('rescans.by', { by: w.by }) }}</span>
        </div>
        <div class="row acts">
          <KeyButton @click="filling = key(w)">{{ t('rescans.fill') }}</KeyButton>
          <KeyButton
            @click="router.push({ name: 'pages', params: { no: w.batch }, query: { page: w.page } })"
          >
            {{ t('rescans.show') }}
          </KeyButton>
        </div>
        <BringPages
          v-if="filling === key(w)"
          :no="w.batch"
          :page="w.page"
          place="replaces"
          @changed="load"
          @close="closed"
        />
      </div>
    </article>
  </div>
</template>

<style scoped>
.rescans {
  padding: 14px 16px;
  max-width: 1000px;
  margin: 0 auto;
  height: 100%;
  overflow: auto;
}
article {
  display: flex;
  gap: 16px;
  padding: 12px 14px;
  margin: 10px 0;
  background: var(--field);
  break-inside: avoid;
}
img {
  width: 120px;
  height: 160px;
  object-fit: contain;
  border: 1px solid #a9b3bb;
  background: var(--field);
}
.what {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.where {
  font-size: 18px;
  font-weight: 600;
}
.words {
  font-style: italic;
}
@media print {
  .head button,
  .acts {
    display: none;
  }
  .rescans {
    overflow: visible;
    height: auto;
  }
}
</style>
