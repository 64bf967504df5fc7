import type { ProcessId } from './process.table'
import type { BrazeRod } from '../braze/rods.table'

/** The rod that each brazing process lays. */
export const BRAZE_ROD_OF: Partial<Record<ProcessId, BrazeRod>> = { 'zinc-rod-braze': 'zinc-al', 'al-si-braze': '4047' }
