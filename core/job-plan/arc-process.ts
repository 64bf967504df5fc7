import type { ArcProcess } from '../arc/amps'
import { PROCESSES, type ProcessId } from '../call/process.table'

/** Whether a process has an arc and needs a machine's current. */
export const isArc = (process: ProcessId): process is ArcProcess => PROCESSES[process].needsAmps
