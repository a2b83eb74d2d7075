/** Kinds of files that pages come in, as a file dialog wants them said. */
export const ACCEPTED = '.tif,.tiff,.jpg,.jpeg,.png,.pdf'

/** All files of a drop, those in dropped folders too. */
export async function filesDropped(data: DataTransfer): Promise<File[]> {
  const entries = [...data.items].map((i) => i.webkitGetAsEntry?.() ?? null)
  if (entries.every((e) => !e)) return [...data.files]
  const found = await Promise.all(entries.map((e) => (e ? inside(e) : [])))
  return found.flat()
}

async function inside(entry: FileSystemEntry): Promise<File[]> {
  if (entry.isFile) {
    return [await new Promise<File>((done, failed) => (entry as FileSystemFileEntry).file(done, failed))]
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const all: File[] = []
  // A reader gives its entries in parts, and nothing when there are no more.
  for (;;) {
    const part = await new Promise<FileSystemEntry[]>((done, failed) => reader.readEntries(done, failed))
    if (!part.length) return all
    for (const e of part) all.push(...(await inside(e)))
  }
}
