import { isArc, PROCESSES } from '../../process/registry'
import { MOST_TRAVEL_MM_MIN, PUDDLE_MIN } from '../../arc/bead'
import type { Readied } from '../readied'
import { arcOn } from './arc-on'
import type { Bench } from './bench'

/**
 * A dressed bead run over once more without rod, where a shop does that: its pores come up and close. Common practice,
 * no source. Says whether anything was.
 */
export function runOver(bench: Bench, mend: Readied): boolean {
  const process = mend.lays.at(-1)?.lay.process
  if (!mend.common.runOver || !process || !isArc(process) || PROCESSES[process].lays !== 'rod') return false
  const { currentOf, run } = arcOn(bench, mend)
  for (const { side, runMm } of mend.work.laid)
    run(
      { code: 'run-over', kind: 'arc', minutes: 0, side, process },
      currentOf(process).a,
      runMm / MOST_TRAVEL_MM_MIN + PUDDLE_MIN,
    )
  return true
}
