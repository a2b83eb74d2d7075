import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { documentDoubts, isDoubt } from '../composables/useBatch'
import { i18n } from '../i18n'
import BatchLine from '../parts/BatchLine.vue'
import IndexField from '../parts/IndexField.vue'
import StageRail from '../parts/StageRail.vue'
import { batch, doc, page, value } from './fixtures'

const global = { plugins: [i18n] }
const HARD = { code: 'hardToRead' as const, with: {} }

describe('the batch line', () => {
  const pages = [
    page(1, null, 'separator'),
    page(2, 1),
    { ...page(3, 1), needsEye: true },
    page(4, null, 'blank'),
    page(5, 1),
    page(6, 2),
  ]
  const wrapper = mount(BatchLine, {
    props: {
      batch: batch(pages, [
        doc(1, [2, 3, 5], { vessel: value('wrong', 'x', [HARD]) }),
        doc(2, [6], {}, true),
      ]),
      current: 2,
    },
    global,
  })

  test('has a segment for each run of pages, as long as it is', () => {
    expect(
      wrapper
        .findAll('.segment')
        .map(
          (s) =>
            `${s.classes().includes('aside') ? 'aside' : 'document'} ${(s.element as HTMLElement).style.flexGrow}`,
        ),
    ).toEqual(['aside 1', 'document 2', 'aside 1', 'document 1', 'document 1'])
  })
  test('plants one stake for each document, broken where it is in doubt', () => {
    expect(wrapper.findAll('.pole')).toHaveLength(2)
    expect(wrapper.findAll('.pole.broken')).toHaveLength(1)
  })
  test('shows each doubt as a tick and goes where one clicks', async () => {
    expect(wrapper.findAll('.tick')).toHaveLength(3)
    await wrapper.findAll('.segment.document')[2].trigger('click')
    expect(wrapper.emitted('go')).toEqual([[2]])
    expect(wrapper.find('.segment.current').exists()).toBe(true)
  })
})

describe('doubts', () => {
  test('an empty value is one only when something speaks against it', () => {
    expect(isDoubt(value('empty', undefined))).toBe(false)
    expect(isDoubt(value('empty', undefined, [{ code: 'required', with: {} }]))).toBe(true)
    expect(isDoubt(value('settled', 'x', [HARD]))).toBe(false)
    expect(isDoubt(value('doubtful', 'x'))).toBe(true)
  })
  test('of a document: its stake and its fields', () => {
    expect(documentDoubts(doc(1, [1], { a: value('sure', 'x'), b: value('wrong', 'y') }, true))).toBe(2)
  })
})

describe('an index field', () => {
  const props = {
    field: { field: 'vessel', title: 'Vessel', kind: 'text' as const, required: true, mayBeAbsent: true },
    locked: false,
    taken: null,
    batchNo: 'B-0412',
    pages: new Map([[1, page(1, 1)]]),
    modelValue: 'PM-4821-K',
  }
  test('that is sure is compact: snippet, value, state in words', () => {
    const w = mount(IndexField, {
      props: { ...props, value: value('sure', 'PM-4821-K'), current: false },
      global,
    })
    expect(w.find('input').exists()).toBe(false)
    expect(w.find('.snippet').attributes('style')).toContain('/api/batches/B-0412/pages/1/picture')
    expect(w.find('.state').text()).toBe('sure')
  })
  test('in doubt says why and offers its candidates', async () => {
    const doubt = { ...value('doubtful', 'PM-4B21-K', [HARD]), candidates: ['PM-4821-K'] }
    const w = mount(IndexField, { props: { ...props, value: doubt, current: true }, global })
    expect(w.find('.reasons').text()).toBe('hard to read')
    const choices = w.findAll('.choices button')
    await choices[0].trigger('click')
    await choices[1].trigger('click')
    expect(w.emitted('settle')).toEqual([['PM-4821-K'], [null]])
  })
  test('offers rows of a register with what of each stands on the paper', async () => {
    const rows = [
      { value: 'K2001', certainty: 0.49, why: [{ code: 'rowAgrees' as const, with: { columns: 'holder' } }] },
      { value: 'K2002', certainty: 0.49, why: [{ code: 'rowLacks' as const, with: { columns: 'born' } }] },
    ]
    const doubt = { ...value('doubtful', 'K2001', [HARD]), candidates: ['K2002'], rows }
    const w = mount(IndexField, { props: { ...props, value: doubt, current: true }, global })
    expect(w.find('.rows').text()).toContain('not on the paper: born')
    await w.find('.rows button').trigger('click')
    expect(w.emitted('settle')).toEqual([['K2002']])
  })
  test('of a filed batch can be looked at and not be changed', () => {
    const w = mount(IndexField, {
      props: { ...props, value: value('settled', 'x'), current: true, locked: true },
      global,
    })
    expect(w.find('input').attributes('readonly')).toBeDefined()
    expect(w.find('.choices').exists()).toBe(false)
  })
})

test('the stage rail names its stage', () => {
  const w = mount(StageRail, { props: { stage: 'index', share: 0.5 }, global })
  expect(w.findAll('.past')).toHaveLength(2)
  expect(w.text()).toContain('Index')
})
