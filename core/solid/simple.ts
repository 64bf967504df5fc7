import { reach, type Flat, type Form, type Round, type Triple } from './forms'
import type { SimpleShape } from './shape.schema'

/** A simple solid: its sizes over all from the origin, mm, the forms it is made of and those taken out of them. */
export interface Solid {
  sizeMm: Triple
  adds: readonly Form[]
  cuts: readonly Form[]
}

type Makers = { [Kind in SimpleShape['kind']]: (shape: Extract<SimpleShape, { kind: Kind }>) => Solid }

/** Points on a quarter and on a half round: the chord falls short by less than a thousandth of the radius. */
const QUARTER = 18
/** What is cut right through runs this far past the skin, mm, so that no film is left standing. */
const PAST_MM = 1

const block = (low: Triple, high: Triple, shut = false): Form => ({ form: 'block', low, high, ...(shut && { shut }) })
const upright = (x: number, y: number, radius: number, from: number, to: number): Round => ({
  form: 'round',
  axis: 2,
  centre: [x, y],
  radius,
  from,
  to,
})
const arc = (x: number, y: number, radius: number, fromDeg: number, toDeg: number): Flat[] => {
  const points = Math.max(2, Math.round((Math.abs(toDeg - fromDeg) / 90) * QUARTER))
  return Array.from({ length: points + 1 }, (_, n) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * n) / points) * Math.PI) / 180
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}
const pipe = (outside: number, inside: number, high: number): Solid => ({
  sizeMm: [outside, outside, high],
  adds: [upright(outside / 2, outside / 2, outside / 2, 0, high)],
  cuts: [upright(outside / 2, outside / 2, inside / 2, -PAST_MM, high + PAST_MM)],
})
const whole = (sizeMm: Triple, ...adds: Form[]): Solid => ({ sizeMm, adds, cuts: [] })
const solidBox = (x: number, y: number, z: number) => whole([x, y, z], block([0, 0, 0], [x, y, z]))
const drawnUp = (rings: readonly (readonly Flat[])[], from: number, to: number): Form => ({
  form: 'prism',
  axis: 2,
  rings,
  from,
  to,
})

