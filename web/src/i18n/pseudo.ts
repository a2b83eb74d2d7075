/**
 * A language made from English to try the screens with: each word carries a mark and is a third longer. What stands
 * on a screen without the mark was not taken from the words of the interface; what does not fit will not fit in
 * other languages either.
 */
export const MARK = '~'

const PLACEHOLDER_OR_WORD = /\{[^{}]*\}|@[.:]\S+|\p{L}[\p{L}\p{M}’'-]*/gu

export function lengthened(text: string): string {
  return text.replace(PLACEHOLDER_OR_WORD, (part) =>
    /^[{@]/.test(part) ? part : part + MARK.repeat(Math.ceil(part.length / 3)),
  )
}

/** The same words, each lengthened, in the same shape. */
export function pseudo<T>(words: T): T {
  if (typeof words === 'string') return lengthened(words) as T
  if (Array.isArray(words)) return words.map(pseudo) as T
  if (words && typeof words === 'object')
    return Object.fromEntries(Object.entries(words).map(([key, value]) => [key, pseudo(value)])) as T
  return words
}
