import { TOO_DEAR_SHARE, LONG_WAIT_WEEKS } from '../call/judge.table'
import type { JudgeVerdict } from '../call/judge'
import type { PartFacts } from '../mend/kind'
import { familyById } from '../metal/families.table'
import { metalHazards } from '../metal/identify/identify'
import { bodyOf } from '../part/bodies'
import { massOf } from '../part/mass'
import { warmFor, type WarmAsk } from '../warm/decide'
import { capOf } from '../warm/heat'
import { fillerFor } from './decide/filler'
import { decideMend, type MendDecided } from './decide/mend-or-not'
import { checksOf } from './decide/checks'
import { orderOf } from './decide/order'
import { isArc } from './decide/process'
import { decisionsOf } from './decisions'
import type { JobGiven } from './job-given'
import type { JobPlanned } from './job-planned'
import { planned } from './planned'
import { readied, startOf, usualArcMin, type Readied } from './readied'
import { runOf } from './run'
import type { Settled } from './settled'
import { lookedAt } from './steps/looked-at'
import { sum } from './sum'
import { heatAlong, warmMassG } from './timeline/heat'
import { layOut } from './timeline/lay-out'
import { keptCap, keptOf, metalLimitC } from './timeline/limits'

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

/** Where a mend lies, and how far it reaches from there. */
const placeOf = ({ given: { atMm }, work }: Readied) =>
  atMm ? { atMm, reachMm: Math.max(0, ...work.laid.map(({ runMm }) => runMm)) / 2 } : null

/**
 * A part and its mends settled as one job: each question decided once, then all that is done laid out in order under its
 * limits, with the heat that runs along it. What is declined costs the looking.
 * Pure; the order of the mends changes no total. @throws NoAnswer where the part has no mass or a mend names a body
 * there is not
 */
export function settle(job: JobGiven): Settled {
  const { kit, part } = job
  const bodies = part.bodies.map(bodyOf)
  const [main] = bodies
  if (!main) throw new Error('a part without a body')
  const mass = massOf(part, main.alloy.densityGcm3, main.wallMm)
  const facts: PartFacts = {
    does: part.does,
    moves: part.moves,
    soak: part.soak,
    hotC: part.hotC,
    mustNotMove: part.mustNotMove,
  }
  const startC = startOf(job)
  const kept = keptOf(part)
  const decideFiller = fillerFor(part, job.fillers)
  const wish = capOf({ wanted: job.warm, school: job.warmSchool, startC })
  const ready = (capC: number) =>
    job.mends.map(mend => readied(mend, job, bodies, facts, mass, decideFiller, capC))
  const metalC = metalLimitC(main.alloy)
  // How far heat has gone out when the arc comes to it follows from how long the arcs are; caps follow from that.
  const first = ready(Math.min(wish, metalC))
  const warmG = warmMassG(main.alloy, main.wallMm, mass.massG, BEFORE_ARC_MIN + sum(first.map(usualArcMin)))
  const heatFrom = () => heatAlong({ alloy: main.alloy, ...mass, warmG, startC })
  const caps = job.mends.flatMap(({ atMm }) => keptCap(kept, atMm, heatFrom()) ?? [])
  const keptC = Math.min(...caps.map(cap => cap.c))
  const mends = keptC < Math.min(wish, metalC) ? ready(keptC) : first
  const limitC = Math.min(metalC, keptC)

  const hazards = metalHazards(
    main.families.map(({ id, probability }) => ({ id, name: familyById(id)?.name ?? id, probability })),
  ).map(one => one.code)
  const stopped = new Map<string, string>()
  for (;;) {
    const able = mends.filter(({ trouble, given }) => !trouble && !stopped.has(given.id))
    const arcs: WarmAsk['arcs'] = able
      .filter(({ lays }) => lays.some(({ lay }) => isArc(lay.process)))
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
      part: { ...mass, protect: part.protect },
      body: main,
      arcs,
      cap: { c: limitC, why: keptC < metalC ? 'kept-on' : 'metal-limit' },
    })
    const hot = able.filter(({ lays }) => lays.length).map(({ given }) => given.id)
    const warm = job.onCells?.(decidedWarm, hot) ?? decidedWarm
    const warmedC = warm.need !== 'none' && warm.reaches ? warm.toC : startC
    const decided = new Map(
      mends.map(one => {
        const cold = one.lays.some(({ lay }) => isArc(lay.process)) && one.process.leastC > warmedC + 1
        const held = stopped.get(one.given.id) ?? (cold ? coldBecause(caps, one) : null)
        return [one.given.id, decideMend(one, job, warmedC, held)] as const
      }),
    )
    const mended = mends.filter(({ given }) => {
      const found = decided.get(given.id)
      return found !== undefined && isMended(found)
    })
    const decision = partDecision([...decided.values()])
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
    const checks = checksOf(job, mended)
    const settled = { job, bodies, mass, mends, decided, warm, order, checks, hazards }
    if (!mended.length || decision === 'refer') {
      const took = decision === 'refer' ? decision : 'decline'
      return { ...settled, checks: [], steps: lookedAt(settled), decision: took, turnedBy: null }
    }
    const inOrder = order.flatMap(({ id }) => mended.find(({ given }) => given.id === id) ?? [])
    const laidOut = layOut({
      job,
      mass,
      mends: inOrder,
      refused: mends.filter(one => !mended.includes(one)),
      order,
      warm,
      warmLimitC: Math.max(limitC, warm.toC),
      heat: heatFrom(),
      kept,
      hazards,
      checks,
    })
    if (laidOut.stopped.size) {
      for (const [id, code] of laidOut.stopped) stopped.set(id, code)
      continue
    }
    const price = sum(laidOut.steps.map(step => step.price))
    const dear = tooDear(job, price)
    if (dear) return { ...settled, checks: [], steps: lookedAt(settled), decision: 'decline', turnedBy: dear }
    return { ...settled, steps: laidOut.steps, decision, turnedBy: null }
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

/** A part and its mends worked out as one job: decisions, steps, and what they come to. */
export function planWhole(job: JobGiven): JobPlanned {
  const settled = settle(job)
  return planned(settled, decisionsOf(settled))
}

