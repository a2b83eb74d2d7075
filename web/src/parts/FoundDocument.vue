<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { archivePicture, type Box, type Schema } from '../api/client'
import FieldGrid from './FieldGrid.vue'
import Snippet from './Snippet.vue'
import { moment } from './times'

/** A document that was found: its first page, the hit as it stands on the paper, its values. */
defineProps<{ found: Schema['Found']; at: boolean }>()
defineEmits<{ open: [] }>()
/** Whether it is to be taken along with others. */
const chosen = defineModel<boolean>('chosen', { required: true })
const { t } = useI18n()

/** Pages that were straightened before they were filed have their lines a little beside where they were received. */
const BESIDE_MM = 4
const wider = ([x, y, w, h]: number[]) =>
  [Math.max(0, x! - BESIDE_MM), y! - 0.5, w! + 2 * BESIDE_MM, h! + 1] as Box
</script>

<template>
  <article class="panel found" :class="{ at }" :aria-current="at || undefined" @click="$emit('open')">
    <p v-if="found.pagesHidden" class="hidden soft">{{ t('archive.pagesHiddenShort') }}</p>
    <img v-else :src="archivePicture(found.id, found.hit?.page ?? 1, 900)" loading="lazy" alt="" />
    <div class="what">
      <header>
        <ElCheckbox v-model="chosen" :aria-label="t('archive.choose', { title: found.title })" @click.stop />
        <a href="#" dir="auto" @click.prevent.stop="$emit('open')">{{ found.title }}</a>
        <span class="soft">
          {{ t('archive.pages', found.pageCount) }} ·
          <template v-if="found.version > 1">{{ t('archive.version', { n: found.version }) }} ·</template>
          {{ t('archive.filed', { when: moment(found.filedAt), by: found.filedBy }) }}
        </span>
      </header>
      <Snippet
        v-if="found.hit"
        :src="archivePicture(found.id, found.hit.page, 1700)"
        :quick="archivePicture(found.id, found.hit.page, 900)"
        :alt="found.hit.line"
        :box="wider(found.hit.box)"
        :page-width="found.hit.paper.widthMm"
        :page-height="found.hit.paper.heightMm"
        :width="880"
        :height="38"
      />
      <FieldGrid :fields="found.fields" />
    </div>
  </article>
</template>

<style scoped>
.found {
  display: flex;
  gap: 16px;
  padding: 10px 12px;
  cursor: pointer;
  background: var(--field);
  flex: none;
}
.found:hover,
.found.at {
  border-color: var(--petrol);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.hidden {
  display: grid;
  place-content: center;
  text-align: center;
  margin: 0;
}
img,
.hidden {
  width: 128px;
  height: 112px;
  object-fit: cover;
  object-position: top;
  border: 1px solid var(--line);
  flex: none;
  background: var(--paper);
}
.what {
  min-width: 0;
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
header {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 2px 12px;
}
</style>
