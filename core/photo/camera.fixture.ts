/** A made camera: a flat scene through a pinhole, with blur, shade and noise, the truth being known. */
import { seeded } from '../metal/identify/measure'
import { bent, straightened, type Lens } from './lens/model'
import type { Point } from './point'
import type { Picture } from './picture'

/** Colour of the scene's plane at a point, each of red, green and blue from 0 to 1. */
export type Scene = (xMm: number, yMm: number) => readonly [r: number, g: number, b: number]

export interface Shot {
  wide: number
  high: number
  /** The scene's point in the middle of the picture. */
  middleMm: Point
  /** Pixels per mm there, seen square on. */
  pxPerMm: number
  tiltDeg: number
  /** Which way it leans, and how the camera is turned. */
  towardDeg: number
  rollDeg: number
  /** Focal length over the picture's width. */
  focal: number
  /** How the lens bends lines; left out, it does not. */
  bend?: Lens
  blurPx: number
  /** How much darker one side is than the other, 0 to 1. */
  shade: number
  noise: number
  seed: number
}

export const SHOT: Shot = {
  wide: 800,
  high: 600,
  middleMm: [45, 30],
  pxPerMm: 5,
  tiltDeg: 0,
  towardDeg: 0,
  rollDeg: 0,
  focal: 0.9,
  blurPx: 0.7,
  shade: 0,
  noise: 0,
  seed: 1,
}

/** Where a scene's point is seen, px, and back. */
export function lens(shot: Shot): { toPx: (mm: Point) => [number, number]; toMm: (px: Point) => [number, number] } {
  const [tilt, toward, roll] = [shot.tiltDeg, shot.towardDeg, shot.rollDeg].map(deg => (deg * Math.PI) / 180) as [
    number,
    number,
    number,
  ]
  const f = shot.focal * shot.wide
  const distance = f / shot.pxPerMm
  // Tilted about the axis square to `toward`, then rolled about the line of sight.
  const spin = (a: number) => [
    [Math.cos(a), -Math.sin(a), 0],
    [Math.sin(a), Math.cos(a), 0],
    [0, 0, 1],
  ]
  const lean = [
    [Math.cos(tilt), 0, 0],
    [0, 1, 0],
    [Math.sin(tilt), 0, 0],
  ]
  const times = (a: number[][], b: number[][]) =>
    a.map(row => b[0]!.map((_, j) => row.reduce((sum, value, k) => sum + value * b[k]![j]!, 0)))
  const turn = times(spin(roll), times(spin(toward), times(lean, spin(-toward))))
  const flatPx = ([X, Y]: Point): [number, number] => {
    const [x, y] = [X - shot.middleMm[0], Y - shot.middleMm[1]]
    const at = turn.map(row => row[0]! * x + row[1]! * y)
    const z = at[2]! + distance
    return [shot.wide / 2 + (f * at[0]!) / z, shot.high / 2 + (f * at[1]!) / z]
  }
  const toPx = (mm: Point) => (shot.bend ? bent(flatPx(mm), shot.bend, shot) : flatPx(mm))
  const [[a, b], [c, d], [g, h]] = turn as [[number, number], [number, number], [number, number]]
  const toMm = (px: Point): [number, number] => {
    const seen = shot.bend ? straightened(px, shot.bend, shot) : px
    const p = (seen[0] - shot.wide / 2) / f
    const q = (seen[1] - shot.high / 2) / f
    // (a − p g) x + (b − p h) y = p D and the same below.
    const m11 = a - p * g
    const m12 = b - p * h
    const m21 = c - q * g
    const m22 = d - q * h
    const det = m11 * m22 - m12 * m21
    return [
      shot.middleMm[0] + (distance * (p * m22 - q * m12)) / det,
      shot.middleMm[1] + (distance * (q * m11 - p * m21)) / det,
    ]
  }
  return { toPx, toMm }
}

function blurred(data: Float32Array, wide: number, high: number, sigma: number): Float32Array {
  if (sigma < 0.1) return data
  const reach = Math.ceil(3 * sigma)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, n) => Math.exp(-((n - reach) ** 2) / (2 * sigma * sigma)))
  const whole = kernel.reduce((sum, value) => sum + value, 0)
  /** Along rows where the step is 1, along columns where it is a row. */
  const pass = (from: Float32Array, step: number, most: number): Float32Array => {
    const into = new Float32Array(from.length)
    for (let i = 0; i < from.length; i++) {
      const at = step === 1 ? i % wide : Math.floor(i / wide)
      let sum = 0
      if (at >= reach && at < most - reach)
        for (let k = -reach, j = i - reach * step; k <= reach; k++, j += step) sum += kernel[k + reach]! * from[j]!
      else
        for (let k = -reach; k <= reach; k++)
          sum += kernel[k + reach]! * from[i + (Math.min(most - 1, Math.max(0, at + k)) - at) * step]!
      into[i] = sum / whole
    }
    return into
  }
  return pass(pass(data, 1, wide), wide, high)
}

/** The picture that is taken of a scene. */
export function take(scene: Scene, shot: Shot): Picture {
  const { wide, high } = shot
  const { toMm } = lens(shot)
  const random = seeded(shot.seed)
  const SUB = 3
  const planes = [0, 1, 2].map(() => new Float32Array(wide * high)) as [Float32Array, Float32Array, Float32Array]
  // Millions of points: no list is made for one that need not be.
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      let r = 0
      let g = 0
      let b = 0
      for (let j = 0; j < SUB; j++)
        for (let i = 0; i < SUB; i++) {
          const mm = toMm([x + (i + 0.5) / SUB, y + (j + 0.5) / SUB])
          const colour = scene(mm[0], mm[1])
          r += colour[0]
          g += colour[1]
          b += colour[2]
        }
      const at = y * wide + x
      planes[0][at] = r / (SUB * SUB)
      planes[1][at] = g / (SUB * SUB)
      planes[2][at] = b / (SUB * SUB)
    }
  const soft = planes.map(plane => blurred(plane, wide, high, shot.blurPx))
  const gauss = () => Math.sqrt(-2 * Math.log(random() || 1e-9)) * Math.cos(2 * Math.PI * random())
  const rgba = new Uint8ClampedArray(wide * high * 4)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const at = y * wide + x
      const light = 1 - shot.shade * (0.5 * (x / wide) + 0.5 * (y / high))
      for (let k = 0; k < 3; k++) {
        rgba[4 * at + k] = 255 * (soft[k]![at]! * light + (shot.noise && shot.noise * gauss()))
      }
      rgba[4 * at + 3] = 255
    }
  return { wide, high, rgba }
}
