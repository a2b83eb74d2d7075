import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { ref } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useBoardFilter } from '../composables/useBoardFilter'
import { i18n } from '../i18n'
import FieldBox from '../parts/base/FieldBox.vue'
import KeyButton from '../parts/base/KeyButton.vue'
import PickOne from '../parts/base/PickOne.vue'
import BoardFilters from '../parts/BoardFilters.vue'
import { row } from './fixtures'

test('a button shows its key, sends no form unless it is to, and is not pressed when it is off', async () => {
  const pressed = ref(0)
  const button = mount(KeyButton, {
    props: { k: 'N', onClick: () => pressed.value++ } as object,
    slots: { default: 'Next doubt' },
  })
  expect(button.text()).toMatch(/^Next doubt\s+N$/)
  expect(button.get('kbd').text()).toBe('N')
  expect(button.attributes('type')).toBe('button')
  await button.trigger('click')
  await button.setProps({ disabled: true } as object)
  await button.trigger('click')
  expect(pressed.value).toBe(1)
  expect(mount(KeyButton, { props: { submit: true } }).attributes('type')).toBe('submit')
})

test('a field names its control, and says what is wrong in place of the hint', async () => {
  const field = mount(FieldBox, {
    props: { label: 'Pages', hint: 'as counted' },
    slots: { default: '<input />' },
  })
  expect(field.get('label').text()).toBe('Pages as counted')
  await field.setProps({ error: 'not a number' })
  expect(field.get('[role=alert]').text()).toBe('not a number')
  expect(field.text()).not.toContain('as counted')
})

test('a list says the words of what is chosen, and what it is for while nothing is', async () => {
  const options = [
    { value: '', label: 'All streams (2)' },
    { value: 'dues', label: 'Dues letters (1)' },
  ]
  const all = mount(PickOne, { props: { options, modelValue: '' }, attachTo: document.body })
  await all.vm.$nextTick()
  expect(all.text()).toContain('All streams (2)')
  const none = mount(PickOne, { props: { options, modelValue: '', placeholder: 'Hand on to' } })
  await none.vm.$nextTick()
  expect(none.text()).toContain('Hand on to')
})

test('the board is narrowed by the address: stream, holder, stage and words, each list with its counts', async () => {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { template: '<div />' } }],
  })
  const rows = ref([
    row({ no: 'B-1', stream: 'dues', title: 'Dues letters', stage: 'pages', mine: true, with: 'T. Vane' }),
    row({ no: 'B-2', stream: 'dues', title: 'Dues letters', stage: 'index' }),
    row({ no: 'B-3', stream: 'berths', title: 'Berth applications', stage: 'index' }),
  ])
  let filter!: ReturnType<typeof useBoardFilter>
  const here = { setup: () => ((filter = useBoardFilter(rows, ref(0))), () => null) }
  mount(here, { global: { plugins: [router] } })
  const shown = () => filter.shown.value.map((r) => r.no)
  await router.push('/?stream=dues')
  expect(shown()).toEqual(['B-1', 'B-2'])
  await router.push('/?stream=dues&only=mine')
  expect(shown()).toEqual(['B-1'])
  await router.push('/?stage=index&words=berth')
  expect(shown()).toEqual(['B-3'])
  await router.push('/?words=vane')
  expect(shown()).toEqual(['B-1'])
  filter.words.value = ''
  filter.stage.value = 'index'
  await expect.poll(() => router.currentRoute.value.query).toEqual({ stage: 'index' })
  const filters = mount(BoardFilters, {
    props: { filter, rows: rows.value },
    global: { plugins: [i18n, router] },
  })
  await filters.vm.$nextTick()
  expect(filters.text()).toContain('All streams (3)')
  expect(filters.text()).toContain('Index (2)')
})
