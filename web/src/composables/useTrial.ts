import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, worded, type Schema } from '../api/client'
import type { Rule } from '../parts/rules'
import { readBatches } from './readBatches'

type Definition = { cut?: { rules?: Rule[] } & Record<string, unknown> } & Record<string, unknown>

/** The cutting rules of a stream being changed, tried on the pages of a batch as they are changed; then saved. */
export function useTrial(stream: string) {
  const definition = shallowRef<Definition>({})
  const rules = ref<Rule[]>([])
  const batches = ref<{ no: string; pages: number }[]>([])
  const batch = ref('')
  const trial = shallowRef<Schema['Trial'] | null>(null)
  /** Why the rules as they stand cannot be used. */
  const wrong = ref('')
  const loaded = ref(false)

  async function begin() {
    const [s, read] = await Promise.all([
      api.GET('/api/streams/{name}', { params: { path: { name: stream } }, parseAs: 'text' }),
      readBatches(stream),
    ])
    definition.value = JSON.parse(String(s.data ?? '{}'))
    rules.value = structuredClone(definition.value.cut?.rules ?? [])
    batches.value = read
    batch.value = read[0]?.no ?? ''
    loaded.value = true
    await tryNow()
  }
  const json = computed(() =>
    JSON.stringify({ ...definition.value, cut: { ...definition.value.cut, rules: rules.value } }, null, 2),
  )
  const changed = computed(
    () => JSON.stringify(rules.value) !== JSON.stringify(definition.value.cut?.rules ?? []),
  )
  let asked = 0
  async function tryNow() {
    if (!batch.value) return
    const mine = ++asked
    const { data, error } = await api.POST('/api/streams/try', {
      body: { json: json.value, batch: batch.value },
    })
    // A later question has its own answer.
    if (mine !== asked) return
    wrong.value = error ? worded(error) : ''
    if (data) trial.value = data
  }
  const trySoon = useDebounceFn(tryNow, 250)
  watch([json, batch], () => loaded.value && void trySoon())
  void begin()

  /** @returns the new version, or nothing when it was refused */
  async function save() {
    const { data, error } = await api.POST('/api/streams', { body: { json: json.value } })
    if (error) wrong.value = worded(error)
    return data?.version
  }
  return { rules, batches, batch, trial, wrong, loaded, changed, save }
}
