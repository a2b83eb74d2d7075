import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { watchEffect } from 'vue'

/**
 * Where a person works, as far as the screens care: how dates and figures are written there, and how dark the
 * room is. Kept with the browser, since a desk stays where it is. What is empty follows the browser.
 */
export const place = useLocalStorage(
  'jalon.place',
  { language: '', region: '', hours: '', room: '' },
  { mergeDefaults: true },
)

/** Regions whose way to write dates and figures can be chosen (ISO 3166-1). */
export const REGIONS = (
  'AT AU BE BG BR CA CH CY CZ DE DK EE ES FI FR GB GR HR HU IE IN IS IT JP KE LT LU LV MT MX NG NL NO NZ PL PT ' +
  'RO SE SG SI SK TR UA US ZA'
).split(' ')

/** The language of the words, as it is written in the region that was chosen, or as the browser has it. */
export function locale(): string | undefined {
  const language = (place.value.language || 'en').split('-')[0]
  return place.value.region ? `${language}-${place.value.region}` : undefined
}

/** For times: twelve or twenty-four hours as chosen, else as the region has it. */
export function hours(): { hourCycle?: 'h12' | 'h23' } {
  const chosen = place.value.hours
  return chosen === 'h12' || chosen === 'h23' ? { hourCycle: chosen } : {}
}

/** Keeps the surroundings as dark as the room is said to be. */
export function followRoom() {
  const dark = usePreferredDark()
  watchEffect(() => {
    const room = place.value.room
    document.documentElement.classList.toggle('dim', room ? room === 'dim' : dark.value)
  })
}
