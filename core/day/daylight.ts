import { getTimes } from 'suncalc'

/**
 * The sun's setting on the day of a moment, at a place; null where it does not set that day. To a minute or two, flat
 * horizon.
 */
export function sunsetMs(atMs: number, latitudeDeg: number, longitudeDeg: number): number | null {
  const { sunset } = getTimes(new Date(atMs), latitudeDeg, longitudeDeg)
  const ms = sunset?.getTime() ?? NaN
  return Number.isFinite(ms) ? ms : null
}
