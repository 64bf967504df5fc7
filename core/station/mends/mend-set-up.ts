import { isArc } from '../../process/registry'
import type { Job, Kit } from '../../job/job.schema'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { Made } from '../../job-plan/step'
import type { Working } from '../parts'
import type { GunPoint } from '../weld/soak-up'
import type { ArcSet } from '../weld/arc-set'
import { gasTaken, weldSettings, type ArcProcess } from '../weld/weld-settings'

/** One machine set up for a mend: by which process, with which filler, and everything that is set on it. */
export interface MendSetUp {
  process: ArcProcess
  filler: string
  set: ArcSet
  /** Of its arc alone. */ arcMin: number
  /** How a gun is turned down as the part warms; null where it makes no odds. */
  turnDown: GunPoint[] | null
  workings: Record<string, Working>
}

/**
 * What is set on the machine for a mend, once for each process and filler that it is laid with, in their order: by its
 * own wall, joint and current, as warm as the mends before it leave the part. None for rod and flame.
 */
export function setUpsOf(job: Job, kit: Kit, planned: PlannedMend, steps: readonly Made[]): MendSetUp[] {
  const { lays, wallMm, joint, foundC, startA } = planned
  const laid = lays.flatMap(({ process, filler }) => (isArc(process) ? [{ process, filler }] : []))
  const [first] = laid
  const own = steps.filter(step => step.mend === planned.id && step.stage === 'laying')
  const seen = new Set<string>()
  return laid.flatMap(({ process, filler }): MendSetUp[] => {
    const name = `${process} ${filler}`
    if (seen.has(name)) return []
    // Boiling out goes with what is set first.
    const arcs = own.filter(
      step => step.kind === 'arc' && step.process === process && (step.filler ?? first?.filler) === filler,
    )
    const begins = seen.size === 0
    seen.add(name)
    // The plan's current is that of the process it begins with; another's comes from the wall.
    const needed = process === first?.process && startA !== null ? { neededA: startA } : {}
    const { workings, ...settings } = weldSettings(job, kit, process, foundC, filler, { wallMm, joint, ...needed })
    const { gas, gasWorking } = gasTaken(job, kit, arcs)
    const sum = (list: readonly Made[]) => list.reduce((total, { minutes }) => total + minutes, 0)
    return [
      {
        process,
        filler,
        set: { ...settings, gas, elapsedMin: begins ? sum(own) : sum(arcs) },
        arcMin: sum(arcs),
        turnDown: null,
        workings: { ...workings, ...(gasWorking ? { gas: gasWorking } : {}) },
      },
    ]
  })
}
