import { strongest } from '../arc/machine-reach'
import { dutyAt, elapsedMin } from '../arc/duty'
import { gasUse } from '../arc/gas'
import { PREHEAT_C, ROOM_C } from '../arc/least-preheat'
import { postflowS } from '../arc/setup'
import { judge, type JudgeVerdict } from '../call/judge'
import { PROCESSES } from '../call/process.table'
import type { Kit } from '../job/job.schema'
import { laysOf, type Lay } from '../lay/lays'
import { meansOf, type Means } from '../lay/means'
import { LAYS_BY } from '../lay/process.table'
import type { Work } from '../mend/kind'
import { boilMinOf } from './boil'
import { BETWEEN_PASSES_MIN, UNCOAT_MIN } from '../mend/minutes.table'
import { findAlloy } from '../metal/find-alloy'
import { checkMin } from './checks.table'
import { currentFor } from '../warm/current'
import { priceOf } from './price'
import { isArc } from './arc-process'
import { brazeTrouble } from './braze-trouble'
import type { JobGiven } from './job-given'
import type { PlannedMend } from './job-planned'
import type { Readied } from './ready'
import { faceOf, longestRun } from './run'
import { sum } from './sum'

const DECLINE_BELOW_PCT = 35
const FLOW_L_MIN = 7

/** The states that a thread or boss of a mend is in. */
const statesOf = ({ state }: Record<string, unknown>): string[] =>
  (Array.isArray(state) ? state : [state]).filter(one => typeof one === 'string')

interface Laid {
  lay: Lay
  means: Means
}

/** A machine's duty is of ten minutes. Source: IEC 60974-1. */
const DUTY_MIN = 10
/** Minutes that a machine rests for its duty beyond the pauses between passes, in which its fan runs on. */
function restsOf(machine: Kit['machines'][number], a: number, arcMin: number, passes: number): number {
  const elapsed = elapsedMin(arcMin, dutyAt(machine.ratedA, machine.ratedPct, Math.max(1, a), DUTY_MIN))
  return Math.max(0, elapsed - arcMin - Math.max(0, passes - 1) * BETWEEN_PASSES_MIN)
}

