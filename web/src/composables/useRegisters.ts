import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, tell, worded, type Schema } from '../api/client'
import { registerName, textOf } from '../parts/registerText'
import { useLoad } from './useLoad'

/** A file that would become a register, and what that would change. */
export interface Trial {
  name: string
  /** The text of a file, or where it comes from. */
  csv?: string
  encoding?: string
  source?: Schema['SourceSettings']
  found: Schema['RegisterTrial']
}

/** The organisation's own records: a register is looked at and searched, a new one tried before it is kept. */
export function useRegisters() {
  const { t } = useI18n()
  const all = useLoad(() => api.GET('/api/registers'))
  const name = ref('')
  const q = ref('')
  const detail = shallowRef<Schema['RegisterDetail']>()
  const newcomers = shallowRef<Schema['Newcomer'][]>([])
  const rows = shallowRef<Schema['RegisterRows']>()
  const trial = shallowRef<Trial | null>(null)
  const busy = ref(false)
  const refused = ref('')
  const done = ref('')

  watch(all.data, (list) => {
    if (!list?.some((r) => r.name === name.value)) name.value = list?.[0]?.name ?? ''
  })
  async function look() {
    if (!name.value) return
    const { data, error } = await api.GET('/api/registers/{name}', { params: { path: { name: name.value } } })
    if (data) detail.value = data
    else tell(error)
    const { data: found } = await api.GET('/api/registers/{name}/newcomers', {
      params: { path: { name: name.value } },
    })
    newcomers.value = found ?? []
  }
  async function search() {
    const asked = { name: name.value, q: q.value }
    if (!asked.name) return
    const { data, error } = await api.GET('/api/registers/{name}/rows', {
      params: { path: { name: asked.name }, query: { q: asked.q } },
    })
    if (asked.name !== name.value || asked.q !== q.value) return
    if (data) rows.value = data
    else tell(error)
  }
  watch(name, () => {
    q.value = ''
    void look()
    void search()
  })
  watch(q, useDebounceFn(search, 150))

  /** Shows what a file would make of the register of its name. */
  async function take(file: File) {
    refused.value = done.value = ''
    const { csv, encoding } = textOf(await file.arrayBuffer())
    await attempt(registerName(file.name), csv, encoding)
  }
  async function attempt(as: string, csv: string, encoding: string) {
    busy.value = true
    const { data, error } = await api.POST('/api/registers/{name}/try', {
      params: { path: { name: as } },
      body: { csv },
    })
    busy.value = false
    if (data) trial.value = { name: as, csv, encoding, found: data }
    else refused.value = worded(error)
  }
  /** Asks a source for its rows, which may take it a while. */
  async function trySource(as: string, source: Schema['SourceSettings']) {
    refused.value = done.value = ''
    busy.value = true
    const { data, error } = await api.POST('/api/registers/{name}/source/try', {
      params: { path: { name: as } },
      body: source as never,
    })
    busy.value = false
    if (data) trial.value = { name: as, source, found: data }
    else refused.value = worded(error)
    return !!data
  }
  async function lookAtSource(whatever: boolean) {
    busy.value = true
    const { error } = await api.POST('/api/registers/{name}/source/look', {
      params: { path: { name: name.value }, query: { whatever } },
    })
    busy.value = false
    if (error) tell(error)
    await Promise.all([all.load(), look(), search()])
  }
  async function removeSource() {
    const { error } = await api.DELETE('/api/registers/{name}/source', {
      params: { path: { name: name.value } },
    })
    if (error) tell(error)
    await look()
  }
  /** @param kind null for what its values look like */
  async function sayKind(column: string, kind: Schema['RegisterColumn']['kind'] | null) {
    const { data, error } = await api.PUT('/api/registers/{name}/columns', {
      params: { path: { name: name.value } },
      body: { column, kind } as never,
    })
    if (data) detail.value = data
    else tell(error)
  }
  function rename(as: string) {
    const { csv, encoding, source } = trial.value ?? {}
    if (source) void trySource(as, source)
    else if (csv) void attempt(as, csv, encoding ?? '')
  }
  function kept({ name: as, csv, source }: Trial) {
    const params = { path: { name: as } }
    return source
      ? api.PUT('/api/registers/{name}/source', { params, body: source as never })
      : api.POST('/api/registers/{name}', { params, body: { csv: csv ?? '' } })
  }
  async function save() {
    const wanted = trial.value
    if (!wanted) return
    busy.value = true
    const { data, error } = await kept(wanted)
    busy.value = false
    if (!data) return void (refused.value = worded(error))
    trial.value = null
    done.value = t('registers.saved', { name: wanted.name, n: wanted.found.info.rows })
    await all.load()
    if (name.value === wanted.name) await Promise.all([look(), search()])
    else name.value = wanted.name
  }
  const columns = computed(() => detail.value?.info.columns ?? [])
  return {
    ...{ list: all.data, loading: all.loading, problem: all.problem, load: all.load },
    ...{ name, q, detail, newcomers, rows, columns, trial, busy, refused, done, take, rename, save },
    ...{ trySource, lookAtSource, removeSource, sayKind },
  }
}
