import type { MigMode } from './mig'

/** How a gun is run, as it is said at the bench. */
export const MIG_MODE_WORDS: Readonly<Record<MigMode, string>> = {
  spray: 'spray',
  pulse: 'pulsed',
  'double-pulse': 'double pulse',
  cold: 'cold stitches',
}
