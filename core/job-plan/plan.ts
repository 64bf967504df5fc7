import { isArc } from '../process/registry'
import { TOO_DEAR_SHARE, LONG_WAIT_WEEKS } from '../call/judge.table'
import type { JudgeVerdict } from '../call/judge'
import { allowedTorches, flameBarred } from '../flame/allowed'
import type { PartFacts } from '../mend/kind'
import { familyById } from '../metal/families.table'
import { metalHazards } from '../metal/identify/identify'
import { bodyOf, type Body } from '../part/bodies'
import { massOf, type PartMass } from '../part/mass'
import { warmFor, type WarmAsk, type Warmth } from '../warm/decide'
import { capOf } from '../warm/heat'
import { fillerFor } from './decide/filler'
import { decideMend, warmedAs, type MendDecided, type Warmed } from './decide/mend-or-not'
import { checksOf } from './decide/checks'
import { orderOf, type Ordered } from './decide/order'
import { decisionsOf } from './decisions'
import type { JobGiven, MendGiven } from './job-given'
import { withNear } from './lines'
import type { JobPlanned } from './job-planned'
import { planned } from './planned'
import { readied, startOf, usualArcMin, type Readied } from './readied'
import { runOf } from './run'
import type { Settled } from './settled'
import { lookedAt } from './steps/looked-at'
import { sum } from './sum'
import { heatAlong, warmMassG } from './timeline/heat'
import { layOut } from './timeline/lay-out'
import { keptCap, keptOf, metalLimitC, type Kept } from './timeline/limits'

const isMended = ({ took }: MendDecided) => took === 'repair' || took === 'repair-with-limits'

/** Minutes that heat has to go out from a place before its arc: warming, and turning to it. Judgement. */
const BEFORE_ARC_MIN = 2

/** The whole of a part that is mended, by what becomes of its mends. */
function partDecision(decided: readonly MendDecided[]): JudgeVerdict {
  if (decided.some(({ took }) => took === 'refer')) return 'refer'
  const mended = decided.filter(isMended)
  if (!mended.length) return 'decline'
  return mended.length < decided.length || mended.some(({ took }) => took === 'repair-with-limits')
    ? 'repair-with-limits'
    : 'repair'
}

/** Whether a mend is brought to a heat of its own before it is laid. */
const isWarmedForFit = ({ opening }: Readied['work']) => opening.some(({ at }) => at !== undefined)
/** Heats that a mend's own work wants. */
const heatsOf = ({ opening, rebuild }: Readied['work']) => [...opening, ...rebuild].flatMap(({ at }) => at ?? [])

/** Where a mend lies, and how far it reaches from there. */
const placeOf = ({ given: { atMm }, work }: Readied) =>
  atMm ? { atMm, reachMm: Math.max(0, ...work.laid.map(({ runMm }) => runMm)) / 2 } : null

/**
 * What does not change while one reading of a mend is moved: each mend as it was made ready, by what it was given, and
 * what was decided of it.
 */
export class Memo {
  readonly ready = new WeakMap<MendGiven, { part: JobGiven['part']; capC: number; found: Readied }>()
  readonly decided = new WeakMap<
    Readied,
    { part: JobGiven['part']; warmed: Warmed; held: string | null; found: MendDecided }
  >()
}

/** Everything that is decided of a job before its steps are laid out. */
export interface Decided {
  job: JobGiven
  bodies: readonly Body[]
  main: Body
  mass: PartMass
  mends: readonly Readied[]
  decided: ReadonlyMap<string, MendDecided>
  decision: JudgeVerdict
  warm: Warmth
  order: readonly Ordered[]
  /** The hottest that the part may be warmed to, what of it is warm with a place, what stays on it. */
  limitC: number
  warmG: number
  kept: readonly Kept[]
}

const factsOf = ({ does, moves, soak, hotC, mustNotMove }: JobGiven['part']): PartFacts => ({
  does,
  moves,
  soak,
  hotC,
  mustNotMove,
})

