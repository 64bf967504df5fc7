import type { Job, Kit } from '../../job/job.schema'
import { PROCESSES } from '../../call/process.table'
import type { PlannedMend } from '../../job-plan/job-planned'
import type { Working } from '../parts'
import type { GunPoint } from '../weld/soak-up'
import type { ArcSet } from '../weld/weld-data'
import { weldMeans, weldSettings, type ArcProcess } from '../weld/weld-settings'

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

const isArc = (process: PlannedMend['lays'][number]['process']): process is ArcProcess => PROCESSES[process].needsAmps

/**
 * What is set on the machine for a mend, once for each process and filler that it is laid with, in their order: by its
 * own wall, joint and current, as warm as the mends before it leave the part. None for rod and flame.
 */
export function setUpsOf(job: Job, kit: Kit, planned: PlannedMend): MendSetUp[] {
  const { lays, wallMm, joint, foundC, startA } = planned
  const laid = lays.flatMap(({ process, filler, passes }) =>
    filler !== null && isArc(process) ? [{ process, filler, passes }] : [],
  )
  const [first] = laid
  const total = laid.reduce((sum, lay) => sum + lay.passes, 0)
  const seen = new Set<string>()
  return laid.flatMap(({ process, filler }): MendSetUp[] => {
    const name = `${process} ${filler}`
    if (seen.has(name)) return []
    seen.add(name)
    const mine = laid.filter(lay => lay.process === process && lay.filler === filler)
    const passes = mine.reduce((sum, lay) => sum + lay.passes, 0)
    // The plan's current is that of the process it begins with; another's comes from the wall.
    const needed = process === first!.process && startA !== null ? { neededA: startA } : {}
    const { workings, ...settings } = weldSettings(job, kit, process, foundC, filler, { wallMm, joint, ...needed })
    const arcMin = (planned.arcMin * passes) / total
    const { gas, gasWorking, elapsedMin } = weldMeans(job, kit, settings, passes, arcMin)
    return [
      {
        process,
        filler,
        set: { ...settings, gas, elapsedMin },
        arcMin,
        turnDown: null,
        workings: { ...workings, ...(gasWorking ? { gas: gasWorking } : {}) },
      },
    ]
  })
}
