import { shapeOfCut, type GrooveCut } from '../../groove/cut'
import { box, grooveShape, poly, type DrawnShape, type Section } from './shapes'

/** Metal shown either side of a groove, as walls. */
const BESIDE_WALLS = 2.1

/** A wall with its groove, from one side or both, and what is kept of the break. */
export function acrossGroove(title: string, cut: GrooveCut): Section {
  const { wallMm, sides, landMm, capMm } = cut
  const shape = shapeOfCut(cut)
  const half = wallMm * BESIDE_WALLS
  const { depthMm } = shape
  const shapes: DrawnShape[] = [box('metal', -half, 0, 2 * half, wallMm)]
  const kept = Math.min(landMm, wallMm)
  if (depthMm > 0) shapes.push(grooveShape(0, 0, shape, capMm, 1))
  if (depthMm > 0 && sides === 2) shapes.push(grooveShape(0, wallMm, shape, capMm, -1))
  if (kept > 0)
    shapes.push(
      poly(
        'gone',
        [
          [0, depthMm],
          [0, depthMm + kept],
        ],
        false,
      ),
    )
  return {
    title,
    shapes,
    sizes: [
      { from: [-half * 0.92, 0], to: [-half * 0.92, depthMm], mm: depthMm },
      { from: [half * 0.92, 0], to: [half * 0.92, wallMm], mm: wallMm },
    ],
  }
}
