import type { Directive } from 'vue'

/**
 * The keys go to this input as soon as it is there, unless told otherwise. The browser's own attribute does so once in
 * the life of a page only. What stands in it already is selected: typing is another word for it.
 */
export const vFocus: Directive<HTMLElement, boolean | undefined> = {
  mounted(el, { value }) {
    if (value === false) return
    const input = el.matches('input, textarea')
      ? (el as HTMLInputElement)
      : el.querySelector<HTMLInputElement>('input, textarea')
    input?.focus()
    input?.select()
  },
}
