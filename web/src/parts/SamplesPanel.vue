<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, pictureOf, tell, type Schema } from '../api/client'
import { useLoad } from '../composables/useLoad'
import { useSession } from '../session'
import KeyButton from './base/KeyButton.vue'
import NoteBanner from './base/NoteBanner.vue'
import PanelBox from './base/PanelBox.vue'
import WaitingFor from './base/WaitingFor.vue'
import { moment } from './times'

/** The types of a stream in their tree, and the documents by which each is known. */
const props = defineProps<{ stream: string }>()
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const session = useSession()
const supervisor = computed(() => session.me?.role === 'supervisor')
const path = { name: props.stream }
const { data, loading, problem, load } = useLoad(() =>
  api.GET('/api/streams/{name}/samples', { params: { path } }),
)
const open = ref('')
interface Node {
  key: string
  label: string
  type?: Schema['SampledType']
  children?: Node[]
}
const tree = computed(() => {
  const top: Node[] = []
  for (const type of data.value?.types ?? []) {
    let level = top
    type.under.forEach((name, i) => {
      const key = `under:${type.under.slice(0, i + 1).join('/')}`
      let node = level.find((n) => n.key === key)
      if (!node) level.push((node = { key, label: name, children: [] }))
      level = node.children!
    })
    level.push({ key: type.type, label: type.title, type })
  }
  return top
})
const shown = computed(() => data.value?.types.find((x) => x.type === open.value))
const lesson = computed(() => data.value?.lesson)

async function say(sample: Schema['ShownSample'], what: 'TAKE_OUT' | 'PUT_BACK' | 'PICTURE') {
  const { data: now, error } = await api.POST('/api/streams/{name}/samples/{id}', {
    params: { path: { ...path, id: sample.id } },
    body: { what },
  })
  if (error) tell(error)
  if (now) data.value = now
}
</script>

<template>
  <PanelBox :title="t('samples.title')">
    <template #acts>
      <span v-if="lesson" class="soft" role="status">
        {{
          t('samples.lesson', {
            n: lesson.version,
            when: moment(lesson.madeAt),
            right: lesson.rightNow,
            tried: lesson.tried,
            before: lesson.rightBefore,
          })
        }}
      </span>
      <KeyButton @click="load">{{ t('samples.again') }}</KeyButton>
      <KeyButton @click="emit('close')">{{ t('app.close') }}</KeyButton>
    </template>
    <WaitingFor v-bind="{ loading, problem }" @again="load" />
    <NoteBanner v-if="data && !lesson">{{ t('samples.nothing') }}</NoteBanner>
    <NoteBanner v-if="lesson?.undone" kind="doubt">{{ t('samples.undone') }}</NoteBanner>
    <div v-if="data" class="two">
      <ElTree
        :data="tree"
        node-key="key"
        default-expand-all
        highlight-current
        :current-node-key="open"
        :empty-text="t('samples.noType')"
        @node-click="(node: Node) => node.type && (open = node.type.type)"
      >
        <template #default="{ data: node }">
          <span class="stretch label" :title="node.label">{{ node.label }}</span>
          <span v-if="node.type" class="soft">
            <b v-if="node.type.faults.length" class="state doubtful">◆</b>
            {{ t('samples.known', node.type.known) }}
          </span>
        </template>
      </ElTree>
      <section v-if="shown" :aria-label="shown.title">
        <NoteBanner v-for="f in shown.faults" :key="f" kind="doubt">{{ f }}</NoteBanner>
        <p v-if="!shown.samples.length" class="soft">{{ t('samples.none') }}</p>
        <ul class="samples">
          <li v-for="s in shown.samples" :key="s.id" :class="s.standing">
            <RouterLink :to="{ name: 'pages', params: { no: s.batch }, query: { page: s.page } }">
              <img
                :src="pictureOf(s.batch, { no: s.page, rotation: 0 }, 200)"
                loading="lazy"
                :alt="t('samples.of', { batch: s.batch, page: s.page })"
              />
            </RouterLink>
            <b>{{ s.picture ? t('samples.picture') : t(`samples.standing.${s.standing}`) }}</b>
            <span class="soft">
              {{ t('samples.by', { by: s.confirmed.by, when: moment(s.confirmed.at) }) }}
            </span>
            <template v-if="supervisor">
              <ElButton v-if="s.standing === 'takenOut'" link @click="say(s, 'PUT_BACK')">
                {{ t('samples.putBack') }}
              </ElButton>
              <template v-else>
                <ElButton link @click="say(s, 'TAKE_OUT')">{{ t('samples.takeOut') }}</ElButton>
                <ElButton v-if="!s.picture && s.standing === 'known'" link @click="say(s, 'PICTURE')">
                  {{ t('samples.makePicture') }}
                </ElButton>
              </template>
            </template>
          </li>
        </ul>
      </section>
      <p v-else class="soft">{{ t('samples.choose') }}</p>
    </div>
  </PanelBox>
</template>

<style scoped>
.label {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.two > * {
  min-width: 0;
}
.two {
  display: grid;
  grid-template-columns: 320px 1fr;
  gap: 16px;
}
.samples {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  max-height: 520px;
  overflow: auto;
}
.samples li {
  width: 132px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  font-size: 13px;
}
.samples .el-button {
  margin: 0;
}
.samples .takenOut img,
.samples .spare img,
.samples .refused img {
  opacity: 0.45;
}
img {
  width: 124px;
  height: 175px;
  object-fit: contain;
  background: #fff;
  border: 1px solid #a9b3bb;
}
</style>
