// What can be read or heard on the screen that carries no mark of the words file, and words that are cut off.
() => {
  const MARKED = /[\p{L}\p{M}’'-]+~+/gu
  const WORD = /\p{L}{2,}/gu
  const unmarked = []
  const cut = []
  const look = (text, where) => {
    for (const word of text.replace(MARKED, ' ').match(WORD) ?? []) unmarked.push({ word, where: where + text.trim() })
  }
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  while (walker.nextNode()) {
    const node = walker.currentNode
    const box = node.parentElement
    if (!node.data.trim() || box.closest('kbd, script, style, [hidden]') || !box.checkVisibility()) continue
    look(node.data, '')
    if (!node.data.includes('~') || box.closest('.visually-hidden')) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    const at = range.getBoundingClientRect()
    for (let around = box; around; around = around.parentElement) {
      const style = getComputedStyle(around)
      if (style.position === 'fixed' || /auto|scroll/.test(style.overflowX)) break
      if (around.title || around.closest('[title]')) break
      const edge = around.getBoundingClientRect()
      const clips = around === document.body || /hidden|clip/.test(style.overflowX) || around.matches('button')
      if (clips && at.width && (at.right > edge.right + 1.5 || at.left < edge.left - 1.5)) {
        cut.push(node.data.trim() + ' in ' + (around.className || around.tagName))
        break
      }
    }
  }
  for (const box of document.querySelectorAll('[title], [aria-label], [placeholder], [alt]')) {
    if (!box.checkVisibility()) continue
    for (const name of ['title', 'aria-label', 'placeholder', 'alt']) look(box.getAttribute(name) ?? '', name + ': ')
  }
  return { unmarked, cut }
}
