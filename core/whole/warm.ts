import { ampsNeed, type ArcProcess, type Joint } from '../arc/amps'
import { INTERPASS_C } from '../arc/interpass.table'
import { fuelOf, SPOT_MM } from '../flame/fuels.table'
import { preheat, STILL_AIR } from '../heat/lumped'
import { spotRise } from '../heat/spot'
import type { Kit } from '../job/job.schema'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'

type Torch = Kit['torches'][number]

/**
 * Temperatures: the chill taken off, a usual preheat, what a casting is warmed to at most before an arc. Common
 * practice, no source.
 */
export const CHILL_C = 58
export const PREHEAT_C = 110
export const ROOM_C = 20
/**
 * Castings from this wall are warmed, cleaner and truer for it; wrought metal from this one. Common practice, no
 * source.
 */
const CAST_WARM_MM = 6
const WROUGHT_WARM_MM = 10
/** A clean casting thinner than this is not warmed. */
const THIN_CAST_MM = 4
const MELTING_C = 620
/** Longer with a torch in the hand is not sensible, min: judgement. */
const MOST_MIN = 20
/** Protected things that stand no more than the chill taken off. */
const COOL_THINGS = ['fuel', 'electronics', 'lip-seal']
/** An arc reaches a wall at the least of the band it is given. */
const ZONE_TRIES_S = [60, 120, 180, 240, 300, 420, 600, 900]

export interface Warmth {
  need: 'none' | 'chill' | 'preheat'
  toC: number
  minutes: number
  reaches: boolean
  where: 'whole' | 'zone'
  why: string[]
}

/** Highest heat that the metal is taken to before an arc. */
export const mostPreheatC = (alloy: Alloy): number => Math.max(PREHEAT_C, INTERPASS_C[alloy.family].mostC)

/** The least temperature at which a current melts in on a wall, °C: `amps.need` turned about. */
export function leastPreheatC(wallMm: number, maxA: number, process: ArcProcess, joint: Joint): number {
  const { lowA } = ampsNeed(wallMm, ROOM_C, process, joint)
  return lowA <= maxA ? ROOM_C : MELTING_C - ((MELTING_C - ROOM_C) * maxA) / lowA
}

/**
 * How long this torch takes to bring the whole part, or where it never does the zone under it, to a temperature; null
 * where it does neither. At an edge the heat has half the plate to go into, so the spot rises twice as far (its image
 * in the edge).
 */
export function torchMinutes(
  torch: Torch,
  part: { massG: number; skinMm2: number },
  alloy: Alloy,
  wallMm: number,
  toC: number,
  atEdge = false,
): { minutes: number; where: 'whole' | 'zone' } | null {
  const absorbedW = (torch.powerW * torch.efficiencyPct) / 100
  const whole = preheat(
    {
      massKg: part.massG / 1000,
      specificHeatJkgK: alloy.specificHeatJkgK,
      areaMm2: part.skinMm2,
      ambientC: ROOM_C,
      absorbedW,
      ...STILL_AIR,
    },
    ROOM_C,
    toC,
  )
  if (whole.reaches && whole.timeS! / 60 <= MOST_MIN) return { minutes: whole.timeS! / 60, where: 'whole' }
  const conductivity = conductivityWmK(alloy)
  const spot = {
    absorbedW,
    sigmaMm: fuelOf(torch.gas).oxygen ? SPOT_MM.oxygen : SPOT_MM.air,
    wallMm,
    conductivityWmK: conductivity,
    diffusivityM2s: conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK),
  }
  const seconds = ZONE_TRIES_S.find(each => ROOM_C + (atEdge ? 2 : 1) * spotRise(spot, each) >= toC)
  if (seconds !== undefined) return { minutes: seconds / 60, where: 'zone' }
  return whole.reaches ? { minutes: whole.timeS! / 60, where: 'whole' } : null
}

export interface WarmAsk {
  wanted: 'auto' | 'none' | { toC: number; torch?: string | undefined }
  torches: readonly Torch[]
  part: { massG: number; skinMm2: number; protect: readonly string[] }
  body: { alloy: Alloy; wallMm: number }
  /** Mends that an arc or a flame lays metal in: the least heat that the machine wants for each, and its wall. */
  arcs: readonly { leastC: number; wallMm: number; soak: string }[]
}

/** Whether to warm the part at all, how far, and how long that takes: by wall, metal, machine, oil and what is near. */
export function warmFor({ wanted, torches, part, body, arcs }: WarmAsk): Warmth {
  const none = (why: string[]): Warmth => ({
    need: 'none',
    toC: ROOM_C,
    minutes: 0,
    reaches: true,
    where: 'whole',
    why,
  })
  if (wanted === 'none') return none(['not-wanted'])
  if (!arcs.length) return none(['nothing-laid'])
  const torch =
    typeof wanted === 'object' && wanted.torch
      ? (torches.find(entry => entry.id === wanted.torch) ?? null)
      : (torches[0] ?? null)
  const wallMm = Math.max(...arcs.map(arc => arc.wallMm))
  const machineC = Math.max(...arcs.map(arc => arc.leastC))
  const cast = body.alloy.form === 'cast'
  const why: string[] = []
  let toC = ROOM_C
  if (typeof wanted === 'object') {
    toC = wanted.toC
    why.push('as-wanted')
  } else {
    const near = part.protect.some(thing => COOL_THINGS.includes(thing))
    if (machineC > ROOM_C) {
      toC = Math.max(PREHEAT_C, Math.ceil(machineC / 10) * 10)
      why.push('small-machine')
    } else if (wallMm >= (cast ? CAST_WARM_MM : WROUGHT_WARM_MM)) {
      toC = PREHEAT_C
      why.push('thick-wall')
    } else if (arcs.some(arc => arc.soak === 'oil-soaked')) {
      toC = PREHEAT_C
      why.push('drives-oil-out')
    } else if (cast && (wallMm >= THIN_CAST_MM || arcs.some(arc => arc.soak === 'oily'))) {
      toC = CHILL_C
      why.push('chill-off')
    } else return none([cast ? 'thin-clean' : 'thin-wrought'])
    if (near && machineC <= ROOM_C) {
      toC = Math.min(toC, CHILL_C)
      why.push('kept-cool-near')
    }
    toC = Math.min(toC, Math.max(mostPreheatC(body.alloy), machineC > ROOM_C ? Math.ceil(machineC / 10) * 10 : 0))
  }
  if (toC <= ROOM_C) return none(why)
  const need = toC <= 70 ? 'chill' : 'preheat'
  const found = torch ? torchMinutes(torch, part, body.alloy, wallMm, toC) : null
  return {
    need,
    toC,
    minutes: found?.minutes ?? 0,
    reaches: found !== null,
    where: found?.where ?? 'whole',
    why: torch ? why : [...why, 'no-torch'],
  }
}
