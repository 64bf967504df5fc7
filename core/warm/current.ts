import { arcOf, type ArcProcess } from '../process/registry'
import { remembered } from '../ask/remembered'
import { ampsNeed, MELTING_C, type Joint } from '../arc/amps'
import { INTERPASS_C } from '../arc/interpass.table'
import { turnDown } from '../heat/turn-down'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'

/** An arc is never eased below this share of what it began with. */
const LEAST_SHARE = 0.4
const LEAST_S = 5

/**
 * What an arc at a current warms the whole of a part by over some minutes, K: its heat over the part's capacity, losses
 * left out.
 */
export const soakedC = (process: ArcProcess, a: number, arcMin: number, massG: number, alloy: Alloy): number =>
  (a * arcOf(process).volts * arcOf(process).enters * arcMin * 60) / ((massG / 1000) * alloy.specificHeatJkgK)

export interface Current {
  startA: number
  easedA: number
  zoneC: number
}

export interface CurrentInput {
  wallMm: number
  joint: Joint
  process: ArcProcess
  startC: number
  arcMin: number
  passes: number
  massG: number
  skinMm2: number
  alloy: Alloy
  zoneWallMm: number
  limitA: number
}

/**
 * Current to start with at the heat the zone is at, and what it is eased to as the zone soaks up the arc's own heat:
 * the power of one puddle goes with melting less start (Rosenthal 1946), marched with what it warms (`heat/turn-down`),
 * over one pass; earlier passes have warmed the whole part up to its interpass limit. The zone is the wall out to where
 * heat gets in the arc's time, √(4αt), no more than the whole part. Accuracy: a quarter.
 */
export function currentFor(input: CurrentInput): Current {
  const { startC, limitA } = input
  const startA = Math.min(ampsNeed(input.wallMm, Math.min(startC, 480), input.process, input.joint).a, limitA)
  const { easedA, zoneC } = passFrom(input, startA, input.passes - 1)
  return { startA, easedA, zoneC }
}

/** The same pass by pass: what each begins with on the part as the ones before left it, and what it is eased to. */
export function currentByPass(input: CurrentInput, startA: number): Current[] {
  return Array.from({ length: input.passes }, (_, n) => passFrom(input, startA, n))
}

/** One pass on a part that those before it have warmed, no further than the next may begin at. */
const passFrom = (input: CurrentInput, startA: number, before: number): Current => marched({ input, startA, before })

interface PassAsk {
  input: CurrentInput
  startA: number
  before: number
}

const marched = remembered(
  2000,
  ({ input, startA, before }: PassAsk): Current => {
    const { alloy, process, startC } = input
    const seconds = (input.arcMin * 60) / input.passes
    if (seconds < LEAST_S || startC >= MELTING_C) return { startA, easedA: startA, zoneC: startC }
    const densityKgM3 = alloy.densityGcm3 * 1000
    const diffusivity = conductivityWmK(alloy) / (densityKgM3 * alloy.specificHeatJkgK)
    const reachM = Math.sqrt(4 * diffusivity * seconds)
    const zoneKg = Math.min(input.massG / 1000, ((densityKgM3 * input.zoneWallMm) / 1000) * Math.PI * reachM ** 2)
    const share = zoneKg / (input.massG / 1000)
    const powerW = startA * arcOf(process).volts * arcOf(process).enters
    const soakedC = startC + (powerW * seconds * before) / ((input.massG / 1000) * alloy.specificHeatJkgK)
    const lastC = Math.min(soakedC, Math.max(startC, INTERPASS_C[alloy.family].mostC))
    const points = turnDown(
      {
        massKg: zoneKg,
        specificHeatJkgK: alloy.specificHeatJkgK,
        areaMm2: input.skinMm2 * share,
        ambientC: Math.min(startC, 20),
        absorbedW: (powerW * (MELTING_C - lastC)) / (MELTING_C - startC),
        filmWm2K: 10,
        emissivity: 0.2,
      },
      lastC,
      MELTING_C,
      seconds,
      Math.max(1, seconds / 4),
    )
    const last = points.at(-1)!
    return {
      startA: startA * ((MELTING_C - lastC) / (MELTING_C - startC)),
      easedA: startA * Math.max(LEAST_SHARE, (MELTING_C - last.partC) / (MELTING_C - startC)),
      zoneC: last.partC,
    }
  },
  ({ input: { alloy, ...figures }, startA, before }) =>
    `${alloy.name} ${Object.values(figures).join()} ${startA} ${before}`,
)
