import { mostCurrent, strongest } from '../../arc/machine-reach'
import type { ProcessId } from '../../process/registry'
import type { Job, Kit } from '../../job/job.schema'

export type Machine = Kit['machines'][number]

/** Most current a machine gives through its torch and off its mains, A. */
export const mostA = (machine: Machine): number => mostCurrent(machine).a

/** The machine this job goes by for a process: the one picked, else the strongest there is. */
export function machineOf(job: Job, kit: Kit, process: ProcessId): Machine | null {
  const picked = kit.machines.find(entry => entry.process === process && entry.id === job.weld.machine)
  return picked ?? strongest(kit.machines, process)
}
