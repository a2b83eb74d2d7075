import type { Box } from '../api/client'

/**
 * CSS that shows the part of a page picture around a box (mm), as large as the space (px) allows but print no larger
 * than twice its size on paper, so that the eye reads line after line at one size. Of several pictures of the page the
 * first that has come lies on top.
 */
export function snippetStyle(
  box: Box,
  pageWidth: number,
  pageHeight: number,
  width: number,
  height: number,
  pictures: string[],
) {
  const pad = 1.2
  const [x, y, w, h] = [box[0] - pad, box[1] - pad, box[2] + 2 * pad, box[3] + 2 * pad]
  const scale = Math.min(width / w, height / h, 8)
  return {
    width: `${Math.min(width, Math.max(60, w * scale))}px`,
    height: `${Math.max(14, Math.min(height, h * scale))}px`,
    backgroundImage: pictures.map((src) => `url("${src}")`).join(', ') || 'none',
    backgroundSize: `${pageWidth * scale}px ${pageHeight * scale}px`,
    backgroundPosition: `${-x * scale}px ${-y * scale}px`,
  }
}
