import { NoAnswer } from '../../ask/question'
import type { Alloy } from '../../metal/alloys.table'
import { ALLOYS } from '../../metal/alloys.table'
import { compareBoss, GOOD_FACTOR, tensileMPa } from '../../thread/boss'
import { shearAreaMm2PerMm } from '../../thread/strength'
import type { Thread } from '../../thread/thread'
import type { Soak } from '../../call/process.table'
import { RULED_OUT, WAYS, type State, type Way } from './states.table'

/** A boss is so many threads wide where nobody measured it: common practice, no source. */
const USUAL_BOSS_THREADS = 2.5
const SHEAR_SHARE = 1 / Math.sqrt(3)
const BOLT_UTS_MPA = 800
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

export interface WayChoice {
  way: Way | null
  factor: number
  possible: { way: Way; factor: number }[]
  ruledOut: { way: Way; why: string }[]
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
  const rows = new Map<Way, { factor: number; why: string | null }>(
    ranked.map(row => [
      row.method,
      {
        factor: (row.stripN + (row.method === 'cast-on-screw' ? soundN : 0)) / loadN,
        why: row.possible ? null : 'wall-too-thin',
      },
    ]),
  )
  rows.set('longer-bolt', { factor: soundN / loadN, why: soundN / loadN >= GOOD_FACTOR ? null : 'too-little-left' })
  const ruledOut: { way: Way; why: string }[] = []
  const possible: { way: Way; factor: number }[] = []
  for (const way of Object.keys(WAYS) as Way[]) {
    const row = rows.get(way)
    // Oil in the pores lets an insert in a boss that lost one go again.
    const oily =
      input.soak === 'oil-soaked' && states.includes('failed-insert') && way === 'solid-insert'
        ? 'oil-in-boss'
        : undefined
    const why = states.map(state => RULED_OUT[state][way]).find(Boolean) ?? oily ?? (row ? row.why : 'no-such-insert')
    if (why) ruledOut.push({ way, why })
    else possible.push({ way, factor: row!.factor })
  }
  const rank = ({ way, factor }: { way: Way; factor: number }) => (factor >= GOOD_FACTOR ? ASKS[way] : 1000 - factor)
  possible.sort((p, q) => rank(p) - rank(q))
  const chosen = possible.find(({ way }) => way === input.wanted) ?? (input.wanted ? undefined : possible[0])
  return { way: chosen?.way ?? null, factor: chosen?.factor ?? 0, possible, ruledOut }
}

/**
 * @throws NoAnswer never: a boss narrower than its thread is taken as just wide enough, and its ways fail by their
 * walls
 */
export const safeWays = (input: Parameters<typeof judgeWays>[0]): WayChoice => {
  try {
    return judgeWays(input)
  } catch (error) {
    if (error instanceof NoAnswer) return { way: null, factor: 0, possible: [], ruledOut: [] }
    throw error
  }
}
