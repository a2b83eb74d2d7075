import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { currentKeys, useKeys } from '../composables/useKeys'

const undo = vi.fn()
const redo = vi.fn()
const settle = vi.fn()
const take = vi.fn()
const Desk = defineComponent({
  setup() {
    useKeys([
      { key: 'Z', on: ['z'], shift: false, label: 'undo', run: undo },
      { key: 'Shift+Z', on: ['Z'], shift: true, label: 'redo', run: redo },
      { key: 'Enter', on: ['Enter'], typing: true, label: 'settle', run: settle },
      { key: 'Ctrl+1', on: ['1'], ctrl: true, typing: true, label: 'take', run: take },
    ])
    return () => h('div', [h('input'), h('button')])
  },
})
let desk: ReturnType<typeof mount>
const press = (key: string, on: Element | Window = window, more = {}) =>
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))

beforeEach(() => {
  vi.clearAllMocks()
  desk = mount(Desk, { attachTo: document.body })
})
afterEach(() => desk.unmount())

test('single keys act, shift parts undo from redo', () => {
  press('z')
  press('Z', window, { shiftKey: true })
  expect([undo.mock.calls.length, redo.mock.calls.length]).toEqual([1, 1])
})

test('while typing only the keys meant for it act', () => {
  const input = desk.find('input').element
  press('z', input)
  press('Enter', input)
  press('1', input, { ctrlKey: true })
  press('1', input)
  expect([undo.mock.calls.length, settle.mock.calls.length, take.mock.calls.length]).toEqual([0, 1, 1])
})

test('a radio button that has the focus takes no keys away', () => {
  const radio = document.createElement('input')
  radio.type = 'radio'
  document.body.append(radio)
  press('z', radio)
  expect(undo).toHaveBeenCalledTimes(1)
  radio.remove()
})

test('a view takes its keys along when it goes', () => {
  expect(currentKeys.list).toHaveLength(4)
  desk.unmount()
  press('z')
  expect(undo).not.toHaveBeenCalled()
  expect(currentKeys.list).toHaveLength(0)
})

test('Esc leaves the field, and keys are the screen’s again; a dialog to be answered has them to itself', () => {
  const input = desk.find('input').element
  input.focus()
  press('Escape', input)
  expect(document.activeElement).not.toBe(input)
  const dialog = document.createElement('div')
  dialog.setAttribute('aria-modal', 'true')
  document.body.append(dialog)
  press('z', dialog)
  expect(undo).not.toHaveBeenCalled()
  dialog.remove()
})
