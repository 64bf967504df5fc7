import { NoAnswer } from '../ask/question'
import { softened } from './gauss'
import { quantile, type Grey } from './grey'
import { outlineOf } from './outline'
import { otsu, partsOf } from './parts'
import { patchEdges } from './patch-edge'
import type { Picture } from './picture'
import type { Point } from './point'
import { fillMask } from './fill'

export interface Blued {
  /** Of the face. */
  sharePct: number
  uncertaintyPct: number
  /** Largest first, each with its middle and its edge. */
  patches: { sharePct: number; atPx: [number, number]; edgePx: Point[] }[]
  /** 1 where every part of the face bears as much as every other, 0 where all of it bears in one place. */
  even: number
  /** What was taken for the face. */
  outline: 'given' | 'found' | 'whole'
  facePx: number
  /** 1 where the point bears, row by row. */
  bears: Uint8Array
}

/** Blueness that is surely blue, and surely none, whatever else is in the picture: (B − R) / (R + G + B). */
const SURE = { blue: 0.12, none: 0.03 }
/** How well two crowds must part for the level between them to be believed. */
const PARTED = 0.72
const LEAST_FACE_PX = 400
/** Patches smaller than this share of the face are specks. */
const SPECK = 2e-4
const MOST_PATCHES = 60
/** The face is split into so many fields along its longer side to see how evenly it bears. */
const FIELDS = 6
/** A smear this much either side of the level is doubtful. */
const DOUBT = 0.15

/** How blue each point is, whatever the light: (B − R) / (R + G + B), from −1 to 1, less what the bare metal shows. */
function blueness({ wide, high, rgba }: Picture): Grey {
  const data = new Float32Array(wide * high)
  for (let i = 0; i < data.length; i++) {
    const [r, g, b] = [rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!]
    // A dark point's colour is mostly noise: some grey is added to it.
    data[i] = (b - r) / (r + g + b + 24)
  }
  return { wide, high, data }
}

/** Where bare ends and blue begins. */
function levelOf(values: Float32Array): number {
  const [low, high] = [quantile(values, 0.005), quantile(values, 0.995)]
  if (high - low < SURE.blue / 2) {
    // One crowd only: all blue or all bare.
    return (low + high) / 2 > (SURE.blue + SURE.none) / 2 ? -1 : 1
  }
  const { level, explained } = otsu(values, low, high)
  if (explained >= PARTED) return level
  // No clear gap: the bare metal is the greyest tenth, and blue stands off it by a fixed amount.
  return quantile(values, 0.1) + (SURE.blue + SURE.none) / 2
}

/** How alike the fields of the face bear: 1 less their spread over the greatest spread that their mean allows. */
function evenness(bears: Uint8Array, face: Uint8Array, wide: number, high: number): number {
  let [left, right, top, bottom] = [wide, 0, high, 0]
  for (let i = 0; i < face.length; i++)
    if (face[i]) {
      const [x, y] = [i % wide, Math.floor(i / wide)]
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y)
    }
  const side = Math.max(right - left, bottom - top) / FIELDS + 1e-6
  const across = Math.floor((right - left) / side) + 1
  const fields = new Map<number, { face: number; bears: number }>()
  for (let y = top; y <= bottom; y++)
    for (let x = left; x <= right; x++) {
      const at = y * wide + x
      if (!face[at]) continue
      const key = Math.floor((y - top) / side) * across + Math.floor((x - left) / side)
      const field = fields.get(key) ?? { face: 0, bears: 0 }
      field.face++
      field.bears += bears[at]!
      fields.set(key, field)
    }
  const whole = [...fields.values()].reduce((sum, field) => sum + field.face, 0)
  const mean = [...fields.values()].reduce((sum, field) => sum + field.bears, 0) / whole
  if (mean <= 0) return 0
  if (mean >= 1) return 1
  const spread = [...fields.values()].reduce(
    (sum, field) => sum + (field.face / whole) * (field.bears / field.face - mean) ** 2,
    0,
  )
  return Math.max(0, 1 - Math.sqrt(spread / (mean * (1 - mean))))
}

/** The face's mask: the outline given; or found on a plain ground, unless it is blue itself; or the whole picture. */
function faceOf(picture: Picture, outline: readonly Point[] | undefined, blue: Grey) {
  const { wide, high } = picture
  if (outline) return { mask: fillMask(wide, high, [outline]), from: 'given' as const }
  const found = outlineOf(picture)
  if (found) {
    const values = blue.data.filter((_, i) => found.mask[i])
    const bare = values.reduce((count, value) => count + (value < SURE.none * 2 ? 1 : 0), 0) / (values.length || 1)
    // A blue patch on bare metal also stands off its ground; a face has bare metal in it or fills most of the picture.
    if (bare > 0.05 || values.length > 0.5 * wide * high) return { mask: found.mask, from: 'found' as const }
  }
  return { mask: new Uint8Array(wide * high).fill(1), from: 'whole' as const }
}

/**
 * The share of a blued face that bears: the points of the face that took blue, told from bare metal by colour alone,
 * so that shade across the picture changes nothing; their patches, and how evenly they lie.
 *
 * Wants a picture sharp enough that a spot is a few px wide, in white light. Accuracy on made pictures:
 * docs/method.md. @throws NoAnswer where the outline holds next to nothing
 */
export function readBlue(picture: Picture, outline?: readonly Point[]): Blued {
  const { wide, high } = picture
  const blue = softened(blueness(picture), 0.8)
  const face = faceOf(picture, outline, blue)
  const values = blue.data.filter((_, i) => face.mask[i])
  if (values.length < LEAST_FACE_PX)
    throw new NoAnswer('the outline holds too little of the picture to count anything in it')
  const level = levelOf(values)
  const bears = new Uint8Array(wide * high)
  let [borne, doubtful] = [0, 0]
  const doubt = DOUBT * Math.max(SURE.blue, quantile(values, 0.98) - quantile(values, 0.02))
  for (let i = 0; i < bears.length; i++) {
    if (!face.mask[i]) continue
    if (blue.data[i]! > level) {
      bears[i] = 1
      borne++
    }
    if (Math.abs(blue.data[i]! - level) < doubt) doubtful++
  }
  const { parts, labels } = partsOf(bears, wide, high)
  const share = (points: number) => (100 * points) / values.length
  const largest = parts
    .filter(part => part.count > SPECK * values.length)
    .sort((a, b) => b.count - a.count)
    .slice(0, MOST_PATCHES)
  const edges = patchEdges(
    labels,
    wide,
    largest.map(({ label }) => label),
  )
  return {
    sharePct: share(borne),
    uncertaintyPct: Math.max(0.5, share(doubtful) / 2),
    patches: largest.map(({ count, atPx }, n) => ({ sharePct: share(count), atPx, edgePx: edges[n]! })),
    even: evenness(bears, face.mask, wide, high),
    outline: face.from,
    facePx: values.length,
    bears,
  }
}
