import { arcOf, isTig } from '../../process/registry'
import { INTERPASS_C } from '../../arc/interpass.table'
import { STILL_AIR, type LumpedBody } from '../../heat/lumped'
import { turnDown, type TurnDownPoint } from '../../heat/turn-down'
import type { Made } from '../../job-plan/step'
import type { Alloy } from '../../metal/alloys.table'
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
  (isTig(process) ? setA * arcOf(process).volts : mig ? mig.a * mig.v : 0) * arcOf(process).enters

export interface Interpass {
  mostC: number
  why: string
  /** What one pass warms the whole part by, and where it then stands. */
  riseC: number
  afterC: number
  /** The longest wait until it is down to the limit; 0 where it stays under it. */
  waitS: number
}

/**
 * Under what the next pass of a mend may begin and how long that is waited for, as the plan's steps have it; null
 * where one pass fills it, or a flame lays it.
 */
export function interpassOf(steps: readonly Made[], alloy: Alloy): Interpass | null {
  const arcs = steps.filter(({ kind, pass }) => kind === 'arc' && pass !== undefined)
  const [first, second] = arcs
  if (first?.foundC === undefined || second?.foundC === undefined || second.limitC === undefined) return null
  const rests = steps.filter(({ code, because }) => code === 'rest' && because !== 'duty')
  const after = steps.slice(steps.indexOf(first) + 1).find(({ foundC }) => foundC !== undefined)
  const afterC = after?.foundC ?? second.foundC
  return {
    mostC: second.limitC,
    why: INTERPASS_C[alloy.family].why,
    riseC: Math.max(0, afterC - first.foundC),
    afterC,
    waitS: 60 * Math.max(0, ...rests.map(({ minutes }) => minutes)),
  }
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
