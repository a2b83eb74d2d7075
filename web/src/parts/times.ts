import { hours, locale } from '../place'

/** A stretch of time in the two units that matter: 12 min, 1 h 05, 2 d 3 h. */
export function stretch(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000))
  if (minutes < 60) return `${minutes} min`
  const hours = Math.floor(minutes / 60)
  if (hours < 24) return `${hours} h ${String(minutes % 60).padStart(2, '0')}`
  return `${Math.floor(hours / 24)} d ${hours % 24} h`
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