/**
 * Every question of a job decided once. `stopped` are mends that a limit keeps from being laid.
 * @throws NoAnswer where the part has no mass or a mend names a body there is not
 */
export function decide(job: JobGiven, stopped: ReadonlyMap<string, string>, memo: Memo = new Memo()): Decided {
  const { kit, part } = job
  const bodies = part.bodies.map(bodyOf)
  const [main] = bodies
  if (!main) throw new Error('a part without a body')
  const mass = massOf(part, main.alloy.densityGcm3, main.wallMm)
  const startC = startOf(job)
  const kept = keptOf(part)
  const facts = factsOf(part)
  const decideFiller = fillerFor(part, job.fillers)
  const wish = capOf({ wanted: job.warm, school: job.warmSchool, startC })
  const ready = (capC: number, keptTo?: number) =>
    job.mends.map(mend => {
      const known = memo.ready.get(mend)
      if (known && known.part === part && known.capC === capC) return known.found
      const found = readied(mend, job, bodies, facts, mass, decideFiller, capC, keptTo)
      memo.ready.set(mend, { part, capC, found })
      return found
    })
  const metalC = metalLimitC(main.alloy)
  // How far heat has gone out when the arc comes to it follows from how long the arcs are; caps follow from that.
  const first = ready(Math.min(wish, metalC))
  const warmG = warmMassG(main.alloy, main.wallMm, mass.massG, BEFORE_ARC_MIN + sum(first.map(usualArcMin)))
  const heat = heatAlong({ alloy: main.alloy, ...mass, warmG, startC })
  const caps = job.mends.flatMap(({ atMm }) => keptCap(kept, atMm, heat) ?? [])
  const keptC = Math.min(...caps.map(cap => cap.c))
  const mends = keptC < Math.min(wish, metalC) ? ready(keptC, keptC) : first
  const limitC = Math.min(metalC, keptC)
  const able = mends.filter(({ trouble, given }) => !trouble && !stopped.has(given.id))
  const arcs: WarmAsk['arcs'] = able
    // What is warmed for its fit is welded at that heat.
    .filter(({ lays, work }) => lays.some(({ lay }) => isArc(lay.process)) && !isWarmedForFit(work))
    .map(one => ({
      leastC: one.process.leastC,
      easyC: one.process.easyC,
      wallMm: one.work.wallMm,
      soak: part.soak,
      runMm: runOf(one.work),
    }))
  const decidedWarm = warmFor({
    wanted: job.warm,
    school: job.warmSchool,
    startC: job.startC,
    torches: kit.torches,
    part: {
      ...mass,
      protect: part.protect,
      earlierWeld: part.earlierRepair === 'weld',
      flameBarred: flameBarred(part),
    },
    heats: able.flatMap(({ work }) => heatsOf(work)),
    body: main,
    arcs,
    cap: { c: limitC, why: keptC < metalC ? 'kept-on' : 'metal-limit' },
  })
  const hot = able.filter(({ lays }) => lays.length).map(({ given }) => given.id)
  const warm = job.onCells?.(decidedWarm, hot) ?? decidedWarm
  const warmedC = warm.need !== 'none' && warm.reaches ? warm.toC : startC
  const warmed = warmedAs(warmedC)
  const decided = new Map(
    mends.map(one => {
      const ownC = Math.max(warmedC, ...heatsOf(one.work).map(({ c }) => c))
      const cold = one.lays.some(({ lay }) => isArc(lay.process)) && one.process.leastC > ownC + 1
      const tooHot = ownC > Math.max(keptC, warmedC)
      const held = stopped.get(one.given.id) ?? (cold ? coldBecause(caps, one) : tooHot ? 'kept-on-limit' : null)
      const known = memo.decided.get(one)
      if (known && known.part === part && known.warmed === warmed && known.held === held)
        return [one.given.id, known.found] as const
      const found = decideMend(one, job, warmed, held)
      memo.decided.set(one, { part, warmed, held, found })
      return [one.given.id, found] as const
    }),
  )
  const order = orderOf(
    mends.map(one => ({
      id: one.given.id,
      kind: one.kind,
      bodies: one.bodies.flatMap(body => body?.id ?? []),
      arcMin: usualArcMin(one),
      laid: one.lays.length > 0,
      place: placeOf(one),
      after: one.common.after,
    })),
  )
  return {
    job,
    bodies,
    main,
    mass,
    mends,
    decided,
    decision: partDecision([...decided.values()]),
    warm,
    order,
    limitC,
    warmG,
    kept,
  }
}

