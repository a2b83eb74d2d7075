// Words that lie over other words.
() => {
  const layer = (box) =>
    !box || box.matches('.badge') || /fixed|sticky/.test(getComputedStyle(box).position) ? box : layer(box.parentElement)
  const lost = []
  const texts = []
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  while (walker.nextNode()) {
    const node = walker.currentNode
    const box = node.parentElement
    if (!node.data.trim() || !box.checkVisibility() || box.closest('.visually-hidden, svg, script, style')) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    // Words that run on take a piece of each line.
    for (const at of range.getClientRects()) {
      let { left, right, top, bottom } = at
      for (let around = box; around; around = around.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(around)
        const edge = around.getBoundingClientRect()
        if (overflowX !== 'visible') [left, right] = [Math.max(left, edge.left), Math.min(right, edge.right)]
        if (overflowY !== 'visible') [top, bottom] = [Math.max(top, edge.top), Math.min(bottom, edge.bottom)]
      }
      const said = node.data.trim().slice(0, 40)
      if (right - left > 3 && bottom - top > 3) texts.push({ box, said, left, right, top, bottom })
    }
  }
  for (const [i, a] of texts.entries())
    for (const b of texts.slice(i + 1)) {
      if (a.box.contains(b.box) || b.box.contains(a.box)) continue
      // What lies on another layer, such as a menu, a drawer or a foot that stays, may lie over what is under it.
      const x = (Math.max(a.left, b.left) + Math.min(a.right, b.right)) / 2
      const y = (Math.max(a.top, b.top) + Math.min(a.bottom, b.bottom)) / 2
      const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
      const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
      if (wide < 4 || high < 4) continue
      if (layer(a.box) !== layer(b.box)) continue
      lost.push(`"${a.said}" and "${b.said}" at ${Math.round(x)}, ${Math.round(y)}`)
    }
  return lost.slice(0, 12)
}
