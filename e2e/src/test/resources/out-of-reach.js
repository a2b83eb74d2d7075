// Controls that cannot be brought into sight, or that something else lies over, and how far the page hangs out.
async () => {
  // Parts that measure themselves have done so two pictures after the window has changed.
  for (let i = 0; i < 2; i++) await new Promise(requestAnimationFrame)
  const lost = []
  const hangs = document.documentElement.scrollWidth - window.innerWidth
  if (hangs > 1) lost.push(`the page is ${hangs} px wider than the window`)
  // Where something lies over the screen, it is what has to be reached; the key that closes it is its own.
  const over = [...document.querySelectorAll('[role=dialog]')].find((box) => box.checkVisibility())
  for (const box of (over ?? document).querySelectorAll('button, a[href], input')) {
    if (!box.checkVisibility({ opacityProperty: true, visibilityProperty: true }) || box.disabled) continue
    if (box.type === 'file' || box.closest('[aria-hidden=true]')) continue
    box.scrollIntoView({ block: 'center', inline: 'center' })
    const at = box.getBoundingClientRect()
    if (!at.width || !at.height) continue
    const x = Math.min(Math.max(at.left + at.width / 2, at.left + 1), at.right - 1)
    const top = document.elementFromPoint(x, at.top + at.height / 2)
    if (top && (box.contains(top) || top.contains(box) || top.closest('label, .el-select__wrapper')?.contains(box))) continue
    lost.push(`${box.getAttribute('aria-label') ?? (box.textContent.trim() || box.outerHTML.slice(0, 90))}`)
  }
  return lost
}
