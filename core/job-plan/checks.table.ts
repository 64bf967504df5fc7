import type { Does, Moves } from '../part/words.table'

/**
 * Minutes of each check: once for the part, for each mend that asks it after the first, and for each 100 cm² of weld
 * that it looks at. Common practice, no source.
 */
const CHECK_MIN: Readonly<Record<string, readonly [once: number, eachMore: number, per100Cm2?: number]>> = {
  look: [0.5, 0.5],
  dye: [6.5, 0.5, 4],
  flux: [3, 1],
  wetted: [1.5, 1],
  fit: [1, 0.5],
  flatness: [6, 1],
  alignment: [3, 1],
  'bolt-pattern': [3, 0],
  leak: [12, 0],
  hose: [4, 0],
  'run-out': [8, 1],
  balance: [9, 0],
  torque: [1.5, 1],
  'thread-gauge': [1.5, 1],
  bore: [4, 3],
  weight: [2, 0],
  cause: [2, 0],
}
/** Of a check that nobody has timed. */
const UNTIMED = [2, 1, 0] as const

/** Minutes of a check that so many mends ask, or the part alone, over the welds that it looks at. */
export function checkMin(code: string, mends: number, weldMm2 = 0): number {
  const [once, eachMore, per100Cm2 = 0] = CHECK_MIN[code] ?? UNTIMED
  return once + Math.max(0, mends - 1) * eachMore + (per100Cm2 * weldMm2) / 1e4
}
/** The order in which checks are done. */
export const CHECK_ORDER = Object.keys(CHECK_MIN)

/** What can hurt at a check. */
export const CHECK_CAUTIONS: Readonly<Record<string, readonly string[]>> = {
  dye: ['solvent-fire'],
  leak: ['pressure-test'],
  balance: ['rotating-tools'],
}

export interface CheckedPart {
  readonly does: Does
  readonly moves: Moves
  readonly mustNotMove: readonly string[]
  readonly cause?: string | undefined
  readonly pressureMPa?: number | undefined
  readonly minds?: readonly string[] | undefined
}

/** What the part as a whole must show, whatever was mended on it. */
export function partChecks({ does, moves, mustNotMove, cause, pressureMPa = 0, minds = [] }: CheckedPart): string[] {
  const keeps = (...ids: string[]) => ids.some(id => mustNotMove.includes(id))
  return [
    // Whatever it is, it goes back where it came from.
    'fit',
    ...(pressureMPa > 0 || minds.includes('pressure-port')
      ? ['leak']
      : does !== 'seal'
        ? []
        : [minds.includes('rain-only') ? 'hose' : 'leak']),
    ...(moves === 'spins' ? ['run-out', 'balance'] : moves === 'to-and-fro' ? ['weight'] : []),
    ...(keeps('gasket-face') ? ['flatness'] : []),
    ...(keeps('bearing-bore', 'locating-diameter', 'pivot-line') ? ['alignment'] : []),
    ...(keeps('bolt-pattern') ? ['bolt-pattern'] : []),
    ...(cause && cause !== 'unknown' ? ['cause'] : []),
  ]
}
