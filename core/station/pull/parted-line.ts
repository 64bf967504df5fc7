import type { Triple } from '../../solid/forms'
import { pathLongMm, placeAlongMm } from '../../solid/stored/to-shape'

/** A step of back-step laying, mm, and the most on a line. Common practice, no source: 25 to 50 mm. */
const STEP_MM = 40
const MOST_STEPS = 4
/** A line whose ends lie this near, as a share of its length, goes round. */
const ROUND_WITHIN = 0.05

/** A line from one place along it to another. */
function stretch(line: readonly Triple[], fromMm: number, toMm: number): Triple[] {
  const found: Triple[] = [placeAlongMm(line, fromMm)]
  let gone = 0
  for (let n = 1; n < line.length; n++) {
    gone += Math.hypot(...line[n]!.map((value, axis) => value - line[n - 1]![axis]!))
    if (gone > fromMm && gone < toMm) found.push(line[n]!)
  }
  return [...found, placeAlongMm(line, toMm)]
}
/** A line cut at its middle into two that begin there. */
export function halves(line: readonly Triple[]): Triple[][] {
  const long = pathLongMm(line)
  return [stretch(line, 0, long / 2).toReversed(), stretch(line, long / 2, long)]
}
/** A line that comes round to where it began is cut into quarters; one is laid, then the one opposite. */
export function quarters(line: readonly Triple[]): Triple[][] {
  const long = pathLongMm(line)
  return [0, 2, 1, 3].map(n => stretch(line, (n * long) / 4, ((n + 1) * long) / 4))
}
/** Steps along a line, each laid back towards the one before it. */
export function backSteps(line: readonly Triple[]): Triple[][] {
  const long = pathLongMm(line)
  const count = Math.min(MOST_STEPS, Math.max(2, Math.round(long / STEP_MM)))
  return Array.from({ length: count }, (_, n) =>
    stretch(line, (n * long) / count, ((n + 1) * long) / count).toReversed(),
  )
}
/** Whether a line ends where it began. */
export const comesRound = (line: readonly Triple[] | null) =>
  line !== null &&
  line.length > 3 &&
  Math.hypot(...line[0]!.map((value, axis) => value - line.at(-1)![axis]!)) < ROUND_WITHIN * pathLongMm(line)
