import { flushPromises, mount } from '@vue/test-utils'
import { computed, ref } from 'vue'
import { expect, test } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { doc, page } from '../test/fixtures'
import { usePageActs } from './usePageActs'
import { usePageDoubts } from './usePageDoubts'

test('where a stake may be missing is a doubt beside the page before, and is answered either way', async () => {
  const pages = computed(() => [1, 2, 3].map((no) => page(no, 1)))
  const documents = computed(() => [doc(1, [1, 2, 3])])
  const places = computed(() => [{ page: 3, certainty: 0.4, evidence: [] }])
  const current = ref(0)
  const select = (no: number) => (current.value = no)
  const said: object[] = []
  const decide = (decision: object) => Promise.resolve(said.push(decision))
  const setup = () => {
    const { doubts, beside, nextDoubt } = usePageDoubts({
      pages,
      documents,
      places,
      current,
      select,
      nextOf: (wanted) => select(pages.value.find(wanted)?.no ?? 0),
    })
    expect(doubts.value).toEqual([3])
    expect(current.value).toBe(3)
    expect(beside.value?.no).toBe(2)
    const acts = usePageActs({
      batch: ref(null),
      pages,
      current,
      chosen: computed(() => [current.value]),
      page: computed(() => pages.value.find((p) => p.no === current.value)),
      document: computed(() => documents.value[0]),
      place: computed(() => places.value.find((p) => p.page === current.value)),
      locked: computed(() => false),
      decide,
      load: () => Promise.resolve(),
      nextDoubt,
    })
    acts.confirm()
    acts.toggleStake()
    select(2)
    acts.confirm()
    return () => null
  }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { setup } }],
  })
  mount({ setup }, { global: { plugins: [router] } })
  await flushPromises()
  expect(said.map((d) => Object.values(d).join(' '))).toEqual(['liftStake 3', 'plantStake 3'])
})
