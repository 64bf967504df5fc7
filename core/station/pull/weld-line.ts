import type { Triple } from '../../solid/forms'
import { FACE_AXIS } from '../../solid/stored/faces.table'
import type { StoredMark } from '../../solid/stored/stored.schema'
import { pathOf } from '../../solid/stored/to-shape'
import type { PlannedMend } from '../../job-plan/job-planned'

/** A weld marked at one place, of which no length is known, runs this far to each side, mm. */
const ASIDE_MM = 15
/** A ring is drawn and laid in this many straight pieces. */
const RING_PIECES = 16

/**
 * The line a mark's weld is laid on: its own where it was walked along; else the run as planned, about the one place it
 * was put at: a ring, a rectangle, or straight along the longer way of its face.
 */
export function weldLine(mark: Pick<StoredMark, 'at' | 'path' | 'face'>, run: PlannedMend['run']): Triple[] | null {
  const path = pathOf(mark)
  if (!path || path.length > 1) return path
  const [at] = path as [Triple]
  const axis = FACE_AXIS[mark.face]
  const [p, q] = axis === 0 ? [1, 2] : axis === 1 ? [0, 2] : [0, 1]
  const moved = (along: number, across: number): Triple =>
    at.map((value, n) => (n === p ? value + along : n === q ? value + across : value)) as Triple
  if (run?.goes === 'round') {
    const r = run.longMm / (2 * Math.PI)
    return Array.from({ length: RING_PIECES + 1 }, (_, n) => {
      const angle = (2 * Math.PI * n) / RING_PIECES
      return moved(r * Math.cos(angle), r * Math.sin(angle))
    })
  }
  if (run && run.goes !== 'straight') {
    const [u, v] = [run.goes.longMm / 2, run.goes.wideMm / 2]
    return [moved(-u, -v), moved(u, -v), moved(u, v), moved(-u, v), moved(-u, -v)]
  }
  const half = run ? run.longMm / 2 : ASIDE_MM
  return [moved(-half, 0), moved(half, 0)]
}
