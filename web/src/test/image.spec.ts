import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { computed, nextTick } from 'vue'
import { api } from '../api/client'
import { usePageChoice } from '../composables/usePageChoice'
import { i18n } from '../i18n'
import ImageFindings from '../parts/ImageFindings.vue'
import LimitsPanel from '../parts/LimitsPanel.vue'
import PageViewer from '../parts/PageViewer.vue'
import RepairBar from '../parts/RepairBar.vue'
import { page } from './fixtures'

const global = { plugins: [i18n] }
const press = (key: string) =>
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))

describe('choosing pages', () => {
  const all = [
    page(1, 1),
    { ...page(2, 1), needsEye: true },
    page(3, 1, 'setAside'),
    { ...page(4, 1), needsEye: true },
    page(5, 1),
  ]
  test('a range over the pages that need an eye holds no page that is not shown', () => {
    const { onlyEyes, chosen, select, step } = usePageChoice(
      computed(() => all),
      () => {},
    )
    select(2)
    step(1, true)
    step(1, true)
    expect(chosen.value).toEqual([2, 3, 4])
    select(2)
    onlyEyes.value = true
    step(1, true)
    expect(chosen.value).toEqual([2, 4])
    step(1, false)
    expect(chosen.value).toEqual([4])
  })
  test('the next of some begins again at the end', () => {
    const { current, select, nextOf } = usePageChoice(
      computed(() => all),
      () => {},
    )
    select(3)
    nextOf((p) => p.needsEye)
    expect(current.value).toBe(4)
    nextOf((p) => p.needsEye)
    expect(current.value).toBe(2)
    nextOf((p) => p.role === 'blank')
    expect(current.value).toBe(2)
  })
})

describe('the repair bar', () => {
  test('is worked by figures, shows each recipe at once, and keeps colour before tones before bitonal', async () => {
    const bar = mount(RepairBar, { props: { now: [{ do: 'bitonal' }], byHand: false }, global })
    press('6')
    await nextTick()
    bar.findAllComponents({ name: 'ElSlider' })[1].vm.$emit('update:modelValue', 0.5)
    await vi.waitFor(() =>
      expect(bar.emitted('preview')?.at(-1)).toEqual([
        [
          { do: 'dropColour', colour: 'any' },
          { do: 'levels', brightness: 0, contrast: 0.5 },
          { do: 'bitonal' },
        ],
      ]),
    )
    press('8')
    await nextTick()
    press('Enter')
    expect(bar.emitted('save')).toEqual([
      [
        [
          { do: 'dropColour', colour: 'any' },
          { do: 'levels', brightness: 0, contrast: 0.5 },
        ],
      ],
    ])
    const saves = bar.emitted('save')!
    bar.unmount()
    press('Enter')
    expect(saves).toHaveLength(1)
  })
})

describe('findings of a page', () => {
  const unfit = {
    ...page(3, 1),
    needsEye: true,
    image: {
      ...page(3, 1).image,
      findings: [{ kind: 'blur', figure: 0.384, limit: 0.34, where: [1, 2, 3, 4] }],
    },
  }
  test('say the figure against its limit, show where, and can be kept', async () => {
    const shown = mount(ImageFindings, {
      props: { no: 'B-0001', page: unfit as never, locked: false, open: false, filed: true },
      global,
    })
    expect(shown.text()).toContain('Blur 0.38, limit 0.34')
    await shown.find('li').trigger('mouseenter')
    expect(shown.emitted('region')).toEqual([[[1, 2, 3, 4]]])
    await shown.findAll('button')[0].trigger('click')
    expect(shown.emitted('accept')).toHaveLength(1)
  })
  test('cannot be acted on while another has the batch', () => {
    const shown = mount(ImageFindings, {
      props: { no: 'B-0001', page: unfit as never, locked: true, open: false, filed: true },
      global,
    })
    expect(
      shown
        .findAll('button')
        .filter((b) => b.attributes('disabled') === undefined && b.attributes('aria-expanded') === undefined),
    ).toHaveLength(0)
  })
})

describe('limits of a stream', () => {
  const answers: Record<string, unknown> = {
    '/api/measures': [
      { measure: 'blur', unit: 'mm', tooMuch: true, usual: 0.34 },
      { measure: 'contrast', unit: '', tooMuch: false, usual: 0.3 },
    ],
    '/api/board': { batches: [{ no: 'B-0007', stream: 'letters', pages: 3, read: 3 }], now: '' },
    '/api/streams/letters': { stream: 'letters', pages: { blank: 'keep', limits: { contrast: null } } },
    '/api/batches/B-0007/figures': [0.1, 0.2, 0.4].map((figure, i) => ({
      page: i + 1,
      role: 'content',
      rotation: 0,
      figures: [
        { kind: 'blur', figure, said: `${figure} mm` },
        { kind: 'contrast', figure: 0.1, said: '0.1' },
      ],
    })),
  }
  const saved: string[] = []
  beforeEach(() => {
    const path = (p: string, o?: { params?: { path?: Record<string, string> } }) =>
      p.replace(/\{(\w+)\}/g, (_, k: string) => o?.params?.path?.[k] ?? '')
    vi.spyOn(api, 'GET').mockImplementation((async (p: string, o: never) => ({
      data: p.endsWith('{name}') ? JSON.stringify(answers[path(p, o)]) : answers[path(p, o)],
    })) as never)
    vi.spyOn(api, 'POST').mockImplementation((async (_: string, o: { body: { json: string } }) => {
      saved.push(o.body.json)
      return { data: { version: 2, title: 'Letters' } }
    }) as never)
  })
  afterEach(() => vi.restoreAllMocks())

  test('show at once how many pages of a past batch a limit would stop, and save only what differs', async () => {
    const panel = mount(LimitsPanel, { props: { stream: 'letters' }, global })
    await vi.waitFor(() => expect(panel.text()).toContain('1 of 3 pages would be shown'))
    panel.getComponent({ name: 'ElSlider' }).vm.$emit('input', 0.15)
    await nextTick()
    expect(panel.text()).toContain('2 of 3 pages would be shown')
    expect(panel.findAll('.out')).toHaveLength(2)
    expect(panel.findAll('figure').map((f) => f.find('.mono').text())).toEqual(['1', '2', '3'])
    await panel.find('.act.main').trigger('click')
    await vi.waitFor(() => expect(panel.emitted('saved')).toEqual([[2]]))
    expect(JSON.parse(saved[0])).toMatchObject({
      pages: { blank: 'keep', limits: { blur: expect.closeTo(0.15, 1), contrast: null } },
    })
  })
})

describe('shapes on a leaning page', () => {
  const shapes = [
    { box: [20, 30, 40, 5], kind: 'hit' as const, print: true },
    { box: [180, 0, 30, 30], kind: 'finding' as const },
  ]
  const transforms = (turn: number) =>
    mount(PageViewer, { props: { src: 'x', alt: 'x', widthMm: 210, heightMm: 297, shapes, turn, lean: 4 } })
      .findAll('g.shape')
      .map((g) => g.attributes('transform'))

  test('run along the print as it was received', () => {
    expect(transforms(0)).toEqual(['rotate(4 40 32.5)', undefined])
  })
  test('are turned with the page when it is straightened, those around print with nothing left over', () => {
    expect(transforms(-4)).toEqual(['rotate(-4 105 148.5) rotate(4 40 32.5)', 'rotate(-4 105 148.5) '])
  })
})
