<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, pictureOf, worded, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import FieldBox from './base/FieldBox.vue'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import WaitingFor from './base/WaitingFor.vue'

/** Papers of a type that is read badly of late, put together by their look: those alike can be made a layout. */
const props = defineProps<{ stream: string; type: string; to: (at: Schema['DriftingPaper']) => object }>()
const { t } = useI18n()
const router = useRouter()
/** So many are shown of each; the others look like them. */
const SHOWN = 4
const path = { stream: props.stream, type: props.type }
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/workbench/{stream}/types/{type}/drifting', { params: { path } }),
)
const titles = reactive<Record<number, string>>({})
const refused = ref('')
const making = ref(false)
const titleOf = (i: number) => titles[i] ?? data.value?.[i].title ?? ''
async function make(i: number) {
  making.value = true
  const { data: made, error } = await api.POST('/api/workbench/{stream}/layouts', {
    params: { path: { stream: props.stream } },
    body: { title: titleOf(i), papers: data.value![i].papers },
  })
  making.value = false
  refused.value = error ? worded(error) : ''
  if (made)
    void router.push({
      name: 'workbench',
      params: { stream: props.stream },
      query: { batch: made.batch, page: made.page, type: props.type },
    })
}
</script>

<template>
  <WaitingFor
    v-if="!data?.length"
    v-bind="{ loading, problem }"
    :empty="t('watch.nothingLeft')"
    @again="load"
  />
  <NoteBanner v-if="refused" kind="wrong">{{ refused }}</NoteBanner>
  <section v-for="({ title, papers }, i) in data ?? []" :key="i">
    <p>{{ t(title ? 'watch.gatheredHeaded' : 'watch.gathered', { title: title ?? '' }, papers.length) }}</p>
    <div class="papers">
      <RouterLink v-for="at in papers.slice(0, SHOWN)" :key="at.batch + at.document" :to="to(at)">
        <img
          :src="pictureOf(at.batch, { no: at.page, rotation: 0 }, 200)"
          loading="lazy"
          :alt="t('watch.first', { ...at })"
        />
        <span class="soft">{{ t('watch.at', { ...at }) }}</span>
      </RouterLink>
    </div>
    <form v-if="papers.length > 1" class="row" @submit.prevent="make(i)">
      <FieldBox :label="t('watch.layoutTitle')" class="stretch">
        <ElInput
          :model-value="titleOf(i)"
          maxlength="80"
          @update:model-value="(now: string) => (titles[i] = now)"
        />
      </FieldBox>
      <KeyButton submit :disabled="making || !titleOf(i).trim()">{{ t('watch.makeLayout') }}</KeyButton>
    </form>
  </section>
</template>

<style scoped>
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.papers a {
  width: 96px;
  font-size: 12px;
}
img {
  display: block;
  width: 92px;
  height: 130px;
  object-fit: contain;
  background: #fff;
  border: 1px solid var(--line);
}
.row {
  align-items: end;
  gap: 8px;
  padding: 6px 0;
}
</style>
