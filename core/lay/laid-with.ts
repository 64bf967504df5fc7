import { BRAZE_RODS } from '../braze/rods.table'
import { PROCESSES, brazeRodOf, type ProcessId } from '../process/registry'

/** What a lay is laid with, in words: a braze has its own rod, whatever filler is best for the metal. */
export const laidWith = (process: ProcessId, filler: string | null): string => {
  const rod = brazeRodOf(process)
  return rod ? BRAZE_RODS[rod].name : (filler ?? 'none: boils dirt out')
}

/** A process with what it lays, in a few words: a braze's rod says both. */
export const layWords = (process: ProcessId, filler: string | null): string =>
  brazeRodOf(process) || filler === null
    ? PROCESSES[process].name
    : `${PROCESSES[process].name}, ${laidWith(process, filler)}`