/** One mend worked out: `startC` is what the part was warmed to, `foundC` what the mends before it have left it at. */
export function planOne(
  one: Readied,
  job: JobGiven,
  mass: { massG: number; skinMm2: number },
  startC: number,
  foundC: number,
): PlannedMend {
  const {
    given,
    work,
    bodies: [body, second],
    process,
    filler,
  } = one
  const { kit, part } = job
  const arcs = one.wanted.some(lay => isArc(lay.process))
  const lays = one.reason
    ? []
    : laysOf(
        work.laid,
        one.wanted,
        part.soak,
        given.order,
        one.wanted[0] !== undefined && LAYS_BY[one.wanted[0].process] === 'rod',
      )
  const laid: Laid[] = lays.map(lay => ({
    lay,
    means: meansOf(lay, findAlloy(lay.filler ?? filler) ?? findAlloy('4043')!, work.wallMm, startC, work.rodMm),
  }))
  const boilMin = boilMinOf(lays, part.soak)
  const passes = sum(laid.map(({ means }) => means.passes))
  const arcMin = sum(laid.map(({ means }) => means.arcMin)) + boilMin
  const arcProcess = one.wanted.map(lay => lay.process).find(isArc)
  const current =
    arcProcess && laid.length
      ? currentFor({
          wallMm: work.wallMm,
          joint: work.joint,
          process: arcProcess,
          startC: foundC,
          arcMin,
          passes: Math.max(1, passes),
          ...mass,
          alloy: body.alloy,
          zoneWallMm: Math.min(body.wallMm, second?.wallMm ?? body.wallMm),
          limitA: one.limitA || Infinity,
        })
      : null
  const machine = arcProcess ? strongest(kit.machines, arcProcess) : null
  const restMin = machine && current ? restsOf(machine, (current.startA + current.easedA) / 2, arcMin, passes) : 0
  const rods = laid
    .filter(({ means }) => means.rods > 0)
    .reduce(
      (found, { lay, means }) => found.set(lay.filler!, (found.get(lay.filler!) ?? 0) + means.rods),
      new Map<string, number>(),
    )
  const wholeRods = [...rods].map(([name, count]) => ({ filler: name, rods: Math.ceil(count - 1e-9) }))
  const wireM = sum(laid.map(({ means }) => means.wireM))
  const gasL =
    arcs && laid.length
      ? gasUse({
          flowLMin: FLOW_L_MIN,
          arcMin,
          postflowS: postflowS(Math.max(1, current?.startA ?? 0)),
          starts: passes,
        }).litres
      : 0
  const flameMin = sum(laid.map(({ means }) => means.flameMin))
  const coat =
    part.coating && part.coating !== 'none' && part.coating !== 'bare' && !given.opened && laid.length > 0
      ? [{ code: 'uncoat', handMin: UNCOAT_MIN }]
      : []
  const opening: Work[] = [...coat, ...work.opening]
  const handMin =
    sum([...opening, ...work.rebuild].map(step => step.handMin)) +
    passes * BETWEEN_PASSES_MIN +
    flameMin +
    sum(work.checks.map(check => checkMin(check)))
  const machineMin = sum([...opening, ...work.rebuild].map(step => step.machineMin ?? 0))
  const brazes =
    laid.map(({ lay }) => brazeTrouble(lay.process, kit, body, mass, part.hotC, given.kind === 'edge')).find(Boolean) ??
    null
  const trouble = work.refused ?? one.reason ?? brazes ?? (arcs && one.leastC > startC + 1 ? 'does-not-melt-in' : null)
  const judged = judge({
    families: [...body.families],
    soak: part.soak,
    earlierRepair: part.earlierRepair,
    load: part.does,
    safetyCritical: part.safetyCritical,
    wallMm: Math.max(0.5, work.wallMm),
    newPrice: part.newPrice,
    process: (laid.length && process) || undefined,
    warmed: startC >= PREHEAT_C ? 'preheat' : startC > ROOM_C ? 'chill' : 'none',
    state: statesOf(given.values),
    record: kit.learnt?.odds ?? undefined,
  })
  const points = sum(work.risks.map(risk => risk.points))
  const chancePct = trouble ? 2 : Math.min(98, Math.max(2, judged.chancePct + points))
  const decision: JudgeVerdict =
    judged.verdict === 'refer'
      ? 'refer'
      : trouble || judged.verdict === 'decline' || chancePct < DECLINE_BELOW_PCT
        ? 'decline'
        : judged.verdict
  const price = priceOf(kit, {
    handMin,
    arcMin,
    machineMin,
    rods: wholeRods,
    wire: { filler, wireM },
    gasL,
    a: current?.startA ?? 0,
  })
  return {
    id: given.id,
    kind: given.kind,
    decision,
    chancePct,
    because: trouble ? [trouble] : [...work.risks.filter(risk => risk.points < 0).map(risk => risk.code)],
    process: laid.length ? process : null,
    filler: laid.length ? filler : null,
    way: work.way,
    ruledOut: [...(work.ruledOut ?? [])],
    ways: work.ways ?? null,
    lays: laid.map(({ lay, means }) => ({
      process: lay.process,
      filler: lay.filler,
      side: lay.side,
      passes: means.passes,
    })),
    run: longestRun(work),
    passes: sum(laid.filter(({ lay }) => !lay.boilOut).map(({ means }) => means.passes)),
    depositG: sum(laid.map(({ means }) => means.massG)),
    volumeMm3: sum(work.laid.map(one => one.volumeMm3)),
    faceMm2: faceOf(work),
    rods: sum(wholeRods.map(entry => entry.rods)),
    wireM,
    wallMm: work.wallMm,
    joint: work.joint,
    foundC,
    startA: current?.startA ?? null,
    easedA: current?.easedA ?? null,
    arcMin,
    restMin,
    handMin,
    machineMin,
    gasL,
    opening,
    rebuild: [...work.rebuild],
    checks: [...work.checks],
    cautions: [
      ...new Set([
        ...(laid.length
          ? arcs
            ? ['earth-before-arc', 'ozone-uv', 'chlorinated-solvent', 'hot-no-glow']
            : ['torch-fire', 'hot-no-glow']
          : []),
        ...(work.removedMm3 > 0 ? ['aluminium-dust', 'rotating-tools'] : []),
        ...(machineMin > 0 ? ['rotating-tools'] : []),
        ...(process && laid.length && PROCESSES[process].flux ? ['welding-flux'] : []),
        ...work.cautions,
      ]),
    ],
    price,
  }
}
