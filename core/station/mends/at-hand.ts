import type { Job, Kit } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { STARTER_KIT } from '../../job-plan/starter-kit'
import type { JobGiven, MendGiven } from '../../job-plan/job-given'
import { rodOf } from '../../job-plan/decide/filler'
import { said } from '../../job/fields/said'
import { torchFirst } from '../warm/warm-decision'

/**
 * The kit that this job goes by: its torch first, and of a process whose machine was picked, that machine alone. One
 * with nothing to weld with is one that nobody has filled in yet: what a bench begins with stands in for it.
 */
export function kitOf(own: Kit, job: Job): Kit {
  const { machines, torches } = STARTER_KIT
  const kit = own.machines.length || own.torches.length ? own : { ...own, machines, torches }
  const picked = kit.machines.find(machine => machine.id === job.weld.machine)
  return {
    ...torchFirst(kit, job),
    machines: kit.machines.filter(({ id, process }) => !picked || process !== picked.process || id === picked.id),
  }
}

/** Share of the bead that is melted base, kept to what a bead can be. */
export const dilutionOf = (job: Job) => Math.min(100, Math.max(0, said(job, 'call').dilutionPct))

/** How the fillers of a job are ranked: base in the bead, and which goes first on castings. */
export const fillersOf = (job: Job): NonNullable<JobGiven['fillers']> => ({
  dilutionPct: dilutionOf(job),
  magnesiumFirst: job.call.school === 'magnesium-first',
})

/** The lays of a mend: its own, else what was picked for the part at the call; undefined leaves it to the plan. */
export function laysGiven(job: Job, { lays }: StoredMend): MendGiven['lays'] {
  if (lays.length)
    return lays.map(({ process, filler, upTo }) => ({
      process: process ?? undefined,
      filler: filler || undefined,
      upTo,
    }))
  const { process, filler } = job.call
  if (!process && !filler) return undefined
  return [{ process: process ?? undefined, filler: (filler && rodOf(filler)?.name) || undefined, upTo: 'cap' }]
}
