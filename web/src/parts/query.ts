/** One part of a search line as a chip that can be taken away. */
export interface Chip {
  raw: string
  field: string
  text: string
}

const PART = /(?:([\p{L}][\p{L}\d-]*):)?(?:"([^"]*)"?|(\S+))/gu

/** The line as the server understands it: field:part, "words together", single words. */
export function chips(line: string): Chip[] {
  return [...line.matchAll(PART)].map((m) => ({ raw: m[0], field: m[1] ?? '', text: m[2] ?? m[3] ?? '' }))
}

export const without = (line: string, raw: string) => line.replace(raw, '').replace(/\s+/g, ' ').trim()
