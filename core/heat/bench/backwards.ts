import { NoAnswer } from '../../ask/question'
import { findAlloy } from '../../metal/find-alloy'
import type { CutPart } from '../simulate'
import { askedOf } from './asked'
import { CHANGES, type ChangeId } from './changes'
import { quickRun } from './quick'
import { mm } from '../../quantity/stored'
import type { HeatSetup } from './setup.schema'
import type { Surroundings } from './to-simulate'
import { heatVerdict, type HeatVerdict } from './verdict'
import { zoneProbes } from './zone'

/** Longest one stands there with a torch, s: judgement. */
const LONGEST_S = 30 * 60
/** How long heat goes on spreading into the guards after the torch is off, s: judgement. */
const SOAK_S = 240
/** It is ready when it stays warm for this long without the flame: a flash under it is no preheat. Judgement. */
const STAYS_S = 60
/** How much longer it is heated, try by try, until it stays warm. */
const LONGER = 1.5
/** The spot under the flame stays this far below melting, K: judgement, since the flame wanders. */
const MELT_MARGIN_K = 40
/** A way that never gets warm counts as this much further off than one that does and breaks a limit, K. */
const COLD_K = 1000
/** Powers and rings that are tried. */
const SHARES_PCT = [100, 70, 50, 35]
const RINGS_MM = [20, 35, 55]

export interface HeatWay {
  setup: HeatSetup
  /** In the bench's words: what is done, where, how hard. */
  words: string
  /** How long it is heated, s; it then stays warm for a minute at least. */
  readyS: number
  verdict: HeatVerdict
  hottestC: number
}
export interface Backwards {
  best: HeatWay | null
  /** What stands in the way, and what would make it possible. */
  reason: string | null
  wouldHelp: { words: string; way: HeatWay }[]
  tried: number
}

const second = (seconds: number) => ({ typed: `${Math.round(seconds)} s`, value: Math.round(seconds) })
const percent = (value: number) => ({ typed: `${value} %`, value })

/** The places and ways of heating that are tried, gentlest on the surroundings last. */
function candidates(setup: HeatSetup): { setup: HeatSetup; words: string }[] {
  const zone = setup.places.find(place => place.kind === 'weld-zone')
  if (!zone) throw new NoAnswer('say where the weld zone is: without it there is nothing to heat towards')
  const at = zone.at
  const guards = setup.places.filter(
    place => place.kind !== 'weld-zone' && place.at.x.value !== null && place.at.y.value !== null,
  )
  // Away from the nearest guard, along the surface seen from above.
  const [zx, zy] = [at.x.value ?? 0, at.y.value ?? 0]
  const nearest = guards.toSorted(
    (a, b) => Math.hypot(a.at.x.value! - zx, a.at.y.value! - zy) - Math.hypot(b.at.x.value! - zx, b.at.y.value! - zy),
  )[0]
  const away = nearest ? [zx - nearest.at.x.value!, zy - nearest.at.y.value!] : [0, 0]
  const length = Math.hypot(away[0]!, away[1]!)
  const heat = { ...setup.heat, at, face: setup.heat.face }
  const found: { setup: HeatSetup; words: string }[] = []
  for (const share of SHARES_PCT) {
    const flame = share === 100 ? 'full flame' : `flame turned down to ${share} %`
    const add = (change: Partial<HeatSetup['heat']>, words: string) =>
      found.push({
        setup: { ...setup, heat: { ...heat, sharePct: percent(share), ...change } },
        words: `${words}, ${flame}`,
      })
    add({ kind: 'held' }, 'torch held on the weld zone')
    for (const ring of RINGS_MM)
      add({ kind: 'walked', ringMm: mm(ring) }, `torch walked round the weld zone on a ring of ${ring} mm`)
    if (length > 1) {
      for (const step of [15, 30])
        add(
          {
            kind: 'held',
            at: { ...at, x: mm(zx + (away[0]! / length) * step), y: mm(zy + (away[1]! / length) * step) },
          },
          `torch held ${step} mm past the weld zone, on the side away from the ${nearest!.name || 'guard'}`,
        )
    }
  }
  return found
}

/** What stands against a way of heating, by how much, and in a few words. */
type Tried = { way: HeatWay | null; excessK: number; short: string }

/**
 * Runs one way of heating until the zone is ready and stays warm, then with the heat off, and says what stands against
 * it.
 */