const MAKERS: Makers = {
  box: ({ xMm, yMm, zMm }) => solidBox(xMm, yMm, zMm),
  plate: ({ lengthMm, widthMm, thickMm }) => solidBox(lengthMm, widthMm, thickMm),
  bar: ({ diameterMm: d, lengthMm }) =>
    whole([lengthMm, d, d], { form: 'round', axis: 0, centre: [d / 2, d / 2], radius: d / 2, from: 0, to: lengthMm }),
  tube: ({ outsideMm, wallMm, lengthMm }) => pipe(outsideMm, outsideMm - 2 * wallMm, lengthMm),
  disc: ({ diameterMm: d, thickMm }) => whole([d, d, thickMm], upright(d / 2, d / 2, d / 2, 0, thickMm)),
  ring: ({ outsideMm, insideMm, thickMm }) => pipe(outsideMm, insideMm, thickMm),
  'hollow-box': ({ xMm, yMm, zMm, wallMm: w }) => ({
    sizeMm: [xMm, yMm, zMm],
    adds: [block([0, 0, 0], [xMm, yMm, zMm])],
    cuts: [block([w, w, w], [xMm - w, yMm - w, zMm - w], true)],
  }),
  // Open at the top, where the flange runs round outside the walls; the floor is as thick as the walls.
  'flanged-box': ({ xMm, yMm, zMm, wallMm: w, flangeMm: f, flangeThickMm }) => ({
    sizeMm: [xMm, yMm, zMm],
    adds: [block([f, f, 0], [xMm - f, yMm - f, zMm]), block([0, 0, zMm - flangeThickMm], [xMm, yMm, zMm])],
    cuts: [block([f + w, f + w, w], [xMm - f - w, yMm - f - w, zMm + PAST_MM])],
  }),
  'boss-on-plate': ({ xMm, yMm, plateMm, bossMm, bossHighMm, holeMm }) => {
    const high = plateMm + bossHighMm
    const [x, y] = [xMm / 2, yMm / 2]
    return {
      sizeMm: [xMm, yMm, high],
      adds: [block([0, 0, 0], [xMm, yMm, plateMm]), upright(x, y, bossMm / 2, plateMm / 2, high)],
      cuts: holeMm > 0 ? [upright(x, y, holeMm / 2, -PAST_MM, high + PAST_MM)] : [],
    }
  },
  'ribbed-cover': ({ xMm, yMm, wallMm, ribs, ribMm, ribHighMm }) => {
    const middles = Array.from({ length: ribs }, (_, index) => ((index + 0.5) * xMm) / ribs)
    const high = wallMm + ribHighMm
    return whole(
      [xMm, yMm, high],
      block([0, 0, 0], [xMm, yMm, wallMm]),
      ...middles.map(x => block([x - ribMm / 2, 0, wallMm / 2], [x + ribMm / 2, yMm, high])),
    )
  },
  'finned-cylinder': ({ boreMm, wallMm, fins, finMm, gapMm, finOutMm }) => {
    const out = boreMm / 2 + wallMm + finOutMm
    const high = fins * finMm + (fins + 1) * gapMm
    const feet = Array.from({ length: fins }, (_, index) => gapMm + index * (finMm + gapMm))
    return {
      sizeMm: [2 * out, 2 * out, high],
      adds: [
        upright(out, out, boreMm / 2 + wallMm, 0, high),
        ...feet.map(foot => upright(out, out, out, foot, foot + finMm)),
      ],
      cuts: [upright(out, out, boreMm / 2, -PAST_MM, high + PAST_MM)],
    }
  },
  // A flat ear whose far end is rounded about its hole.
  lug: ({ longMm, wideMm, thickMm, holeMm }) => {
    const half = wideMm / 2
    const eye = longMm - half
    const outline: Flat[] = [[0, 0], ...arc(eye, half, half, -90, 90), [0, wideMm]]
    return {
      sizeMm: [longMm, wideMm, thickMm],
      adds: [drawnUp([outline], 0, thickMm)],
      cuts: holeMm > 0 ? [upright(eye, half, holeMm / 2, -PAST_MM, thickMm + PAST_MM)] : [],
    }
  },
  // A quarter of a pipe's bend, its ends looking down and to the left.
  elbow: ({ outsideMm, wallMm, bendMm }) => {
    const bend = (radius: number): Form => ({
      form: 'bend',
      axis: 2,
      centre: [0, 0],
      bendMm,
      radius,
      level: outsideMm / 2,
    })
    const size = bendMm + outsideMm / 2
    return {
      sizeMm: [size, size, outsideMm],
      adds: [bend(outsideMm / 2)],
      cuts: wallMm * 2 < outsideMm ? [bend(outsideMm / 2 - wallMm)] : [],
    }
  },
  slot: ({ longMm, wideMm, deepMm }) => {
    const half = wideMm / 2
    const outline = [...arc(longMm - half, half, half, -90, 90), ...arc(half, half, half, 90, 270)]
    return whole([longMm, wideMm, deepMm], drawnUp([outline], 0, deepMm))
  },
  // The metal that rounds an inner corner: a square strip less a quarter round.
  fillet: ({ longMm, radiusMm: r }) =>
    whole([longMm, r, r], {
      form: 'prism',
      axis: 0,
      rings: [[[0, 0], ...arc(r, r, r, -90, -180)]],
      from: 0,
      to: longMm,
    }),
  outline: ({ outlineMm, holesMm, thickMm }) => {
    const form = drawnUp([outlineMm, ...holesMm], 0, thickMm)
    return whole(reach(form).high, form)
  },
}

/** A simple solid as its sizes over all and its forms. */
export function solidOf<Kind extends SimpleShape['kind']>(shape: Extract<SimpleShape, { kind: Kind }>): Solid {
  return (MAKERS[shape.kind as Kind] as (shape: Extract<SimpleShape, { kind: Kind }>) => Solid)(shape)
}
