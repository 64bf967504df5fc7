import type { Finish } from '../../mend/finishes.table'
import type { MendKind } from '../../mend/kind'

/** Faces that are flat: dressed to a straightedge. */
const FLAT: ReadonlySet<string> = new Set(['gasket-face'])
/** Faces that a mend is dressed to size on. */
const SEATS: ReadonlySet<string> = new Set(['locating-diameter', 'gasket-face', 'seat'])

export interface Finished {
  took: Finish
  because: string
}

/** Whether every seat that a mend lies on is a flat face. */
export const isFlatSeat = (on: readonly string[]): boolean => {
  const seats = on.filter(face => SEATS.has(face))
  return seats.length > 0 && seats.every(face => FLAT.has(face))
}

/** How a mend is left: as somebody said, a seat where it lies on one, else as its kind usually is. */
export function finishOf(
  { finish: usual }: Pick<MendKind, 'finish'>,
  { finish, on }: { finish?: Finish | undefined; on: readonly string[] },
): Finished {
  if (finish) return { took: finish, because: 'as-wanted' }
  // What a machine makes true is truer than a seat dressed by hand.
  if (usual !== 'machined' && on.some(face => SEATS.has(face))) return { took: 'seat', because: 'on-seat' }
  return { took: usual, because: 'by-kind' }
}