function attempt(given: HeatSetup, words: string, around: Surroundings, part: CutPart, solidusC: number): Tried {
  const refused = (excessK: number, short: string): Tried => ({ way: null, excessK, short })
  const longest = { ...given, onS: second(LONGEST_S), afterS: second(0) }
  const asked = (setup: HeatSetup, readings?: number) => askedOf(setup, around, part, readings)
  const warm = (probes: readonly (readonly number[])[]) =>
    zoneProbes(given, probes.length).every(n => (probes[n]!.at(-1) ?? -Infinity) >= around.targetC)
  try {
    const run = quickRun(asked(longest, 901), part, warm)
    const { readyS, zoneC } = heatVerdict(longest, run, around.targetC, around.ambientC, LONGEST_S)
    if (readyS === null)
      return refused(
        COLD_K + around.targetC - (zoneC ?? around.startC),
        `the weld zone gets no further than ${Math.round(zoneC ?? around.startC)} °C in half an hour`,
      )
    for (let onS = Math.max(5, readyS); onS <= LONGEST_S; onS *= LONGER) {
      const setup = { ...given, onS: second(onS), afterS: second(SOAK_S) }
      const soak = quickRun(asked(setup), part)
      const verdict = heatVerdict(setup, soak, around.targetC, around.ambientC, onS)
      const worst = verdict.guards.toSorted((a, b) => b.hottestC - b.limitC - (a.hottestC - a.limitC))[0]
      const melting = soak.peakC - (solidusC - MELT_MARGIN_K)
      if (melting > 0)
        return refused(melting, `under the flame it comes to ${Math.round(soak.peakC)} °C, too near melting`)
      if (worst && worst.hottestC > worst.limitC)
        return refused(worst.hottestC - worst.limitC, `the ${worst.name} comes to ${Math.round(worst.hottestC)} °C`)
      if ((verdict.warmForS ?? 0) >= STAYS_S)
        return { way: { setup, words, readyS: onS, verdict, hottestC: soak.peakC }, excessK: 0, short: '' }
    }
    return refused(COLD_K, 'it cools again at once when the flame is off')
  } catch (error) {
    if (error instanceof NoAnswer) return refused(Infinity, error.message)
    throw error
  }
}

/**
 * Given target and guards, the quickest way of heating that keeps every guard under its limit and the spot clear of
 * melting; or what stands in the way and which one change would make it possible. Searches held and walked torches at
 * several places, rings and flames, on coarse cells; the best is to be run on the fine ones before it is believed.
 * A generator of the share done.
 * @throws NoAnswer without a weld zone, or where the set-up itself cannot be run
 */
export function* backwards(setup: HeatSetup, around: Surroundings, part: CutPart): Generator<number, Backwards> {
  const solidusC = findAlloy(around.alloy)!.solidusC
  const list = candidates(setup)
  let tried = 0
  const search = function* (
    base: HeatSetup,
    with_: Surroundings,
    ways: typeof list,
  ): Generator<number, { best: HeatWay | null; nearest: Tried | null }> {
    let best: HeatWay | null = null
    let nearest: Tried | null = null
    for (const way of ways) {
      yield Math.min(0.99, tried / (list.length * 2))
      tried += 1
      const result = attempt({ ...way.setup, stand: base.stand, lid: base.lid }, way.words, with_, part, solidusC)
      if (result.way && (!best || result.way.readyS < best.readyS)) best = result.way
      if (!result.way && (!nearest || result.excessK < nearest.excessK)) nearest = result
    }
    return { best, nearest }
  }
  const { best, nearest } = yield* search(setup, around, list)
  if (best) return { best, reason: null, wouldHelp: [], tried }
  const wouldHelp: Backwards['wouldHelp'] = []
  // The gentler half of the ways is enough to see whether a change opens one.
  const fewer = list.filter((_, n) => n % 2 === 0)
  for (const id of (['strips', 'board', 'lid', 'bigger'] as ChangeId[]).filter(change => CHANGES[change].fits(setup))) {
    const made = CHANGES[id].make(setup, around)
    const found = yield* search(made.setup, made.around, fewer)
    if (found.best) wouldHelp.push({ words: CHANGES[id].name, way: found.best })
  }
  const blocking = setup.places.filter(place => place.kind !== 'weld-zone')
  for (const guard of blocking) {
    const without = { ...setup, places: setup.places.filter(place => place.id !== guard.id) }
    const found = yield* search(
      without,
      around,
      fewer.map(way => ({ ...way, setup: { ...way.setup, places: without.places } })),
    )
    if (found.best)
      wouldHelp.push({
        words: `the ${guard.name || guard.kind.replace('-', ' ')} taken out, or kept cool`,
        way: found.best,
      })
  }
  return { best: null, reason: nearest?.short ?? 'nothing that was tried could be run', wouldHelp, tried }
}
