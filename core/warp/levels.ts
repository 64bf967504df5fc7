import { nextLevel, type Level } from './bodies'
import type { Element } from './element'
import { firstLevel } from './first-level'
import { lastLevel, type Last } from './last-level'
import type { Lattice } from './lattice'

/** So few bodies are solved at once. */
const FEW = 60

export interface Levels {
  /** Body of the first level that each corner belongs to, and where it lies from that body's middle, mm. */
  body: Int32Array
  offMm: Float32Array
  levels: Level[]
  last: Last
}

/**
 * Coarser and coarser pictures of a part for its solver: bodies of 4 × 4 × 4 corners that move rigidly, then bodies of
 * bodies. Rigid motions are kept exactly on every level, which is what bending of thin walls wants.
 * Source: aggregation with rigid modes (Vaněk, Mandel and Brezina 1996), unsmoothed.
 */
export function levelsOf(
  lattice: Lattice,
  element: Element,
  there: Uint8Array | null,
  fixed: Uint8Array | null,
): Levels {
  const { body, level } = firstLevel(lattice, element, there, fixed)
  const offMm = new Float32Array(3 * lattice.nodes)
  for (let node = 0; node < lattice.nodes; node++)
    for (let axis = 0; axis < 3; axis++)
      offMm[3 * node + axis] =
        lattice.originMm[axis]! +
        lattice.nodeAt[3 * node + axis]! * lattice.stepMm[axis]! -
        level.middleMm[3 * body[node]! + axis]!
  const levels = [level]
  while (levels.at(-1)!.bodies > FEW) levels.push(nextLevel(levels.at(-1)!))
  return { body, offMm, levels, last: lastLevel(levels.at(-1)!) }
}
