/** A made camera: a flat scene through a pinhole, with blur, shade and noise, the truth being known. */
import { seeded } from '../metal/identify/measure'
import { gaussian, separable } from './gauss'
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
  const kernel = gaussian(sigma, 0)
  return separable({ wide, high, data }, kernel, kernel).data
}

type Planes = [Float32Array, Float32Array, Float32Array]

/** What a raster of points sees of a scene, each so far from its pixel's corner. */
function seenAt(scene: Scene, toMm: (px: Point) => Point, off: number, wide: number, high: number): Planes {
  const planes: Planes = [new Float32Array(wide * high), new Float32Array(wide * high), new Float32Array(wide * high)]
  for (let y = 0, at = 0; y < high; y++)
    for (let x = 0; x < wide; x++, at++) {
      const mm = toMm([x + off, y + off])
      const colour = scene(mm[0], mm[1])
      for (let k = 0; k < 3; k++) planes[k]![at] = colour[k]!
    }
  return planes
}

/** How much lighter than another a point within a pixel may be for five points to stand for it. */
const EVEN = 0.1

/** Pixels whose corners and middle differ: an edge goes through. */
function variedPixels(corners: Planes, middles: Planes, wide: number, high: number): Uint8Array {
  const varied = new Uint8Array(wide * high)
  for (let y = 0, at = 0; y < high; y++)
    for (let x = 0; x < wide; x++, at++)
      for (let k = 0; k < 3; k++) {
        const plane = corners[k]!
        const corner = at + y
        const [a, b, c, d, e] = [
          plane[corner]!,
          plane[corner + 1]!,
          plane[corner + wide + 1]!,
          plane[corner + wide + 2]!,
          middles[k]![at]!,
        ]
        if (Math.max(a, b, c, d, e) - Math.min(a, b, c, d, e) > EVEN) varied[at] = 1
      }
  return varied
}

/** Whether a pixel or one beside it is varied: what is thinner than a pixel is missed by some that it crosses. */
function near(varied: Uint8Array, x: number, y: number, wide: number, high: number): boolean {
  for (let j = Math.max(0, y - 1); j <= Math.min(high - 1, y + 1); j++)
    for (let i = Math.max(0, x - 1); i <= Math.min(wide - 1, x + 1); i++) if (varied[j * wide + i]) return true
  return false
}

const SUB = 3

/** A pixel's colour as the mean of nine points in it. */
function sampled(scene: Scene, toMm: (px: Point) => Point, x: number, y: number, at: number, planes: Planes): void {
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
  planes[0][at] = r / (SUB * SUB)
  planes[1][at] = g / (SUB * SUB)
  planes[2][at] = b / (SUB * SUB)
}

/** The picture that is taken of a scene, of millions of points: no list is made for one that need not be. */
export function take(scene: Scene, shot: Shot): Picture {
  const { wide, high } = shot
  const { toMm } = lens(shot)
  const random = seeded(shot.seed)
  const planes = [0, 1, 2].map(() => new Float32Array(wide * high)) as Planes
  const corners = seenAt(scene, toMm, 0, wide + 1, high + 1)
  const middles = seenAt(scene, toMm, 0.5, wide, high)
  const varied = variedPixels(corners, middles, wide, high)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const at = y * wide + x
      if (near(varied, x, y, wide, high)) sampled(scene, toMm, x, y, at, planes)
      else
        for (let k = 0; k < 3; k++) {
          const plane = corners[k]!
          const corner = at + y
          const around = plane[corner]! + plane[corner + 1]! + plane[corner + wide + 1]! + plane[corner + wide + 2]!
          planes[k]![at] = (around + 2 * middles[k]![at]!) / 6
        }
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
