/** Made cracks on made grounds, their length known. */
import { seeded } from '../metal/identify/measure'
import type { Scene } from './camera.fixture'
import type { Point } from './point'

export const GROUNDS = ['ground', 'casting', 'dye'] as const
export type Ground = (typeof GROUNDS)[number]

/** A crack as a broken line between two points: each middle put off to one side, finer and finer. */
export function crackBetween(from: Point, to: Point, rough: number, seed: number, depth = 4): Point[] {
  const random = seeded(seed)
  let line: Point[] = [from, to]
  for (let level = 0; level < depth; level++)
    line = line.flatMap((a, n): Point[] => {
      const b = line[n + 1]
      if (!b) return [a]
      const off = rough * (random() - 0.5)
      return [a, [(a[0] + b[0]) / 2 - off * (b[1] - a[1]), (a[1] + b[1]) / 2 + off * (b[0] - a[0])]]
    })
  return line
}

export const lengthOf = (line: readonly Point[]) =>
  line.slice(1).reduce((sum, [x, y], n) => sum + Math.hypot(x - line[n]![0], y - line[n]![1]), 0)

const toPiece = (x: number, y: number, a: Point, b: Point) => {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)))
  return Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy)
}

/** How far a point lies from a line. */
export function toLine(x: number, y: number, line: readonly Point[]): number {
  let least = Infinity
  for (let n = 1; n < line.length; n++) least = Math.min(least, toPiece(x, y, line[n - 1]!, line[n]!))
  return least
}

/** Whether a point lies within a distance of a line; pieces that are further off by their boxes are not looked at. */
function within(line: readonly Point[], reach: number): (x: number, y: number) => boolean {
  const pieces = line.slice(1).map((b, n) => {
    const a = line[n]!
    const [left, right] = [Math.min(a[0], b[0]) - reach, Math.max(a[0], b[0]) + reach]
    return { a, b, left, right, top: Math.min(a[1], b[1]) - reach, bottom: Math.max(a[1], b[1]) + reach }
  })
  return (x, y) => {
    for (const { a, b, left, right, top, bottom } of pieces)
      if (x >= left && x <= right && y >= top && y <= bottom && toPiece(x, y, a, b) <= reach) return true
    return false
  }
}

/** Smooth noise from 0 to 1 with features of about a millimetre over `fine`. */
export function grain(seed: number): (x: number, y: number) => number {
  const random = seeded(seed)
  // A power of two: a place past the table's edge is the one a whole table back.
  const SIDE = 64
  const table = Float32Array.from({ length: SIDE * SIDE }, random)
  const at = (i: number, j: number) => table[(j & (SIDE - 1)) * SIDE + (i & (SIDE - 1))]!
  return (x, y) => {
    const i = Math.floor(x)
    const j = Math.floor(y)
    const a = x - i
    const b = y - j
    return (at(i, j) * (1 - a) + at(i + 1, j) * a) * (1 - b) + (at(i, j + 1) * (1 - a) + at(i + 1, j + 1) * a) * b
  }
}

/** A crack of a width and depth of tone on ground metal, a rough casting, or bled out red on white developer. */
export function crackScene(
  line: readonly Point[],
  wideMm: number,
  ground: Ground,
  seed: number,
  depth = 0.35,
  branches: readonly (readonly Point[])[] = [],
): Scene {
  const noise = grain(seed)
  const ways = [line, ...branches].map(way => within(way, wideMm / 2))
  return (x, y) => {
    const on = ways.some(is => is(x, y))
    if (ground === 'dye') {
      const paper = 0.88 + 0.06 * noise(x * 1.3, y * 1.3)
      return on ? [0.72, 0.12, 0.16] : [paper, paper, paper]
    }
    const metal =
      ground === 'ground'
        ? 0.55 + 0.12 * noise(x * 0.4, y * 6) + 0.05 * noise(x * 5, y * 5)
        : 0.4 + 0.16 * noise(x * 1.1, y * 1.1) + 0.08 * noise(x * 3.1 + 9, y * 3.1)
    const tone = on ? metal * depth : metal
    return [tone, tone, tone * 1.03]
  }
}
