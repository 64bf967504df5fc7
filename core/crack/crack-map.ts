import { mix, passChemistry, type Pct } from './chemistry'
import { crackIndex, type CrackRating } from './crack-index'

export interface MapPoint {
  siPct: number
  mgPct: number
}
export interface MapBead extends MapPoint {
  pass: number
  index: number
  rating: CrackRating
}

export interface CrackMap {
  /** Ends of the axes, wt %. */
  siMaxPct: number
  mgMaxPct: number
  /** Copper and zinc at which the map is drawn: the last bead's own. */
  cuPct: number
  znPct: number
  /** Index over the map, rows from magnesium 0 upwards, silicon running fastest; `points` a side. */
  points: number
  index: number[]
  base: MapPoint & { index: number }
  filler: MapPoint & { index: number }
  beads: MapBead[]
}

const place = (pct: Pct): MapPoint => ({ siPct: pct.Si ?? 0, mgPct: pct.Mg ?? 0 })
/** Axes reach a little past the outermost point, and far enough to show the published peaks. */
const LEAST_SI_PCT = 6
const LEAST_MG_PCT = 4
const ROOM = 1.12

/**
 * Crack index over silicon and magnesium, at the copper and zinc of the bead, with base, filler and each pass on it.
 * @param points grid points a side, 5 to 200
 * Cost: one freezing path a point.
 */
export function crackMap(base: Pct, filler: Pct, dilutionPct: number, passes: number, points: number): CrackMap {
  const beadsPct = passChemistry(base, filler, dilutionPct, passes)
  const last = beadsPct.at(-1)!
  const places = [base, filler, ...beadsPct].map(place)
  const siMaxPct = Math.max(LEAST_SI_PCT, ...places.map(each => each.siPct * ROOM))
  const mgMaxPct = Math.max(LEAST_MG_PCT, ...places.map(each => each.mgPct * ROOM))
  const others = mix(last, {}, 1)
  const index: number[] = []
  for (let row = 0; row < points; row++) {
    for (let column = 0; column < points; column++) {
      index.push(
        crackIndex({ ...others, Si: (siMaxPct * column) / (points - 1), Mg: (mgMaxPct * row) / (points - 1) }).index,
      )
    }
  }
  return {
    siMaxPct,
    mgMaxPct,
    cuPct: last.Cu ?? 0,
    znPct: last.Zn ?? 0,
    points,
    index,
    base: { ...place(base), index: crackIndex(base).index },
    filler: { ...place(filler), index: crackIndex(filler).index },
    beads: beadsPct.map((pct, i) => ({
      ...place(pct),
      pass: i + 1,
      ...(({ index: value, rating }) => ({ index: value, rating }))(crackIndex(pct)),
    })),
  }
}
