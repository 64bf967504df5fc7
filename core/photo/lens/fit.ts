import { Matrix, solve } from 'ml-matrix'
import { NoAnswer } from '../../ask/question'
import { few } from '../few'
import { fitHomography, mapped, type Pair } from '../plane'
import { MOST_K, straightened, type Lens, type Size } from './model'

export interface FittedLens extends Lens {
  /** Root mean square distance of the marks from flat planes, px: with no lens, and with this one. */
  beforePx: number
  afterPx: number
  looks: number
}

const LEAST_LOOKS = 3
const LEAST_MARKS = 40
/** As many of each picture's marks as are fitted, spread evenly: more tell nothing more, and take long. */
const MOST_MARKS = 60
const ROUNDS = 12
const STEP = 1e-4

/** How far all marks lie from their planes, px in x and in y, when the lens is taken to be this one. */
function misfits(looks: readonly (readonly Pair[])[], lens: Lens, size: Size): number[] {
  return looks.flatMap(pairs => {
    const flat = pairs.map(({ from, to }) => ({ from, to: straightened(to, lens, size) }))
    const h = fitHomography(flat)
    if (!h) return []
    return flat.flatMap(({ from, to }) => {
      const at = mapped(h, from) ?? [1e6, 1e6]
      return [at[0] - to[0], at[1] - to[1]]
    })
  })
}
const rms = (list: readonly number[]) => Math.sqrt((2 * list.reduce((sum, each) => sum + each * each, 0)) / list.length)

/**
 * The lens from several looks at a flat card: the two radial terms that bring its marks nearest to planes, each look
 * having a plane of its own. Gauss and Newton's steps, damped.
 * @param found of each picture, the marks: mm on the card to px in the picture
 * @throws NoAnswer with fewer than three looks or forty marks, or where no lens of a phone fits
 */
export function fitLens(found: readonly (readonly Pair[])[], size: Size): FittedLens {
  const looks = found.map(pairs => few(pairs, MOST_MARKS))
  const marks = looks.reduce((sum, pairs) => sum + pairs.length, 0)
  if (looks.length < LEAST_LOOKS || marks < LEAST_MARKS)
    throw new NoAnswer(
      `a lens wants the card in at least ${LEAST_LOOKS} pictures, large in them and not all alike; it was found in ${looks.length}`,
    )
  let lens: Lens = { k1: 0, k2: 0 }
  let now = misfits(looks, lens, size)
  const beforePx = rms(now)
  for (let round = 0, damp = 1e-3; round < ROUNDS; round++) {
    const slopes = [
      misfits(looks, { ...lens, k1: lens.k1 + STEP }, size),
      misfits(looks, { ...lens, k2: lens.k2 + STEP }, size),
    ].map(moved => moved.map((value, n) => (value - now[n]!) / STEP))
    const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, n) => sum + value * b[n]!, 0)
    const normal = slopes.map(a => slopes.map(b => dot(a, b)))
    const step = solve(
      new Matrix(normal.map((row, n) => row.map((value, m) => (n === m ? value * (1 + damp) : value)))),
      Matrix.columnVector(slopes.map(slope => -dot(slope, now))),
    ).to1DArray()
    const tried = { k1: lens.k1 + step[0]!, k2: lens.k2 + step[1]! }
    const then = misfits(looks, tried, size)
    if (rms(then) < rms(now)) {
      ;[lens, now, damp] = [tried, then, damp / 3]
      if (Math.abs(step[0]!) + Math.abs(step[1]!) < 1e-7) break
    } else damp *= 10
  }
  if (Math.abs(lens.k1) > MOST_K || Math.abs(lens.k2) > MOST_K)
    throw new NoAnswer('no lens of a phone fits these pictures: was the card flat, and all of them taken alike?')
  return { ...lens, beforePx, afterPx: rms(now), looks: looks.length }
}
