import { NoAnswer } from '../../ask/question'
import type { Alloy } from '../../metal/alloys.table'
import { ALLOYS } from '../../metal/alloys.table'
import { compareBoss, GOOD_FACTOR, tensileMPa, type Rebuild } from '../../thread/boss'
import { shearAreaMm2PerMm } from '../../thread/strength'
import type { Thread } from '../../thread/thread'
import type { Soak } from '../../call/process.table'
import { RULED_OUT, WAYS, type State, type Way } from './states.table'

/** A boss is so many threads wide where nobody measured it: common practice, no source. */
const USUAL_BOSS_THREADS = 2.5
const SHEAR_SHARE = 1 / Math.sqrt(3)
const BOLT_UTS_MPA = 800
/** A thread is cast round a screw no deeper than this many times its width. Common practice, no source. */
const MOUTH_THREADS = 1.5
/** The least wall round a slug, as a share of it: below it the boss only spreads. Judgement. */
export const LEAST_SLUG_WALL = 0.08
/** Minutes and heat weighed against one another: a way that is good and asks less comes first. */
const ASKS: Readonly<Record<Way, number>> = {
  'longer-bolt': 4,
  'wire-insert': 15,
  'solid-insert': 20,
  'cast-on-screw': 25,
  'weld-and-tap': 70,
  'pressed-slug': 75,
  'new-boss': 100,
}

/** One way as it is compared with the others; `why` is the code of what rules it out. */
export interface WayRow extends Pick<Rebuild, 'stripN' | 'factor' | 'minutes' | 'heat' | 'wallLeftMm' | 'reasons'> {
  way: Way
  why: string | null
}

/** The ways of giving a thread back, the one taken first, and the load that they must hold. */
export interface WaysCompared {
  loadN: number
  /** Whether its torque gave the load; else a share of what breaks the bolt did. */ fromTorque: boolean
  ranked: WayRow[]
}

export interface WayChoice {
  way: Way | null
  factor: number
  ruledOut: { way: Way; why: string }[]
  compared: WaysCompared | null
}

export const bossOf = (thread: Thread, bossMm: number | undefined): number =>
  bossMm ?? USUAL_BOSS_THREADS * thread.majorMm

/**
 * Ways that states, oil and walls leave, best first, each with the load it holds over the load it must; sound thread
 * below counts in all that keep it.
 */
export function judgeWays(input: {
  thread: Thread
  deepMm: number
  bossMm: number
  torqueNm?: number | undefined
  soundMm: number
  damagedMm: number
  /** Across a slug that was said. */ slugMm?: number | undefined
  states: readonly State[]
  soak: Soak
  body: Alloy
  filler: Alloy
  wanted?: Way | undefined
}): WayChoice {
  const { thread, deepMm, bossMm, states, body } = input
  const slug = ALLOYS.find(alloy => alloy.name === '6061')!
  const { ranked, loadN } = compareBoss({
    thread,
    boltUtsMPa: BOLT_UTS_MPA,
    torqueNm: input.torqueNm,
    depthMm: deepMm,
    bossMm: Math.max(bossMm, thread.majorMm * 1.2),
    body,
    filler: input.filler,
    slug,
  })
  const soundN = shearAreaMm2PerMm(thread).body * Math.min(input.soundMm, deepMm) * tensileMPa(body) * SHEAR_SHARE
  const rows = new Map<Way, WayRow>(
    ranked.map(({ method, stripN, possible, minutes, heat, wallLeftMm, reasons }) => {
      const holdsN = stripN + (method === 'cast-on-screw' ? soundN : 0)
      const cast = method === 'cast-on-screw'
      const why = cast
        ? input.damagedMm <= MOUTH_THREADS * thread.majorMm
          ? null
          : 'mouth-only'
        : possible
          ? null
          : 'wall-too-thin'
      return [method, { way: method, stripN: holdsN, factor: holdsN / loadN, why, minutes, heat, wallLeftMm, reasons }]
    }),
  )
  // A slug that was said must leave a wall to hold it.
  const pressed = rows.get('pressed-slug')
  if (
    pressed &&
    input.slugMm !== undefined &&
    !pressed.why &&
    (bossMm - input.slugMm) / 2 < LEAST_SLUG_WALL * input.slugMm
  )
    rows.set('pressed-slug', { ...pressed, wallLeftMm: (bossMm - input.slugMm) / 2, why: 'wall-too-thin' })
  rows.set('longer-bolt', {
    way: 'longer-bolt',
    stripN: soundN,
    factor: soundN / loadN,
    why: soundN / loadN >= GOOD_FACTOR ? null : 'too-little-left',
    minutes: ASKS['longer-bolt'],
    heat: 'none',
    wallLeftMm: (bossMm - thread.majorMm) / 2,
    reasons: ['the sound thread that is left holds it'],
  })
  const ruledOut: { way: Way; why: string }[] = []
  const possible: WayRow[] = []
  const barred: WayRow[] = []
  for (const way of Object.keys(WAYS) as Way[]) {
    const row = rows.get(way)
    // Oil in the pores lets an insert in a boss that lost one go again.
    const oily =
      input.soak === 'oil-soaked' && states.includes('failed-insert') && way === 'solid-insert'
        ? 'oil-in-boss'
        : undefined
    const why = states.map(state => RULED_OUT[state][way]).find(Boolean) ?? oily ?? (row ? row.why : 'no-such-insert')
    if (why) ruledOut.push({ way, why })
    if (row && why) barred.push({ ...row, why })
    else if (row) possible.push(row)
  }
  const rank = ({ way, factor }: WayRow) => (factor >= GOOD_FACTOR ? ASKS[way] : 1000 - factor)
  possible.sort((p, q) => rank(p) - rank(q))
  const chosen = possible.find(({ way }) => way === input.wanted) ?? (input.wanted ? undefined : possible[0])
  return {
    way: chosen?.way ?? null,
    factor: chosen?.factor ?? 0,
    ruledOut,
    compared: {
      loadN,
      fromTorque: input.torqueNm !== undefined,
      ranked: [...(chosen ? [chosen] : []), ...possible.filter(row => row !== chosen), ...barred],
    },
  }
}

/**
 * @throws NoAnswer never: a boss narrower than its thread is taken as just wide enough, and its ways fail by their
 * walls
 */
export const safeWays = (input: Parameters<typeof judgeWays>[0]): WayChoice => {
  try {
    return judgeWays(input)
  } catch (error) {
    if (error instanceof NoAnswer) return { way: null, factor: 0, ruledOut: [], compared: null }
    throw error
  }
}
