import { mostPreheatC, PREHEAT_C, ROOM_C } from '../arc/least-preheat'
import type { Alloy } from '../metal/alloys.table'
import type { WarmSchool } from './schools.table'
import { torchReach, type Torch } from './torch-reach'
import type { WarmWhy } from './words'

/** The chill taken off, °C: dry and even to the hand. Common practice, no source. */
export const CHILL_C = 58
/** What is called a preheat rather than a chill taken off begins above this, °C. */
const CHILL_TO_C = 70
/** Colder than this, water stands on the metal and its first inch is slow: the chill is taken off whatever it is. */
const COLD_C = 8
/** A casting of this wall holds moisture and drinks the arc: soft heat until it is dry. Common practice, no source. */
const HEAVY_CAST_MM = 6
/** An oily casting is dried whatever its wall; a clean one thinner than this is not warmed. */
const THIN_CAST_MM = 4
/** Wrought metal over this wall is thick, and still wants no heat where the machine melts in. Judgement. */
const WROUGHT_THICK_MM = 9
/** Protected things that stand no more than the chill taken off. */
const COOL_THINGS = ['fuel', 'electronics', 'lip-seal']

export interface Warmth {
  need: 'none' | 'chill' | 'preheat'
  toC: number
  minutes: number
  reaches: boolean
  where: 'whole' | 'zone'
  /** The wall and the run that it was worked out for, mm. */
  wallMm: number
  runMm: number
  why: WarmWhy[]
}

export interface WarmAsk {
  wanted: 'auto' | 'none' | { toC: number; torch?: string | undefined }
  school?: WarmSchool | undefined
  /** What it is at on the bench. */
  startC?: number | undefined
  /** No hotter than this whatever is wanted, °C, and why. */
  cap?: { c: number; why: WarmWhy } | undefined
  torches: readonly (Torch & { id: string })[]
  /** `earlierWeld`: one that failed there before; `flameBarred`: hot air alone may go there. */
  part: {
    massG: number
    skinMm2: number
    protect: readonly string[]
    earlierWeld?: boolean | undefined
    flameBarred?: boolean | undefined
  }
  body: { alloy: Alloy; wallMm: number }
  /** Heats that the mends' own work wants: a fit, pressing something back. */
  heats?: readonly { c: number; why: WarmWhy }[]
  /**
   * Mends that an arc or a flame lays metal in: the least heat that the machine wants for each, the heat at which its
   * usual current is enough, its wall and how long it runs.
   */
  arcs: readonly { leastC: number; easyC?: number; wallMm: number; soak: string; runMm?: number }[]
}

/** The hottest of the reasons that hold, the later one where two ask for the same. */
const hottest = (reasons: readonly (readonly [holds: boolean, toC: number, why: WarmWhy])[]): [number, WarmWhy[]] =>
  reasons.reduce<[number, WarmWhy[]]>(
    (best, [holds, toC, why]) => (holds && toC >= best[0] ? [toC, [why]] : best),
    [-Infinity, []],
  )

