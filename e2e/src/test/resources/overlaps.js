// Words that lie over other words, or that hang out of the window where nothing scrolls.
() => {
  const lost = []
  const texts = []
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  while (walker.nextNode()) {
    const node = walker.currentNode
    const box = node.parentElement
    if (!node.data.trim() || !box.checkVisibility() || box.closest('.visually-hidden, svg, script, style')) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    let at = range.getBoundingClientRect()
    let [left, right, top, bottom] = [at.left, at.right, at.top, at.bottom]
    for (let around = box; around; around = around.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(around)
      const edge = around.getBoundingClientRect()
      if (overflowX !== 'visible') [left, right] = [Math.max(left, edge.left), Math.min(right, edge.right)]
      if (overflowY !== 'visible') [top, bottom] = [Math.max(top, edge.top), Math.min(bottom, edge.bottom)]
    }
    if (right - left > 3 && bottom - top > 3) texts.push({ box, said: node.data.trim().slice(0, 40), left, right, top, bottom })
  }
  for (const [i, a] of texts.entries())
    for (const b of texts.slice(i + 1)) {
      if (a.box.contains(b.box) || b.box.contains(a.box)) continue
      // What lies on another layer, such as a menu or a drawer, may lie over what is under it.
      const x = (Math.max(a.left, b.left) + Math.min(a.right, b.right)) / 2
      const y = (Math.max(a.top, b.top) + Math.min(a.bottom, b.bottom)) / 2
      const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
      const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
      if (wide < 4 || high < 4) continue
      const layer = (box) => box.closest('[role=dialog], .el-popper, .el-overlay, .badge')
      if (layer(a.box) !== layer(b.box)) continue
      lost.push(`"${a.said}" and "${b.said}" at ${Math.round(x)}, ${Math.round(y)}`)
    }
  return lost.slice(0, 12)
}
