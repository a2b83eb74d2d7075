import { locale } from '../place'

/** A figure as the region writes it, with as many digits after the point as asked for. */
export const figure = (v: number, digits = 0) =>
  new Intl.NumberFormat(locale(), { minimumFractionDigits: digits, maximumFractionDigits: digits }).format(v)

/** A figure with as many digits as tell something: the larger it is, the fewer after the point. */
export function measured(v: number): string {
  const size = Math.abs(v)
  return figure(v, size >= 20 ? 0 : size >= 2 ? 1 : 2)
}

/** A part of a whole in percent; a dash where there is no whole. */
export const share = (part: number, all: number) =>
  all ? new Intl.NumberFormat(locale(), { style: 'percent' }).format(part / all) : '–'

/** How certain something is, in percent; never rounded up to what it is not. */
export const certain = (certainty: number) =>
  new Intl.NumberFormat(locale(), { style: 'percent', maximumFractionDigits: 1 }).format(
    Math.floor(certainty * 1000) / 1000,
  )
