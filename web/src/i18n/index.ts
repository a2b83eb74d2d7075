import { createI18n } from 'vue-i18n'
import en from './en'

export type Words = typeof en

/** A language is a folder; all but English are fetched when somebody speaks them. */
const folders = import.meta.glob<{ default: Words }>(['./*/index.ts', '!./en/index.ts'])
const nameOf = (path: string) => path.split('/')[1]
export const LANGUAGES = ['en', ...Object.keys(folders).map(nameOf)]
/** Not a language of people: see pseudo.ts. */
const PSEUDO = 'en-XA'

export const i18n = createI18n({ legacy: false, locale: 'en', messages: { en } })

/** Has the screens speak a language; one that there is not leaves them in English. */
export async function speak(language: string) {
  const folder = Object.entries(folders).find(([path]) => nameOf(path) === language)?.[1]
  if (language !== PSEUDO && !folder) return
  const words = folder ? (await folder()).default : (await import('./pseudo')).pseudo(en)
  i18n.global.setLocaleMessage(language as 'en', words as typeof en)
  i18n.global.locale.value = language as 'en'
  document.documentElement.lang = language
}
