import { halfWidthMm } from '../../groove/section'

export type PointMm = readonly [x: number, y: number]
/**
 * A piece of a drawing in section, mm: x to the right, y down, the surface at 0. `metal` is there, `new` is laid,
 * `other` is a second piece, `gone` is a line of what was lost or split.
 */
export interface DrawnShape {
  readonly role: 'metal' | 'other' | 'new' | 'gone'
  readonly points: readonly PointMm[]
  readonly closed: boolean
}
/** A dimension between two places, and what it says. */
export interface DrawnSize {
  readonly from: PointMm
  readonly to: PointMm
  readonly mm: number
}
export interface Section {
  readonly title: string
  readonly shapes: readonly DrawnShape[]
  readonly sizes: readonly DrawnSize[]
}

export const box = (role: DrawnShape['role'], x: number, y: number, wide: number, high: number): DrawnShape => ({
  role,
  closed: true,
  points: [
    [x, y],
    [x + wide, y],
    [x + wide, y + high],
    [x, y + high],
  ],
})
export const poly = (role: DrawnShape['role'], points: readonly PointMm[], closed = true): DrawnShape => ({
  role,
  points,
  closed,
})
/** A fillet of equal legs in the corner at a place; `right` and `up` say which way its legs go. */
export const fillet = (x: number, y: number, leg: number, right: 1 | -1, up: 1 | -1 = 1): DrawnShape =>
  poly('new', [
    [x, y],
    [x + right * leg, y],
    [x, y - up * leg],
  ])

const STEPS = 14

/** One side of a round-bottomed groove with its cap, opening upwards (or downwards) at a place. */
export function grooveShape(
  x: number,
  y: number,
  groove: { depthMm: number; includedDeg: number; rootRadiusMm: number },
  capMm: number,
  up: 1 | -1,
): DrawnShape {
  const at = (n: number): PointMm => {
    const high = (groove.depthMm * n) / STEPS
    return [halfWidthMm(groove, high), up * (groove.depthMm - high)]
  }
  const flank = Array.from({ length: STEPS + 1 }, (_, n) => at(n))
  const lip = flank.at(-1)![0]
  const cap = Array.from({ length: 7 }, (_, n): PointMm => {
    const share = 1 - n / 3
    return [lip * share, -up * capMm * (1 - share * share)]
  })
  return poly('new', [
    ...flank.map(([px, py]): PointMm => [x + px, y + py]),
    ...cap.map(([px, py]): PointMm => [x + px, y + py]),
    ...flank.toReversed().map(([px, py]): PointMm => [x - px, y + py]),
  ])
}
