import type { ProcessId } from '../../process/registry'
import type { LogEntry } from '../../job/fields/weld'

/** One pass of a mend at the bench: what lays it, whether it is down, what was seen in it. */
export interface WeldPass {
  number: number
  side: 1 | 2
  kind: 'root' | 'fill' | 'cap'
  process: ProcessId
  filler: string
  /** What lays it, in words. */
  by: string
  done: boolean
  log: LogEntry[]
  /**
   * Current it begins with and what it is eased to as the place soaks up heat; null with a gun, a flame or unknown
   * sizes.
   */
  ease: { fromA: number; toA: number } | null
}
