import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { few } from '../few'
import { quantile, type Grey } from '../grey'
import { measurePhoto, type Known } from '../measure'
import { fitHomography, inverse, mapped, slopes, tiltDeg, type Homography, type Pair } from '../plane'
import type { Point } from '../point'
import { findCode } from './codes'
import { CARDS, cardLeaf, type CardId, type CardLeaf } from './layout'
import { seeMark, type SeenMark } from './mark'
import { settleCode } from './settle'

export interface FoundLeaf {
  card: CardId
  leaf: string
  /** From the leaf's mm to the picture. */
  toPx: Homography
  cornersPx: Point[]
  known: Known[]
  mmPerPx: number
  tiltDeg: number
  /** Root mean square distance of the marks from where the plane puts them. */
  misfitPx: number
  misfitMm: number
  /** One standard deviation of a length over the card, percent. */
  lengthPct: number
  marks: number
}
export type CardLook = { found: FoundLeaf[] } | { why: string }

/** How far the search for marks goes out from those already found, as shares of their spread. */
const GROWTH = [0.75, 1.3, 2, 4, 10]
const ROUNDS_AT_MOST = 12
/** Marks further off than this many times the middle distance are left out: glare, a finger, dirt. */
const OUTLIER = 3.5
/** Past these the leaf is refused. */
const MOST = { bowShare: 0.001, lengthPct: 1, tiltDeg: 65 }
const LEAST_MARKS = 8
const LEAST_FOR_BOW = 24
/** Of the marks seen, at least this share must lie in one plane. */
const LEAST_AGREED = 0.55
/** What a mark is found to at best, px. */
const MARK_PX = 0.05
const MOST_KNOWN = 40

const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const pairOf = ({ mark, px }: SeenMark) => ({ from: mark.atMm, to: px })

function misfits(h: Homography, seen: readonly SeenMark[]): number[] {
  return seen.map(({ mark, px }) => {
    const at = mapped(h, mark.atMm)
    return at ? distance(at, px) : Infinity
  })
}

/** A plane, the marks that agree with it, and how many were seen in all. */
interface Grown {
  h: Homography
  kept: SeenMark[]
  seen: number
}

/** The plane through the marks that agree with one another. */
function agreed(seen: readonly SeenMark[]): Grown | null {
  let kept = [...seen]
  for (let round = 0; round < 4; round++) {
    const h = fitHomography(kept.map(pairOf))
    if (!h) return null
    const off = misfits(h, seen)
    const limit = OUTLIER * Math.max(MARK_PX, quantile(misfits(h, kept), 0.5))
    const next = seen.filter((_, n) => off[n]! <= limit)
    if (next.length < 6 || next.length === kept.length) return { h, kept, seen: seen.length }
    kept = next
  }
  const h = fitHomography(kept.map(pairOf))
  return h ? { h, kept, seen: seen.length } : null
}

/**
 * How far the marks lie off the plane in a way that a smooth bow would put them, px: root mean square of the cubic in
 * x and y that fits their offsets best. What each mark is off by itself, noise, is hardly in it.
 */
function bowPx(h: Homography, kept: readonly SeenMark[]): number {
  if (kept.length < LEAST_FOR_BOW) return 0
  const spread = Math.max(...kept.map(({ mark }) => Math.max(...mark.atMm)))
  const rows = kept.map(({ mark }) => {
    const [x, y] = [mark.atMm[0] / spread - 0.5, mark.atMm[1] / spread - 0.5]
    return [1, x, y, x * x, x * y, y * y, x * x * x, x * x * y, x * y * y, y * y * y]
  })
  const system = new SingularValueDecomposition(new Matrix(rows), { autoTranspose: true })
  const offs = kept.map(({ mark, px }) => {
    const at = mapped(h, mark.atMm)!
    return [px[0] - at[0], px[1] - at[1]]
  })
  const bow = new Matrix(rows).mmul(system.solve(new Matrix(offs)))
  return Math.sqrt(bow.to2DArray().reduce((sum, [u, v]) => sum + u! * u! + v! * v!, 0) / kept.length)
}

/** Marks found from one code outwards, the plane being fitted anew as they come. */
function grow(grey: Grey, leaf: CardLeaf, start: Homography, middleMm: Point): Grown | null {
  let now: Grown = { h: start, kept: [], seen: 0 }
  let reachMm = leaf.codes[0]!.cornersMm[2]![0] - leaf.codes[0]!.cornersMm[0]![0]
  let step = 0
  for (let round = 0; round < ROUNDS_AT_MOST; round++) {
    const near = leaf.marks.filter(mark => distance(mark.atMm, middleMm) <= reachMm * GROWTH[step]!)
    const seen = near.flatMap(mark => seeMark(grey, now.h, mark) ?? [])
    if (seen.length < 6) {
      if (step === GROWTH.length - 1) return null
      step++
      continue
    }
    const next = agreed(seen)
    if (!next) return null
    const same = next.kept.length === now.kept.length
    now = next
    if (same && step === GROWTH.length - 1) break
    if (step < GROWTH.length - 1) step++
    reachMm = Math.max(reachMm, Math.max(...now.kept.map(({ mark }) => distance(mark.atMm, middleMm))))
  }
  return now.kept.length >= 6 ? now : null
}

