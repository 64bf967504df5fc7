import type { Does, Moves } from '../part/words.table'

/** Minutes of each check. Common practice, no source. */
const CHECK_MIN: Readonly<Record<string, number>> = {
  look: 0.5,
  dye: 7,
  fit: 1,
  flatness: 6,
  alignment: 3,
  'bolt-pattern': 3,
  leak: 12,
  'run-out': 8,
  balance: 9,
  torque: 1.5,
  'thread-gauge': 1.5,
  bore: 4,
  weight: 2,
}

/** Of a check that nobody has timed. */
const UNTIMED_MIN = 2
export const checkMin = (code: string): number => CHECK_MIN[code] ?? UNTIMED_MIN

interface Part {
  readonly does: Does
  readonly moves: Moves
  readonly mustNotMove: readonly string[]
}

/** What the part as a whole must show, whatever was mended on it. */
export function partChecks({ does, moves, mustNotMove }: Part): string[] {
  const keeps = (...ids: string[]) => ids.some(id => mustNotMove.includes(id))
  return [
    ...(does === 'seal' ? ['leak'] : []),
    ...(moves === 'spins' ? ['run-out', 'balance'] : moves === 'to-and-fro' ? ['weight'] : []),
    ...(keeps('gasket-face') ? ['flatness'] : []),
    ...(keeps('bearing-bore', 'locating-diameter', 'pivot-line') ? ['alignment'] : []),
    ...(keeps('bolt-pattern') ? ['bolt-pattern'] : []),
  ]
}
