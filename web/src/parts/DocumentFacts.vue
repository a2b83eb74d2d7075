<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Repair, Schema } from '../api/client'
import { useSession } from '../session'
import FactList from './base/FactList.vue'
import KeyButton from './base/KeyButton.vue'
import CorrectValues from './CorrectValues.vue'
import DocumentStory from './DocumentStory.vue'
import KeptLine from './KeptLine.vue'
import MorePages from './MorePages.vue'
import NoteBanner from './base/NoteBanner.vue'
import SeenBy from './SeenBy.vue'
import { moment } from './times'

/** An archived document in words: where it is from, its values, the lines with hits, its file. */
const props = defineProps<{ opened: Schema['OpenedDocument']; asked: boolean; repairs: Repair[] }>()
defineEmits<{ back: []; show: [page: number] }>()
const { t } = useI18n()
/** Who has seen it is listed for supervisors; readers add nothing. */
const role = useSession().me?.role
const supervisor = role === 'supervisor'
const reader = role === 'reader'
const listing = ref(false)
const adding = ref(false)
const telling = ref(false)
const correcting = ref(false)
const corrected = ref<Schema['Corrected'] | null>(null)
function correctedNow(now: Schema['Corrected']) {
  corrected.value = now
  correcting.value = false
}
const versions = computed(() => props.opened.document.versions)
const about = computed(() => props.opened.document.document)
const registers = computed(() =>
  props.opened.registers.map((r) => t('archive.register', { ...r })).join(', '),
)
const hits = computed(() => props.opened.document.hits)
/** Until it is there. */
watch(
  () => about.value.version,
  () => (corrected.value = null),
)
const facts = computed(() =>
  about.value.fields.map((f) => ({
    label: f.title,
    value: f.value ?? t('archive.confidential'),
    mono: f.value !== null,
  })),
)
const copy = (text: string) => navigator.clipboard?.writeText(text)
</script>

<template>
  <aside class="document-facts">
    <div class="row">
      <KeyButton k="Esc" @click="$emit('back')">{{ t('archive.back') }}</KeyButton>
      <a v-if="!about.pagesHidden" :href="`/api/archive/${about.id}/file`" target="_blank" rel="noopener">
        {{ t('archive.open') }}
      </a>
    </div>
    <h1 dir="auto">{{ about.title }}</h1>
    <p class="soft">
      {{ t('archive.from', { batch: about.batch, when: moment(about.filedAt), by: about.filedBy }) }}
    </p>
    <NoteBanner v-if="about.pagesHidden" kind="doubt">{{ t('archive.pagesHidden') }}</NoteBanner>
    <FactList :facts="facts" />
    <KeptLine v-if="!reader && !about.pagesHidden" :id="about.id" :supervisor="supervisor" />
    <p v-if="opened.registers.length" class="soft">
      {{ t('archive.registers', { which: registers }) }}
    </p>
    <p v-if="repairs.length" class="soft">
      {{ t('archive.repaired', { how: repairs.map((r) => t(`repair.done.${r.do}`)).join(', ') }) }}
      {{ t('image.hold') }}
      <kbd>B</kbd>
    </p>
    <template v-if="versions.length > 1">
      <h2>{{ t('archive.versions') }}</h2>
      <ul>
        <li v-for="v in versions" :key="v.version">
          <component
            :is="about.pagesHidden ? 'span' : 'a'"
            :href="`/api/archive/${about.id}/versions/${v.version}/file`"
            target="_blank"
            rel="noopener"
          >
            {{
              t(
                'archive.versionIs',
                { n: v.version, pages: v.pageCount, when: moment(v.filedAt), by: v.filedBy },
                v.pageCount,
              )
            }}
          </component>
        </li>
      </ul>
    </template>
    <div class="row acts">
      <KeyButton v-if="!reader && !about.pagesHidden" @click="adding = true">
        {{ t('archive.addPages') }}
      </KeyButton>
      <KeyButton v-if="!reader && !about.pagesHidden" @click="correcting = true">
        {{ t('archive.correct') }}
      </KeyButton>
      <KeyButton v-if="!reader && !about.pagesHidden" @click="telling = true">
        {{ t('archive.story.title') }}
      </KeyButton>
      <KeyButton v-if="supervisor" @click="listing = true">{{ t('archive.seenBy') }}</KeyButton>
    </div>
    <NoteBanner v-if="corrected">
      {{ t('archive.correctedTo', { places: corrected.to.join(', ') }) }}
      <template v-if="corrected.not.length">
        {{ t('archive.correctedNot', { places: corrected.not.join(', ') }) }}
      </template>
    </NoteBanner>
    <ElDrawer v-model="correcting" :title="t('archive.correct')" size="460px" destroy-on-close>
      <CorrectValues :opened="opened" @done="correctedNow" @close="correcting = false" />
    </ElDrawer>
    <ElDrawer v-model="telling" :title="t('archive.story.title')" size="560px" destroy-on-close>
      <DocumentStory :id="about.id" />
    </ElDrawer>
    <ElDrawer v-model="adding" :title="t('archive.addPages')" size="560px" destroy-on-close>
      <MorePages :found="about" />
    </ElDrawer>
    <ElDrawer v-model="listing" :title="t('archive.seenBy')" size="560px" destroy-on-close>
      <SeenBy :id="about.id" />
    </ElDrawer>
    <template v-if="asked && !about.pagesHidden">
      <h2>
        {{ hits.length ? t('archive.hits', hits.length) : t('archive.noHits') }}
        <kbd v-if="hits.length">N</kbd>
      </h2>
      <ol>
        <li v-for="(h, i) in hits" :key="i">
          <ElButton link class="hit" @click="$emit('show', h.page)">
            {{ h.line }}
            <span class="soft">{{ t('archive.hitOn', { page: h.page }) }}</span>
          </ElButton>
          <ElButton link :aria-label="t('archive.copyLine', { line: h.line })" @click="copy(h.line)">
            {{ t('archive.copy') }}
          </ElButton>
        </li>
      </ol>
    </template>
  </aside>
</template>

<style scoped>
.document-facts {
  width: 360px;
  flex: none;
  overflow: auto;
  background: var(--panel);
  border-inline-start: 1px solid var(--line);
  padding: 12px 16px;
}
h1 {
  margin: 12px 0 4px;
  overflow-wrap: anywhere;
}
h2 {
  margin: 18px 0 6px;
}
ol,
ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
.acts {
  margin-block: 14px;
  flex-wrap: wrap;
}
li {
  display: flex;
  align-items: flex-start;
  gap: 8px;
  padding: 4px 0;
  border-top: 1px solid var(--line-faint);
}
.hit {
  flex: 1;
  justify-content: flex-start;
  text-align: start;
  white-space: normal;
}
</style>
