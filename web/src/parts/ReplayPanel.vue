<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { CHOICES, type Choice, type Replay } from '../composables/useReplay'
import { figure } from './figures'
import NoteBanner from './base/NoteBanner.vue'
import KeyButton from './base/KeyButton.vue'
import PickOne from './base/PickOne.vue'

/** What the draft does better and worse than the saved version on batches that people confirmed. */
const props = defineProps<{ replay: Replay; stream: string }>()
const { t } = useI18n()
const { which, batches, all, erased, running, problem, old, counts, took, ordered, run, stop } = props.replay
const MOST_SHOWN = 200
const choices = (Object.keys(CHOICES) as Choice[]).map((value) => {
  const { most, days } = CHOICES[value]
  return { value, label: days ? t('replay.days', { n: days }) : t('replay.last', { n: most }) }
})
const confirmed = computed(() => {
  const { most, days } = CHOICES[which.value]
  return `/api/workbench/${props.stream}/confirmed.zip?most=${most}&days=${days}`
})
const shown = computed(() => ordered.value.slice(0, MOST_SHOWN))
const said = (text: string | undefined) => text ?? t('workbench.nothing')
</script>

<template>
  <p class="soft">{{ t('replay.lead') }}</p>
  <div class="row">
    <PickOne v-model="which" :options="choices" :aria-label="t('replay.which')" />
    <KeyButton v-if="!running" k="R" main @click="run">{{ t('replay.run') }}</KeyButton>
    <KeyButton v-else @click="stop">{{ t('replay.stop') }}</KeyButton>
    <span class="soft" role="status">
      {{ running || batches.length ? t('replay.done', { n: batches.length, of: all ?? 0 }) : '' }}
    </span>
  </div>
  <p v-if="all !== 0">
    <a :href="confirmed" download>{{ t('replay.takeAlong') }}</a>
  </p>
  <NoteBanner v-if="problem" kind="wrong">{{ problem }}</NoteBanner>
  <NoteBanner v-if="old && batches.length" kind="doubt">{{ t('replay.old') }}</NoteBanner>
  <p v-if="erased" class="soft">{{ t('replay.erased', erased) }}</p>
  <p v-if="!running && !batches.length && all === 0" class="soft">{{ t('replay.none') }}</p>
  <table v-if="batches.length" class="counts">
    <thead>
      <tr>
        <th scope="col" />
        <th v-for="how in ['better', 'worse', 'same']" :key="how" scope="col">{{ t(`replay.${how}`) }}</th>
        <th scope="col">{{ t('replay.doubts') }}</th>
        <th scope="col">{{ t('replay.wrong') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="c in counts" :key="c.what">
        <th scope="row">{{ t(`replay.what.${c.what}`) }}</th>
        <td>{{ c.better }}</td>
        <td :class="{ worse: c.worse }">{{ c.worse }}</td>
        <td>{{ c.same }}</td>
        <td>{{ c.doubts.before }} → {{ c.doubts.after }}</td>
        <td :class="{ worse: c.wrong.after > c.wrong.before }">{{ c.wrong.before }} → {{ c.wrong.after }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="batches.length" class="soft">
    {{ t('replay.took', { before: figure(took.before, 1), now: figure(took.now, 1) }) }}
  </p>
  <ol class="places">
    <li v-for="(p, i) in shown" :key="i" :class="{ worse: p.worse }">
      <RouterLink :to="{ name: 'pages', params: { no: p.batch }, query: { page: p.page } }">
        {{ t('replay.at', { batch: p.batch, page: p.page }) }}
      </RouterLink>
      <b>{{ p.field ?? t(`replay.one.${p.what}`) }}</b>
      <span class="soft">
        {{ t(p.worse ? 'replay.worse' : p.better ? 'replay.better' : 'replay.other') }}
      </span>
      <div class="mono" dir="auto">{{ t('replay.confirmed') }}: {{ said(p.confirmed) }}</div>
      <div class="mono" dir="auto">
        {{ said(p.before) }} ({{ t(`replay.did.${p.beforeDid}`) }}) → {{ said(p.after) }} ({{
          t(`replay.did.${p.afterDid}`)
        }})
      </div>
    </li>
  </ol>
  <p v-if="ordered.length > MOST_SHOWN" class="soft">{{ t('replay.more', ordered.length - MOST_SHOWN) }}</p>
</template>

<style scoped>
.counts {
  border-collapse: collapse;
  margin: 12px 0;
  width: 100%;
  font-variant-numeric: tabular-nums;
}
th,
td {
  text-align: start;
  font-weight: 400;
  padding: 3px 6px;
  border-bottom: 1px solid var(--line-faint);
}
td.worse {
  font-weight: 700;
  color: var(--stake);
}
.places {
  list-style: none;
  margin: 0;
  padding: 0;
}
.places li {
  padding: 6px 8px;
  border-bottom: 1px solid var(--line-faint);
}
.places li.worse {
  border-inline-start: 3px solid var(--stake);
}
b {
  margin: 0 6px;
}
</style>
