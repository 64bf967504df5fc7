import { deviationsBelow } from '../quantity/normal'
import type { Reading } from './readings'

/** How sure a reading is: a normal of so many standard deviations' breadth, or one of a few. */
export type Sure =
  | { readonly kind: 'normal'; readonly sd: number }
  | { readonly kind: 'one-of'; readonly values: readonly { value: unknown; share: number }[] }

/** A reading with its spread: what it is at a place of its distribution, 0 to 1. */
export interface Unsure {
  reading: Reading
  sure: Sure
  minutes: number
}

/** Two standard deviations are what a bench calls plus or minus. */
const DEVIATIONS = 2

/** How sure a reading is where nobody says: by how such things are measured. */
export function usualSpread({ now, usual: { plusMinus, pct } }: Reading): Sure {
  const size = Math.abs(Number(now))
  return { kind: 'normal', sd: (plusMinus ?? ((pct ?? 0) / 100) * size) / DEVIATIONS }
}
export const normalOf = (breadth: number): Sure => ({ kind: 'normal', sd: breadth / DEVIATIONS })

/** Which of a few a place between 0 and 1 falls on. */
export function groupAt(values: readonly { share: number }[], place: number): number {
  let reached = 0
  for (const [n, { share }] of values.entries()) {
    reached += share
    if (place < reached) return n
  }
  return values.length - 1
}

/** A reading's value at a place of its distribution, within what its field allows. */
export function valueAt({ reading, sure }: Unsure, place: number): unknown {
  if (sure.kind === 'one-of') return sure.values[groupAt(sure.values, place)]?.value
  if (sure.sd === 0) return reading.now
  return reading.within(Number(reading.now) + sure.sd * deviationsBelow(place))
}

/** Whether there is anything to draw. */
export const isUnsure = ({ sure }: Unsure): boolean =>
  sure.kind === 'normal' ? sure.sd > 0 : sure.values.filter(({ share }) => share > 0).length > 1
