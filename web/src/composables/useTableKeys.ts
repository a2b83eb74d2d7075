import { useI18n } from 'vue-i18n'
import type { Table } from './useTable'

/** The keys of the table itself: steps, typing, copying and pasting; the desk's others are listed with it. */
export function useTableKeys(table: Table) {
  const { draft, value, locked } = table
  const { t } = useI18n()

  const edit = (text?: string) => {
    if (!locked.value) draft.value = text ?? value.value?.value ?? ''
  }
  const steps: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    PageUp: [-15, 0],
    PageDown: [15, 0],
  }
  function typing(e: KeyboardEvent) {
    const to: Record<string, [number, number]> = { Enter: [1, 0], Tab: [0, e.shiftKey ? -1 : 1] }
    if (e.key === 'Escape') table.goTo(table.at.value)
    else if (to[e.key] && draft.value !== null) void table.put(draft.value, to[e.key])
    else return false
    return true
  }
  function standing(e: KeyboardEvent) {
    const step = steps[e.key]
    if (step) table.step(...step, e.shiftKey)
    else if (e.key === 'Tab') table.step(0, e.shiftKey ? -1 : 1)
    else if (e.key === 'Home') table.step(0, -1000)
    else if (e.key === 'End') table.step(0, 1000)
    else if (e.key === 'Enter') table.enter()
    else if (e.key === 'F2') edit()
    else if (e.key === 'Delete') void table.put(null, [1, 0])
    else if (e.key.length === 1 && e.key !== ' ') edit(e.key)
    else return false
    return true
  }
  function withCtrl(e: KeyboardEvent) {
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') table.toDoubt(e.key === 'ArrowDown' ? 1 : -1)
    else if (e.key === 'Home') table.step(-100_000, -1000)
    else if (e.key === 'End') table.step(100_000, 1000)
    else if (e.key === 'd') void table.fillDown()
    else if (e.key === '0') void table.put(null, [1, 0])
    else if (/^[1-9]$/.test(e.key)) table.take(Number(e.key))
    else return false
    return true
  }
  /** A letter typed here belongs to the cell and is no key of the screen. */
  function press(e: KeyboardEvent) {
    if (e.altKey || e.metaKey || e.defaultPrevented) return
    const done = e.ctrlKey ? withCtrl(e) : draft.value !== null ? typing(e) : standing(e)
    if (!done) return
    e.preventDefault()
    e.stopPropagation()
  }
  function copy(e: ClipboardEvent) {
    if (draft.value !== null) return
    e.clipboardData?.setData('text/plain', table.copied())
    e.preventDefault()
  }
  function paste(e: ClipboardEvent) {
    const text = e.clipboardData?.getData('text/plain')
    if (draft.value !== null || !text) return
    e.preventDefault()
    void table.paste(text)
  }
  const listed = [
    ['↑ ↓ ← →', 'table.move'],
    ['Enter', 'table.asItStands'],
    ['F2', 'table.change'],
    ['Ctrl+↓', 'indexDesk.next'],
    ['Ctrl+1–9', 'indexDesk.candidate'],
    ['Ctrl+0', 'indexDesk.absent'],
    ['Ctrl+D', 'table.fillDown'],
  ].map(([key, label]) => ({ key, on: [], label: t(label), run: () => {} }))
  return { press, copy, paste, edit, listed }
}
