import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test } from 'vitest'
import { i18n } from '../../i18n'
import FactList from './FactList.vue'
import ListRow from './ListRow.vue'
import NoteBanner from './NoteBanner.vue'
import PanelBox from './PanelBox.vue'
import PickFiles from './PickFiles.vue'
import WaitingFor from './WaitingFor.vue'

const global = { plugins: [i18n] }
afterEach(() => (document.body.innerHTML = ''))

test('a banner is heard at once when something is wrong, and takes back what can be taken back', async () => {
  const told = mount(NoteBanner, {
    props: { undo: true, undoKey: 'Z' },
    slots: { default: '3 pages' },
    global,
  })
  expect(told.attributes('role')).toBe('status')
  expect(told.get('button').text()).toMatch(/^Undo\s+Z$/)
  await told.get('button').trigger('click')
  expect(told.emitted('undo')).toHaveLength(1)
  expect(mount(NoteBanner, { props: { kind: 'wrong' }, global }).attributes('role')).toBe('alert')
})

test('a panel has its heading at the level it is given, and acts beside it', () => {
  const panel = mount(PanelBox, {
    props: { title: 'Streams', level: 1 },
    slots: { acts: '<button>Import</button>', default: '<p>rows</p>' },
  })
  expect(panel.get('h1').text()).toBe('Streams')
  expect(panel.get('.el-card__header button').text()).toBe('Import')
  expect(
    mount(PanelBox, { slots: { default: 'x' } })
      .find('.el-card__header')
      .exists(),
  ).toBe(false)
})

test('a row says its state first, and does what is chosen among its acts', async () => {
  const row = mount(ListRow, {
    props: {
      title: 'copier',
      state: 'well',
      kind: 'sure',
      acts: [
        { name: 'run', label: 'Look now' },
        { name: 'pause', label: 'Pause', disabled: true },
      ],
    },
    global,
    attachTo: document.body,
  })
  expect(row.text()).toMatch(/^well\s*copier/)
  const more = row.get('button')
  expect(more.attributes('aria-label')).toBe('What can be done with copier')
  await more.trigger('click')
  const acts = [...document.querySelectorAll<HTMLElement>('.el-dropdown-menu__item')]
  expect(acts.map((a) => a.textContent)).toEqual(['Look now', 'Pause'])
  acts[1].click()
  acts[0].click()
  expect(row.emitted('act')).toEqual([['run']])
  row.unmount()
  expect(
    mount(ListRow, { props: { title: 'copier' }, global })
      .find('button')
      .exists(),
  ).toBe(false)
})

test('facts stand beside what they are; those that were read are in mono, and turn as their letters do', () => {
  const facts = mount(FactList, {
    props: {
      facts: [
        { label: 'Owner', value: 'عمر', mono: true },
        { label: 'Lean', value: '0.7°' },
      ],
    },
  })
  expect(facts.findAll('bdi').map((b) => b.text())).toEqual(['عمر', '0.7°'])
  expect(facts.findAll('bdi.mono')).toHaveLength(1)
})

test('what is waited for says that it comes, why it does not, or that there is none; in this order', async () => {
  const waiting = mount(WaitingFor, { props: { loading: true, empty: 'No batches yet.' }, global })
  expect(waiting.text()).not.toContain('No batches yet.')
  await waiting.setProps({ problem: null })
  expect(waiting.get('[role=alert]').text()).toContain('The server does not answer.')
  await waiting.get('button').trigger('click')
  expect(waiting.emitted('again')).toHaveLength(1)
  await waiting.setProps({ problem: undefined, loading: false })
  expect(waiting.text()).toBe('No batches yet.')
})

test('files that are chosen together come together, and can be chosen once more', async () => {
  const pick = mount(PickFiles, { props: { multiple: true, k: 'O' }, slots: { default: 'choose files' } })
  const input = pick.get('input')
  const choose = async (...names: string[]) => {
    Object.defineProperty(input.element, 'files', {
      configurable: true,
      value: names.map((n) => new File(['x'], n)),
    })
    await input.trigger('change')
    await flushPromises()
  }
  await choose('a.tif', 'b.tif')
  await choose('c.tif')
  const came = pick.emitted<[File[]]>('files')!.map(([files]) => files.map((f) => f.name))
  expect(came).toEqual([['a.tif', 'b.tif'], ['c.tif']])
})
