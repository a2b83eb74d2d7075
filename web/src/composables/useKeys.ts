import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount, onMounted, shallowReactive } from 'vue'

/** One act that has a key. `key` is what is shown; `on` are the values of KeyboardEvent.key that do it. */
export interface KeyAct {
  key: string
  on: string[]
  label: string
  run: (e: KeyboardEvent) => void
  /** Also while typing in a field. */
  typing?: boolean
  ctrl?: boolean
  shift?: boolean
}

const acts = shallowReactive<{ list: KeyAct[] }>({ list: [] })
export const currentKeys = acts

/** Whether a key goes into a field, and is not for the screen. */
export const isTyping = (e: KeyboardEvent) => {
  const t = e.target as HTMLElement | null
  // A radio button or check box takes no letters; the keys go on working while one has the focus.
  if (t?.tagName === 'INPUT' && ['radio', 'checkbox', 'button'].includes((t as HTMLInputElement).type))
    return false
  return !!t && (t.tagName === 'INPUT' || t.tagName === 'TEXTAREA' || t.isContentEditable)
}

/**
 * Gives a view its single keys for as long as it is shown, and the help overlay their list.
 * @param inDialog whether they are those of a dialog, which shows them itself
 */
export function useKeys(list: KeyAct[], inDialog = false) {
  function press(e: KeyboardEvent) {
    if (e.altKey || e.metaKey || e.defaultPrevented) return
    // A dialog that must be answered first has the keys to itself.
    if (!!(e.target as HTMLElement)?.closest?.('[aria-modal=true]') !== inDialog) return
    const typing = isTyping(e)
    // Enter and space belong to the button that has the focus.
    const onControl =
      ['Enter', ' '].includes(e.key) &&
      !!(e.target as HTMLElement)?.closest?.('button, a, [role=listbox], [role=menuitem], select')
    const act = list.find(
      (a) =>
        a.on.includes(e.key) &&
        !!a.ctrl === e.ctrlKey &&
        (a.shift === undefined || a.shift === e.shiftKey) &&
        (a.typing || !typing) &&
        (a.typing || !onControl),
    )
    if (act) {
      e.preventDefault()
      act.run(e)
    } else if (typing && e.key === 'Escape') {
      // Out of the field: single keys are the screen's again.
      ;(e.target as HTMLElement).blur()
    }
  }
  useEventListener('keydown', press)
  if (inDialog) return
  onMounted(() => (acts.list = list))
  onBeforeUnmount(() => {
    if (acts.list === list) acts.list = []
  })
}
