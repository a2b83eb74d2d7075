<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChoices } from '../composables/useChoices'
import { LANGUAGES, speak } from '../i18n'
import { place, REGIONS } from '../place'
import FieldBox from './base/FieldBox.vue'
import PickOne from './base/PickOne.vue'
import { moment } from './times'

/** How this desk writes dates and times, and how dark its surroundings are. It holds at once. */
const { t, locale } = useI18n()
const choices = useChoices()
const regions = computed(() => {
  const names = new Intl.DisplayNames([locale.value], { type: 'region' })
  return [
    { value: '', label: t('place.asBrowser') },
    ...REGIONS.map((r) => ({ value: r, label: names.of(r) ?? r })).sort((a, b) =>
      a.label.localeCompare(b.label),
    ),
  ]
})
const hours = computed(() => [{ value: '', label: t('place.asRegion') }, ...choices(['h12', 'h23'], 'place')])
const rooms = computed(() => [
  { value: '', label: t('place.asBrowser') },
  ...choices(['light', 'dim'], 'place'),
])
/** Each by its own name. */
const languages = LANGUAGES.map((value) => ({
  value,
  label: new Intl.DisplayNames([value], { type: 'language' }).of(value) ?? value,
}))
const example = computed(() => moment(new Date().toISOString()))
</script>

<template>
  <section class="panel place">
    <h1>{{ t('place.title') }}</h1>
    <p class="soft">{{ t('place.lead') }}</p>
    <FieldBox v-if="languages.length > 1" :label="t('place.language')">
      <PickOne v-model="place.language" :options="languages" @change="speak" />
    </FieldBox>
    <FieldBox :label="t('place.region')">
      <PickOne v-model="place.region" :options="regions" filterable />
    </FieldBox>
    <FieldBox :label="t('place.hours')">
      <PickOne v-model="place.hours" :options="hours" />
    </FieldBox>
    <FieldBox :label="t('place.room')">
      <PickOne v-model="place.room" :options="rooms" />
    </FieldBox>
    <p class="soft">{{ t('place.example', { example }) }}</p>
  </section>
</template>

<style scoped>
.place {
  width: 330px;
  padding: 24px 28px 28px;
  display: flex;
  flex-direction: column;
  gap: 13px;
}
h1 {
  font-size: 22px;
}
p {
  margin: 0;
}
</style>
