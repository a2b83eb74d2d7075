import { i18n } from '../i18n'
import { hours, locale } from '../place'

const t = i18n.global.t

/** A stretch of time in the two units that matter: 12 min, 1 h 05, 2 d 3 h. */
export function stretch(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000))
  if (minutes < 60) return t('stretch.minutes', { n: minutes })
  const hours = Math.floor(minutes / 60)
  if (hours < 24) return t('stretch.hours', { h: hours, m: String(minutes % 60).padStart(2, '0') })
  return t('stretch.days', { d: Math.floor(hours / 24), h: hours % 24 })
}

/** How long ago something was, in the one unit that matters, as the language says it. */
export function ago(iso: string, now: number): string {
  const seconds = Math.max(0, Math.round((now - new Date(iso).getTime()) / 1000))
  const said = new Intl.RelativeTimeFormat(locale(), { numeric: 'auto', style: 'short' })
  if (seconds < 60) return said.format(-seconds, 'second')
  if (seconds < 3600) return said.format(-Math.round(seconds / 60), 'minute')
  if (seconds < 86_400) return said.format(-Math.round(seconds / 3600), 'hour')
  return said.format(-Math.round(seconds / 86_400), 'day')
}

export const moment = (iso: string) =>
  new Date(iso).toLocaleString(locale(), {
    year: 'numeric',
    month: 'short',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    ...hours(),
  })

/** A day of the calendar, such as 2026-03-31, wherever it is looked at. */
export const day = (date: string) =>
  new Date(`${date}T12:00:00`).toLocaleDateString(locale(), {
    year: 'numeric',
    month: 'short',
    day: 'numeric',
  })

/** The time alone when it was today, else day and time. */
export function clock(instant: string): string {
  const at = new Date(instant)
  if (at.toDateString() !== new Date().toDateString()) return moment(instant)
  return at.toLocaleTimeString(locale(), {
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
    ...hours(),
  })
}

/** How date and time are typed and shown in a field, in the date picker's own letters, as the region writes them. */
export function typedAs(): { date: string; time: string } {
  const letters: Record<string, string> = {
    day: 'DD',
    month: 'MM',
    year: 'YYYY',
    minute: 'mm',
    dayPeriod: 'A',
  }
  const parts = (style: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(locale(), { ...style, ...hours() }).formatToParts(0)
  const time = parts({ timeStyle: 'short' })
  const hour = time.some((p) => p.type === 'dayPeriod') ? 'hh' : 'HH'
  const said = (p: Intl.DateTimeFormatPart) =>
    p.type === 'hour' ? hour : p.type === 'literal' ? p.value : (letters[p.type] ?? '')
  return { date: parts({ dateStyle: 'short' }).map(said).join(''), time: time.map(said).join('') }
}
