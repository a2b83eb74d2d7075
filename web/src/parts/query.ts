/** Where a part stands in the line. */
interface Place {
  from: number
  to: number
}

const tidy = (line: string) =>
  line
    .replace(/\s+/g, ' ')
    .replace(/^(\s*OR\b)+|(\bOR\s*)+$/g, '')
    .replace(/\bOR( OR)+\b/g, 'OR')
    .trim()

/** The line without one of its parts, and without an OR that then joins nothing. */
export function without(line: string, { from, to }: Place) {
  const before = line.slice(0, from)
  const after = line.slice(to)
  const joined = /\bOR\s*$/.test(before)
  return tidy(joined ? before.replace(/\bOR\s*$/, '') + after : before + after.replace(/^\s*OR\b/, ''))
}

/** The line narrowed to documents whose field has exactly this value. */
export const narrowed = (line: string, field: string, value: string) =>
  tidy(`${line} ${field}:="${value.replaceAll('"', ' ')}"`)
