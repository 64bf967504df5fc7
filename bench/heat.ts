import { heatCase, fast, misfit, slow, type HeatCase } from './heat-case'
import { median } from './timing'
import { line } from './rows'

function taken<Out>(run: () => Out): { ms: number; out: Out } {
  const begun = performance.now()
  const out = run()
  return { ms: performance.now() - begun, out }
}
const medianOf = (runs: number, run: () => unknown) => median(Array.from({ length: runs }, () => taken(run).ms))

/**
 * The standard case, held and walked, against the plain explicit method in the same run; the preview; growth and
 * memory.
 */
export function heat(durationS: number): void {
  console.log(`\nHeat in the standard housing, ${durationS} s at 2 mm cells`)
  for (const walk of [false, true]) {
    const name = walk ? 'walked' : 'held'
    const given: HeatCase = heatCase(2, durationS, walk)
    fast({ ...given, durationS: 10 })
    const runs = Array.from({ length: 3 }, () => taken(() => fast(given)))
    const ms = median(runs.map(run => run.ms))
    const { out } = runs[0]!
    const reference = taken(() => slow(given))
    const { probePct, fieldPct } = misfit(given, out, reference.out)
    line(
      `${name}: times as fast as plain explicit`,
      `${(reference.ms / ms).toFixed(0)} (at least ${walk ? 40 : 50}); ${ms.toFixed(0)} ms, ${out.steps} steps, ${out.stages} stages`,
    )
    line(
      `${name}: worst probe at any time, whole field at the end`,
      `${probePct.toFixed(2)} % (limit 1), ${fieldPct.toFixed(2)} % (limit 2)`,
    )
    line(
      `${name}: energy that does not close`,
      `${Math.abs(((out.absorbedJ - out.lostJ - out.storedJ) / out.absorbedJ) * 100).toFixed(3)} % (limit 0.5)`,
    )
    for (const factor of [2, 3])
      line(
        `${name}: preview on ${2 * factor} mm, share of the full run's time`,
        `${(medianOf(3, () => fast(given, { tolerance: walk ? 0.2 : 0.02, factor })) / ms).toFixed(3)}`,
      )
    if (walk) continue
    line('cells, bytes kept for each', `${given.grid.count}, ${out.bytesPerCell.toFixed(1)} (limit 40)`)
  }
  const sizes = [1, 1.3, 1.6].map(scale => {
    const given = heatCase(2, durationS / 10, false, scale)
    return { count: given.grid.count, ms: medianOf(3, () => fast(given)) }
  })
  const [small, large] = [sizes[0]!, sizes.at(-1)!]
  line(
    'growth with the part at one cell: exponent',
    `${(Math.log(large.ms / small.ms) / Math.log(large.count / small.count)).toFixed(2)} (limit 1.2), ${small.count} to ${large.count} cells`,
  )
}