/** What the metal of a part can do to whoever cuts or heats it, by code. */
const hazardsOf = ({ families }: Body): string[] =>
  metalHazards(families.map(({ id, probability }) => ({ id, name: familyById(id)?.name ?? id, probability }))).map(
    one => one.code,
  )

/**
 * A part and its mends settled as one job: each question decided once, then all that is done laid in order under its
 * limits, with the heat that runs along it. What is declined costs the looking.
 * Pure; the order of the mends changes no total. @throws NoAnswer as `decide`
 */
export function settle(job: JobGiven, memo: Memo = new Memo()): Settled {
  const stopped = new Map<string, string>()
  for (;;) {
    const found = decide(job, stopped, memo)
    const { mends, decided, decision, order, warm, main, mass } = found
    const hazards = hazardsOf(main)
    const mended = mends.filter(({ given }) => {
      const one = decided.get(given.id)
      return one !== undefined && isMended(one)
    })
    const checks = checksOf(job, mended)
    const settled = { ...found, checks, hazards }
    const looked = (took: JudgeVerdict, turnedBy: Settled['turnedBy']): Settled => ({
      ...settled,
      checks: [],
      steps: lookedAt(settled),
      decision: took,
      turnedBy,
    })
    if (!mended.length || decision === 'refer') return looked(decision === 'refer' ? decision : 'decline', null)
    const inOrder = order.flatMap(({ id }) => mended.find(({ given }) => given.id === id) ?? [])
    const laidOut = layOut({
      job,
      mass,
      mends: inOrder,
      refused: mends.filter(one => !mended.includes(one)),
      order,
      warm,
      warmLimitC: Math.max(found.limitC, warm.toC),
      heat: heatAlong({ alloy: main.alloy, ...mass, warmG: found.warmG, startC: startOf(job) }),
      kept: found.kept,
      hazards,
      checks,
    })
    if (laidOut.stopped.size) {
      for (const [id, code] of laidOut.stopped) stopped.set(id, code)
      continue
    }
    const dear = tooDear(job, sum(laidOut.steps.map(step => step.price)))
    return dear ? looked('decline', dear) : { ...settled, steps: laidOut.steps, turnedBy: null }
  }
}

/** Why an arc that wants more heat than the part may have is not struck. */
function coldBecause(caps: readonly { c: number }[], { process }: Readied): string {
  if (caps.some(cap => cap.c < process.leastC)) return 'kept-on-limit'
  return 'does-not-melt-in'
}

/** A repair too near the price of a new one; null where it is not, or somebody has decided it himself. */
function tooDear({ part: { newPrice, newWeeks = 0 }, doing }: JobGiven, price: number): Settled['turnedBy'] {
  const share = newWeeks >= LONG_WAIT_WEEKS ? 1 : TOO_DEAR_SHARE
  if (doing?.decision === 'mend' || !newPrice || price <= newPrice * share) return null
  return { code: 'too-dear', figures: { price, newPrice } }
}

/** A part and its mends worked out as one job: decisions with the lines near them, steps, and what they come to. */
export function planWhole(given: JobGiven, looksNear = true, memo: Memo = new Memo()): JobPlanned {
  const job = { ...given, kit: { ...given.kit, torches: allowedTorches(given.kit.torches, given.part) } }
  const settled = settle(job, memo)
  const decisions = decisionsOf(settled)
  // Looking for the lines near it takes several times as long as the plan.
  return planned(settled, looksNear ? withNear(decisions, settled, moved => decide(moved, new Map(), memo)) : decisions)
}
