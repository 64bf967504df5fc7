import type { SimpleShape } from './shape.schema'
import { block, lying, round, together, without, type Distance } from './distance'

export interface Solid {
  /** Sizes over all, from the origin, mm. */
  sizeMm: [number, number, number]
  distance: Distance
}

type Makers = { [Kind in SimpleShape['kind']]: (shape: Extract<SimpleShape, { kind: Kind }>) => Solid }

const pipe = (outside: number, inside: number, high: number): Solid => ({
  sizeMm: [outside, outside, high],
  distance: without(
    round(outside / 2, outside / 2, outside / 2, 0, high),
    round(outside / 2, outside / 2, inside / 2, -1, high + 1),
  ),
})
const solidBox = (x: number, y: number, z: number): Solid => ({ sizeMm: [x, y, z], distance: block(0, 0, 0, x, y, z) })

const MAKERS: Makers = {
  box: ({ xMm, yMm, zMm }) => solidBox(xMm, yMm, zMm),
  plate: ({ lengthMm, widthMm, thickMm }) => solidBox(lengthMm, widthMm, thickMm),
  bar: ({ diameterMm: d, lengthMm }) => ({
    sizeMm: [lengthMm, d, d],
    distance: lying(0, lengthMm, d / 2, d / 2, d / 2),
  }),
  tube: ({ outsideMm, wallMm, lengthMm }) => pipe(outsideMm, outsideMm - 2 * wallMm, lengthMm),
  disc: ({ diameterMm: d, thickMm }) => ({ sizeMm: [d, d, thickMm], distance: round(d / 2, d / 2, d / 2, 0, thickMm) }),
  ring: ({ outsideMm, insideMm, thickMm }) => pipe(outsideMm, insideMm, thickMm),
  'hollow-box': ({ xMm, yMm, zMm, wallMm: w }) => ({
    sizeMm: [xMm, yMm, zMm],
    distance: without(block(0, 0, 0, xMm, yMm, zMm), block(w, w, w, xMm - w, yMm - w, zMm - w)),
  }),
  // Open at the top, where the flange runs round outside the walls; the floor is as thick as the walls.
  'flanged-box': ({ xMm, yMm, zMm, wallMm: w, flangeMm: f, flangeThickMm }) => ({
    sizeMm: [xMm, yMm, zMm],
    distance: without(
      together(block(f, f, 0, xMm - f, yMm - f, zMm), block(0, 0, zMm - flangeThickMm, xMm, yMm, zMm)),
      block(f + w, f + w, w, xMm - f - w, yMm - f - w, zMm + 1),
    ),
  }),
  'boss-on-plate': ({ xMm, yMm, plateMm, bossMm, bossHighMm, holeMm }) => {
    const high = plateMm + bossHighMm
    const body = together(block(0, 0, 0, xMm, yMm, plateMm), round(xMm / 2, yMm / 2, bossMm / 2, plateMm / 2, high))
    return {
      sizeMm: [xMm, yMm, high],
      distance: holeMm > 0 ? without(body, round(xMm / 2, yMm / 2, holeMm / 2, -1, high + 1)) : body,
    }
  },
  'ribbed-cover': ({ xMm, yMm, wallMm, ribs, ribMm, ribHighMm }) => {
    const pitch = xMm / ribs
    const at = Array.from({ length: ribs }, (_, index) => (index + 0.5) * pitch)
    return {
      sizeMm: [xMm, yMm, wallMm + ribHighMm],
      distance: together(
        block(0, 0, 0, xMm, yMm, wallMm),
        ...at.map(x => block(x - ribMm / 2, 0, wallMm / 2, x + ribMm / 2, yMm, wallMm + ribHighMm)),
      ),
    }
  },
  'finned-cylinder': ({ boreMm, wallMm, fins, finMm, gapMm, finOutMm }) => {
    const out = boreMm / 2 + wallMm + finOutMm
    const high = fins * finMm + (fins + 1) * gapMm
    const discs = Array.from({ length: fins }, (_, index) =>
      round(out, out, out, gapMm + index * (finMm + gapMm), gapMm + index * (finMm + gapMm) + finMm),
    )
    return {
      sizeMm: [2 * out, 2 * out, high],
      distance: without(
        together(round(out, out, boreMm / 2 + wallMm, 0, high), ...discs),
        round(out, out, boreMm / 2, -1, high + 1),
      ),
    }
  },
}

/** A simple solid as its sizes over all and its signed distance. */
export function solidOf<Kind extends SimpleShape['kind']>(shape: Extract<SimpleShape, { kind: Kind }>): Solid {
  return (MAKERS[shape.kind as Kind] as (shape: Extract<SimpleShape, { kind: Kind }>) => Solid)(shape)
}
