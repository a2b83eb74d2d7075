<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { api, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useWords } from '../composables/useWords'
import WaitingFor from './base/WaitingFor.vue'
import { certain } from './figures'
import { moment } from './times'

/** How a filed document came to be what it is: what brought its pages, who or what decided, and where it lies. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const words = useWords()
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/archive/{id}/story', { params: { path: { id: props.id } } }),
)

const from = (p: Schema['CamePage']) => {
  const file = t('pageDesk.from', { file: p.file, p: p.filePage })
  return p.sheet ? `${file}, ${words.sheet(p.sheet, p.side)}` : file
}
const decided = (d: { by?: string; certainty: number; evidence: Schema['Evidence'][] }) =>
  d.by
    ? t('archive.story.byHand', { by: d.by })
    : t('archive.story.byRule', { why: words.reasons(d.evidence), share: certain(d.certainty) })
function found({ page, value }: Schema['StoryValue']) {
  if (value.by) return t('archive.story.settled', { by: value.by })
  const how = t(`archive.story.finder.${value.finder}`)
  const where = page ? t('archive.story.onPage', { how, page }) : how
  return t('archive.story.certain', { where, share: certain(value.certainty) })
}
const fields = (c: Schema['StoryCorrection']) =>
  Object.entries(c.values)
    .map(([name, value]) => `${name}: ${value ?? '–'}`)
    .join(', ')
</script>

<template>
  <WaitingFor v-bind="{ loading, problem }" @again="load" />
  <div v-if="data" class="story">
    <section>
      <h2>{{ t('archive.story.came') }}</h2>
      <template v-for="c in data.came" :key="c.batch">
        <p>
          <RouterLink class="mono" :to="{ name: 'pages', params: { no: c.batch } }">{{ c.batch }}</RouterLink>
          {{ t('archive.story.cameBy', { source: c.source, when: moment(c.at), by: c.by }) }}
        </p>
        <ul>
          <li v-for="p in c.pages" :key="p.no">
            {{ t('archive.story.page', { no: p.no }) }}
            <bdi class="soft">{{ from(p) }}</bdi>
          </li>
        </ul>
      </template>
    </section>
    <section>
      <h2>{{ t('archive.story.begins') }}</h2>
      <p>{{ decided(data.stake) }}</p>
      <h2>{{ t('archive.story.isType') }}</h2>
      <p>{{ decided(data.type) }}</p>
    </section>
    <section v-if="data.values.length">
      <h2>{{ t('archive.story.values') }}</h2>
      <dl>
        <template v-for="v in data.values" :key="v.title">
          <dt>{{ v.title }}</dt>
          <dd>
            <bdi class="mono">{{ v.value.value ?? '–' }}</bdi>
            <div class="soft">
              {{ found(v) }}
              <template v-if="v.value.reasons.length">
                · {{ v.value.reasons.map(words.reason).join('; ') }}
              </template>
            </div>
          </dd>
        </template>
      </dl>
    </section>
    <section v-if="data.corrections.length">
      <h2>{{ t('archive.story.corrected') }}</h2>
      <p v-for="(c, i) in data.corrections" :key="i">
        <bdi class="mono">{{ fields(c) }}</bdi>
        <span class="soft">
          {{ t('archive.story.because', { why: c.why, by: c.by, when: moment(c.at) }) }}
        </span>
      </p>
    </section>
    <section>
      <h2>{{ t('archive.story.lies') }}</h2>
      <p v-for="(l, i) in data.lies" :key="i">
        {{ l.destination }}
        <bdi class="mono">{{ l.path }}</bdi>
        <span class="soft">
          {{
            l.checked
              ? t(`filing.found.${l.checked.found}`, { when: moment(l.checked.at) })
              : t(`archive.story.state.${l.state}`)
          }}
        </span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.story {
  display: grid;
  gap: 14px;
}
h2 {
  margin: 0 0 4px;
  font-size: 16px;
}
p,
ul,
dl {
  margin: 0 0 6px;
}
p .soft {
  display: block;
}
ul {
  padding-inline-start: 18px;
}
p,
li,
dd {
  overflow-wrap: anywhere;
}
dl {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 6px 12px;
}
dd {
  margin: 0;
}
</style>
