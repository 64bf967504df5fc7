import { INTERPASS_C } from '../../arc/interpass.table'
import { secondsBetween, STILL_AIR, type LumpedBody } from '../../heat/lumped'
import { turnDown, type TurnDownPoint } from '../../heat/turn-down'
import type { Alloy } from '../../metal/alloys.table'
import { ENTERS, VOLTS } from '../../warm/current'
import type { ArcProcess, WeldSettings } from './weld-settings'
import type { Body } from '../take-in/body'

/** A turn-down worth a sentence. */
const TOLD_SHARE = 0.93
const TURN_DOWN_POINTS = 6

export const lumpOf = (
  body: Body,
  alloy: Alloy,
  ambientC: number,
  absorbedW = 0,
  filmWm2K: number = STILL_AIR.filmWm2K,
): LumpedBody => ({
  massKg: body.massKg,
  specificHeatJkgK: alloy.specificHeatJkgK,
  areaMm2: body.areaMm2,
  ambientC,
  absorbedW,
  filmWm2K,
  emissivity: STILL_AIR.emissivity,
})

/** What an arc as it is set puts into the part, W; nothing of a gun that is not set. */
export const arcWOf = (process: ArcProcess, { setA, mig }: Pick<WeldSettings, 'setA' | 'mig'>): number =>
  (process === 'ac-tig' ? setA * VOLTS[process] : mig ? mig.a * mig.v : 0) * ENTERS[process]

export interface Interpass {
  mostC: number
  why: string
  /** What one pass warms the whole part by, and where it then stands. */
  riseC: number
  afterC: number
  /** Wait until it is down to the limit; 0 where it is under it, null where still air never brings it there. */
  waitS: number | null
}

/** What a pass does to the heat of the whole part, and how long to wait for the next: energy balance of one lump. */
export function interpassOf(
  body: Body,
  alloy: Alloy,
  startC: number,
  ambientC: number,
  arcW: number,
  passArcMin: number,
  wantedMostC: number | null,
): Interpass {
  const { mostC: usualC, why } = INTERPASS_C[alloy.family]
  const mostC = wantedMostC ?? usualC
  const riseC = (arcW * passArcMin * 60) / (body.massKg * alloy.specificHeatJkgK)
  const afterC = Math.min(alloy.solidusC, startC + riseC)
  const seconds = afterC <= mostC ? 0 : secondsBetween(lumpOf(body, alloy, ambientC), afterC, mostC)
  return { mostC, why, riseC, afterC, waitS: Number.isFinite(seconds) ? seconds : null }
}

/** Output over the arc time: the share, and what that is on this gun. */
export type GunPoint = TurnDownPoint & { a: number; wireMMin: number }

/** The output over the arc time of a gun that feeds wire on to a part that warms; null where it makes no odds. */
export function turnDownOf(
  body: Body,
  alloy: Alloy,
  startC: number,
  ambientC: number,
  gun: { a: number; wireMMin: number },
  arcW: number,
  arcMin: number,
): GunPoint[] | null {
  const durationS = arcMin * 60
  if (durationS < 20 || startC >= alloy.solidusC) return null
  const everyS = Math.max(5, Math.ceil(durationS / TURN_DOWN_POINTS / 5) * 5)
  const points = turnDown(lumpOf(body, alloy, ambientC, arcW), startC, alloy.solidusC, durationS, everyS)
  if (points.at(-1)!.share >= TOLD_SHARE) return null
  return points.map(point => ({ ...point, a: point.share * gun.a, wireMMin: point.share * gun.wireMMin }))
}
