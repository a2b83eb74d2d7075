/** The text of a file of rows and what it was taken for: UTF-8, or where it cannot be that what spreadsheets write. */
export function textOf(bytes: ArrayBuffer): { csv: string; encoding: 'UTF-8' | 'Windows-1252' } {
  try {
    return { csv: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' }
  } catch {
    return { csv: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' }
  }
}

/** A register's name from its file's: letters, digits and dashes. */
export const registerName = (file: string) =>
  file
    .replace(/\.[^.]*$/, '')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 63) || 'register'
