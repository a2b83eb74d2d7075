import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import DueList from '../parts/DueList.vue'
import ErasedList from '../parts/ErasedList.vue'
import HoldForm from '../parts/HoldForm.vue'
import { dueLetter, dueLetters } from '../test/fixtures'
import { refused, screen } from '../test/screen'

let shown: VueWrapper | undefined
afterEach(() => {
  shown?.unmount()
  document.body.innerHTML = ''
})
const due = { '/api/retention/due': [dueLetters], '/api/retention/due/documents': [dueLetter] }

test('what was chosen is erased with a reason, and what is held cannot be chosen', async () => {
  const held = { ...dueLetter, document: 6, holds: ['Case 7'] }
  const view = await screen(DueList, {
    answers: { ...due, '/api/retention/due/documents': [dueLetter, held], 'POST /api/retention/erase': '' },
  })
  shown = view
  await vi.waitFor(() => expect(view.text()).toContain('Held: Case 7'))
  const boxes = view.findAll<HTMLInputElement>('.el-table__body input[type=checkbox]')
  expect(boxes.map((b) => b.element.disabled)).toEqual([false, true])
  await boxes[0]!.setValue(true)
  await view
    .findAll('button')
    .find((b) => b.text().startsWith('Erase'))!
    .trigger('click')
  await view.find('#reason-typed').setValue('its time is over')
  await view.find('form.asking').trigger('submit')
  await flushPromises()
  expect(view.sent).toContainEqual([
    '/api/retention/erase',
    { documents: [{ batch: 'B-0011', document: 5 }], why: 'its time is over' },
  ])
  expect(view.text()).toContain('1 document is being erased')
})

test('a new hold is made once, though the documents are refused first', async () => {
  const view = await screen(HoldForm, {
    props: { archived: [7] },
    answers: {
      '/api/retention/holds': [],
      'POST /api/retention/holds': { id: 3, name: 'Case 7' },
      'POST /api/retention/holds/3/documents': refused('documentErased'),
    },
  })
  shown = view
  const inputs = view.findAll('input').filter((i) => i.attributes('maxlength'))
  await inputs[0]!.setValue('Case 7')
  await inputs[1]!.setValue('asked for by the court')
  await view.find('form').trigger('submit')
  await vi.waitFor(() => expect(view.text()).toContain('is erased'))
  await view.find('form').trigger('submit')
  await flushPromises()
  expect(view.sent.map(([to]) => to)).toEqual([
    '/api/retention/holds',
    '/api/retention/holds/3/documents',
    '/api/retention/holds/3/documents',
  ])
})

test('what is not all gone yet says why, and can be tried again or left', async () => {
  const gone = {
    ...dueLetter,
    of: dueLetters.of,
    by: 'T. Vane',
    why: 'over',
    askedAt: '2026-11-28T02:00:00Z',
    erasedAt: null,
    trouble: 'shelf: Is its share mounted?',
    lay: [{ destination: 'archive', format: 'pdf', became: 'erased' }],
  }
  const view = await screen(ErasedList, {
    answers: {
      '/api/retention/erased': [gone],
      'POST /api/retention/erase/again': '',
      'POST /api/retention/erase/leave': '',
    },
  })
  shown = view
  await vi.waitFor(() => expect(view.text()).toContain('Is its share mounted?'))
  expect(view.text()).toContain('not all gone yet')
  expect(view.text()).toContain('archive: erased')
  await view
    .findAll('button')
    .find((b) => b.text() === 'Try again')!
    .trigger('click')
  await view
    .findAll('button')
    .find((b) => b.text() === 'Leave it there')!
    .trigger('click')
  await view.find('#reason-typed').setValue('the share is given up')
  await view.find('form.asking').trigger('submit')
  await flushPromises()
  expect(view.sent).toEqual([
    ['/api/retention/erase/again', { batch: 'B-0011', document: 5 }],
    [
      '/api/retention/erase/leave',
      { document: { batch: 'B-0011', document: 5 }, why: 'the share is given up' },
    ],
  ])
})