/** How far, where nobody has said: by the school, the machine, wall, metal, oil, cold and what is near. */
function wantedHeat({ school = 'decide', startC = ROOM_C, part, body, arcs }: WarmAsk): {
  toC: number
  why: WarmWhy[]
} {
  const wallMm = Math.max(...arcs.map(arc => arc.wallMm))
  const mostC = mostPreheatC(body.alloy)
  const neededC = Math.max(...arcs.map(arc => arc.leastC))
  // Heat that the metal does not bear is no way to help a machine: the rest then decides.
  const beyond = neededC > mostC
  const machineC = beyond ? ROOM_C : neededC
  const easyC = beyond ? ROOM_C : Math.max(machineC, ...arcs.map(arc => arc.easyC ?? ROOM_C))
  const cast = body.alloy.form === 'cast'
  const near = part.protect.some(thing => COOL_THINGS.includes(thing))
  if (school === 'never') return { toC: startC, why: ['school-never'] }
  if (school === 'chill') return { toC: CHILL_C, why: ['school-chill'] }
  if (school === 'always') return { toC: Math.max(PREHEAT_C, machineC), why: ['school-always'] }
  // A machine that does not melt in cold decides alone: less heat would be no weld.
  if (machineC > ROOM_C) return { toC: Math.max(PREHEAT_C, Math.min(mostC, machineC)), why: ['small-machine'] }
  const [toC, why] = hottest([
    [true, startC, cast ? 'thin-clean' : wallMm > WROUGHT_THICK_MM ? 'thick-wrought' : 'thin-wrought'],
    [startC < COLD_C, CHILL_C, 'cold-part'],
    [cast && (wallMm >= THIN_CAST_MM || arcs.some(arc => arc.soak === 'oily')), CHILL_C, 'chill-off'],
    [cast && wallMm >= HEAVY_CAST_MM, CHILL_C, 'thick-wall'],
    [easyC > ROOM_C, Math.min(PREHEAT_C, easyC), 'eases-machine'],
    [arcs.some(arc => arc.soak === 'oil-soaked'), PREHEAT_C, 'drives-oil-out'],
    [cast && part.earlierWeld === true, PREHEAT_C, 'earlier-weld'],
  ])
  const kept = near && toC > CHILL_C
  return {
    toC: Math.min(kept ? CHILL_C : toC, mostC),
    why: [...(beyond ? (['machine-beyond'] as const) : []), ...why, ...(kept ? (['kept-cool-near'] as const) : [])],
  }
}

interface Wish {
  toC: number
  why: WarmWhy[]
}
/** The one heat for the part: what its arcs want, or the hotter one that a fit or a press wants. */
function hottestOf(school: WarmSchool | undefined, arcs: Wish | null, heats: NonNullable<WarmAsk['heats']>): Wish {
  const own = heats.map(({ c, why }): Wish => ({ toC: c, why: [why] }))
  if (arcs && school === 'never') return arcs
  return [...(arcs ? [arcs] : []), ...own].reduce((best, one) => (one.toC > best.toC ? one : best))
}

/**
 * Whether to warm the part at all, how far, and how long that takes: by wall, metal, machine, oil, cold and what is
 * near, unless somebody says a temperature or a school. Schools: common practice, no source. Minutes: `torchReach`.
 */
export function warmFor(ask: WarmAsk): Warmth {
  const { wanted, torches, part, body, arcs, startC = ROOM_C, cap } = ask
  const wallMm = Math.max(body.wallMm, ...arcs.map(arc => arc.wallMm))
  const runMm = Math.max(0, ...arcs.map(arc => arc.runMm ?? 0))
  const none = (why: WarmWhy[]): Warmth => ({
    need: 'none',
    toC: startC,
    minutes: 0,
    reaches: true,
    where: 'whole',
    wallMm,
    runMm,
    why,
  })
  if (wanted === 'none') return none(['not-wanted'])
  const { heats = [] } = ask
  if (typeof wanted !== 'object' && !arcs.length && !heats.length) return none(['nothing-laid'])
  const torch =
    typeof wanted === 'object' && wanted.torch
      ? (torches.find(entry => entry.id === wanted.torch) ?? null)
      : (torches[0] ?? null)
  const wish: Wish =
    typeof wanted === 'object'
      ? { toC: wanted.toC, why: ['as-wanted'] }
      : hottestOf(ask.school, arcs.length ? wantedHeat(ask) : null, heats)
  const capped = cap !== undefined && wish.toC > cap.c
  const toC = capped ? Math.max(startC, cap.c) : wish.toC
  const why = capped ? [...wish.why, cap.why] : wish.why
  if (toC <= startC) return none(why)
  const found = torch ? torchReach(torch, part, body.alloy, wallMm, toC, { startC, runMm }) : null
  return {
    need: toC <= CHILL_TO_C ? 'chill' : 'preheat',
    toC,
    minutes: found?.minutes ?? 0,
    reaches: found !== null,
    where: found?.where ?? 'whole',
    wallMm,
    runMm,
    why: torch ? why : [...why, part.flameBarred ? 'flame-barred' : 'no-torch'],
  }
}