function judge(grey: Grey, card: CardId, leaf: CardLeaf, { h, kept, seen }: Grown): FoundLeaf | { why: string } {
  const middle: Point = [leaf.wideMm / 2, leaf.highMm / 2]
  const corners: Point[] = [
    [0, 0],
    [leaf.wideMm, 0],
    [leaf.wideMm, leaf.highMm],
    [0, leaf.highMm],
  ]
  const [[a, b], [c, d]] = slopes(h, middle)
  const mmPerPx = 1 / Math.sqrt(Math.abs(a * d - b * c))
  const off = misfits(h, kept)
  const misfitPx = Math.sqrt(off.reduce((sum, value) => sum + value * value, 0) / off.length)
  const misfitMm = misfitPx * mmPerPx
  const tilt = tiltDeg(h, grey.wide, grey.high)
  const cornersPx = corners.map(corner => mapped(h, corner))
  if (kept.length < LEAST_MARKS || cornersPx.some(corner => !corner))
    return { why: 'too little of the card is seen to measure by: uncover more of it, or go nearer' }
  if (tilt > MOST.tiltDeg) return { why: `the card is seen at ${Math.round(tilt)}°: hold the camera squarer to it` }
  const diagonal = Math.hypot(leaf.wideMm, leaf.highMm)
  const bent = bowPx(h, kept) * mmPerPx > MOST.bowShare * diagonal
  if (bent || kept.length < LEAST_AGREED * seen)
    return { why: 'the card is not flat, or the lens bends lines: lay it flat, or take it from farther away' }
  const known: Known[] = few(kept, MOST_KNOWN).map(({ mark, px }) => ({ px, mm: [mark.atMm[0], mark.atMm[1]] }))
  const measured = measurePhoto(known, [cornersPx[0]!, cornersPx[2]!], Math.max(MARK_PX, misfitPx))
  const lengthPct = (100 * measured.uncertaintyMm) / measured.lengthMm
  if (lengthPct > MOST.lengthPct)
    return {
      why: `lengths would only be good to ${lengthPct.toFixed(1)} %: go nearer, hold still, or uncover the card`,
    }
  return {
    card,
    leaf: leaf.id,
    toPx: h,
    cornersPx: cornersPx as Point[],
    known,
    mmPerPx,
    tiltDeg: tilt,
    misfitPx,
    misfitMm,
    lengthPct,
    marks: kept.length,
  }
}

/** The leaf painted over in the middle grey, so that the next one can be looked for. */
function without(grey: Grey, h: Homography, leaf: CardLeaf): Grey {
  const data = grey.data.slice()
  const back = inverse(h)
  for (let y = 0; y < grey.high; y++)
    for (let x = 0; x < grey.wide; x++) {
      const at = mapped(back, [x + 0.5, y + 0.5])
      if (at && at[0] >= 0 && at[1] >= 0 && at[0] <= leaf.wideMm && at[1] <= leaf.highMm) data[y * grey.wide + x] = 128
    }
  return { ...grey, data }
}

/** A leaf's code read, and its marks from there outwards; or why not. */
function lookFor(grey: Grey): { card: CardId; leaf: CardLeaf; grown: Grown } | { why: string } {
  const code = findCode(grey)
  if (!code) return { why: 'no code of a scale card is read: it is hidden, too small, too blurred, or not there' }
  const leaf = cardLeaf(code.card, code.leaf)
  const place = leaf.codes[code.corner]!
  const settled = settleCode(grey, place.text, code.cornersPx)
  const start = fitHomography(place.cornersMm.map((from, n) => ({ from, to: settled[n]! })))
  const middle: Point = [
    (place.cornersMm[0]![0] + place.cornersMm[2]![0]) / 2,
    (place.cornersMm[0]![1] + place.cornersMm[2]![1]) / 2,
  ]
  const grown = start && grow(grey, leaf, start, middle)
  return grown
    ? { card: code.card, leaf, grown }
    : { why: 'a code of the card is read, but its marks are too small or too blurred to measure by' }
}

/** The marks of a card, mm on it to px, whether they lie in a plane or not; null where none is found. */
export function cardMarks(grey: Grey): Pair[] | null {
  const look = lookFor(grey)
  return 'why' in look ? null : look.grown.kept.map(pairOf)
}

/**
 * The scale card in a picture: one code of it is read, from which its marks are found to a small part of a pixel, and
 * from them the plane it lies in.
 *
 * Lengths in the card's plane near it are good to `lengthPct`; away from it the plane is only carried on. It refuses,
 * and says why, where no code is read, the card is bent, too much is hidden, or it is seen too much from the side.
 * Accuracy on made pictures: docs/method.md.
 */
export function findCard(grey: Grey): CardLook {
  let left = grey
  const found: FoundLeaf[] = []
  let why = ''
  for (let look = 0; look < 2; look++) {
    const seen = lookFor(left)
    if ('why' in seen) {
      why = seen.why
      break
    }
    const judged = judge(left, seen.card, seen.leaf, seen.grown)
    if ('why' in judged) {
      why = judged.why
      break
    }
    found.push(judged)
    if (CARDS[seen.card].leaves.length === 1) break
    left = without(left, seen.grown.h, seen.leaf)
  }
  return found.length ? { found } : { why }
}
