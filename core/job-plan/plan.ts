import { INTERPASS_C } from '../arc/interpass.table'
import { ROOM_C } from '../arc/least-preheat'
import type { Step } from '../ask/question'
import type { JudgeVerdict } from '../call/judge'
import type { PartFacts } from '../mend/kind'
import { BAKE_MIN, BRAZE_SET_UP_MIN, MILL_SET_UP_MIN, WELD_SET_UP_MIN } from '../mend/minutes.table'
import { kindOf } from '../mend/registry'
import { familyById } from '../metal/families.table'
import { metalHazards } from '../metal/identify/identify'
import { PROTECTS } from '../job/words.table'
import { bodyOf, type Body } from '../part/bodies'
import { massOf } from '../part/mass'
import { warmFor } from '../warm/decide'
import { checkMin, partChecks } from './checks.table'
import { soakedC } from '../warm/current'
import { coolMinOf } from './cool'
import { firstOf } from './first'
import { orderOf } from './order'
import { priceOf } from './price'
import { isArc } from './arc-process'
import { bestFillerFor } from './best-filler'
import type { JobGiven } from './job-given'
import type { JobPlanned, PlannedMend } from './job-planned'
import { planOne } from './plan-one'
import { ready } from './ready'
import { runOf } from './run'
import { sum } from './sum'

const WORST: readonly JudgeVerdict[] = ['repair', 'repair-with-limits', 'refer', 'decline']
const worse = (a: JudgeVerdict, b: JudgeVerdict) => (WORST.indexOf(a) >= WORST.indexOf(b) ? a : b)
const SEATS = ['locating-diameter', 'gasket-face', 'seat']

const interpassC = (body: Body) => INTERPASS_C[body.alloy.family].mostC
/** What a mend's arc warms the whole part by, K. */
const soaksUpC = ({ process, startA, easedA, arcMin }: PlannedMend, massG: number, body: Body): number =>
  process && isArc(process) && startA !== null ? soakedC(process, (startA + easedA!) / 2, arcMin, massG, body.alloy) : 0

/**
 * A part and its mends worked out as one job: each mend by its kind, what the machine and torch there are can do, what
 * is shared done once.
 * Pure; the order of the mends changes no total. @throws NoAnswer where the part has no mass or a mend names a body
 * there is not
 */
export function planWhole(job: JobGiven): JobPlanned {
  const { kit, part } = job
  const bodies = part.bodies.map(bodyOf)
  const [main] = bodies as [Body, ...Body[]]
  const mass = massOf(part, main.alloy.densityGcm3, main.wallMm)
  const facts: PartFacts = {
    does: part.does,
    moves: part.moves,
    soak: part.soak,
    mustNotMove: part.mustNotMove,
    seat: part.mustNotMove.some(id => SEATS.includes(id)),
  }
  const bestFiller = bestFillerFor(part, job.fillers)
  const readied = job.mends.map(mend => ready(mend, job, bodies, facts, mass, bestFiller))
  const warm = warmFor({
    wanted: job.warm,
    school: job.warmSchool,
    startC: job.startC,
    torches: kit.torches,
    part: { ...mass, protect: part.protect },
    body: main,
    arcs: readied
      .filter(one => one.process && isArc(one.process) && !one.reason)
      .map(one => ({
        leastC: one.leastC,
        easyC: one.easyC,
        wallMm: one.work.wallMm,
        soak: part.soak,
        runMm: runOf(one.work),
      })),
  })
  const startC = warm.need !== 'none' && warm.reaches ? warm.toC : (job.startC ?? ROOM_C)
  // Each mend finds the part as warm as those before it have left it.
  const cold = readied.map(one => planOne(one, job, mass, startC, startC))
  const order = orderOf(
    cold.map((mend, n) => ({
      id: mend.id,
      kind: mend.kind,
      arcMin: mend.arcMin,
      machined: mend.machineMin > 0,
      laid: readied[n]!.work.laid.length > 0,
    })),
  )
  let partC = startC
  const warmed = new Map<string, PlannedMend>()
  for (const { id } of order) {
    const n = cold.findIndex(mend => mend.id === id)
    const planned = partC > startC ? planOne(readied[n]!, job, mass, startC, partC) : cold[n]!
    warmed.set(id, planned)
    partC = Math.min(Math.max(startC, interpassC(main)), partC + soaksUpC(planned, mass.massG, main))
  }
  const mends = cold.map(mend => warmed.get(mend.id)!)
  const checks = partChecks(part)
  const welded = mends.filter(mend => mend.lays.length)
  const milled = readied.some(one => [...one.work.opening, ...one.work.rebuild].some(work => work.mill))
  const flame = welded.some(mend => mend.process && !isArc(mend.process))
  const shared = [
    ...firstOf(part),
    ...(welded.some(mend => mend.process && isArc(mend.process))
      ? [{ code: 'weld-set-up', minutes: WELD_SET_UP_MIN }]
      : []),
    ...(flame ? [{ code: 'braze-set-up', minutes: BRAZE_SET_UP_MIN }] : []),
    ...(warm.need !== 'none' && warm.reaches ? [{ code: 'warm', minutes: warm.minutes }] : []),
    ...(milled ? [{ code: 'mill-set-up', minutes: MILL_SET_UP_MIN }] : []),
    ...checks.map(check => ({ code: `check-${check}`, minutes: checkMin(check) })),
  ]
  const waitMin =
    sum(mends.map(mend => mend.restMin)) +
    (part.soak === 'oil-soaked' && welded.length ? BAKE_MIN : 0) +
    (welded.length ? coolMinOf(mass.massG, flame) : 0)
  const sharedMin = sum(shared.map(entry => entry.minutes))
  const [arcMin, handMin, machineMin] = [
    sum(mends.map(mend => mend.arcMin)),
    sum(mends.map(mend => mend.handMin)) + sharedMin,
    sum(mends.map(mend => mend.machineMin)),
  ]
  const price =
    sum(mends.map(mend => mend.price)) +
    priceOf(kit, { handMin: sharedMin, arcMin: 0, machineMin: 0, rods: [], wire: null, gasL: 0, a: 0 })
  const hazards = metalHazards(
    main.families.map(({ id, probability }) => ({ id, name: familyById(id)!.name, probability })),
  ).map(one => one.code)
  const cautions = [
    ...new Set([
      ...hazards,
      ...(part.safetyCritical === 'none' ? [] : [`safety-${part.safetyCritical}`]),
      ...part.protect.flatMap(id => {
        const row = PROTECTS[id as keyof typeof PROTECTS]
        return row && 'caution' in row ? [row.caution] : []
      }),
      ...(part.earlierRepair === 'epoxy' ? ['old-epoxy'] : []),
      ...(part.coating && part.coating !== 'none' && part.coating !== 'bare' ? ['coating-fume'] : []),
      ...(part.does === 'seal' ? ['pressure-test'] : []),
      ...(warm.need !== 'none' ? ['torch-fire', 'hot-no-glow'] : []),
      ...mends.flatMap(mend => mend.cautions),
    ]),
  ]
  return {
    decision: mends.reduce<JudgeVerdict>((found, mend) => worse(found, mend.decision), 'repair'),
    chancePct: Math.min(...mends.map(mend => mend.chancePct)),
    part: mass,
    warm,
    mends,
    order,
    checks,
    totals: {
      arcMin,
      handMin,
      machineMin,
      waitMin,
      elapsedMin: arcMin + handMin + machineMin + waitMin,
      gasL: sum(mends.map(mend => mend.gasL)),
      rods: sum(mends.map(mend => mend.rods)),
      wireM: sum(mends.map(mend => mend.wireM)),
      price,
      ofNewPct: part.newPrice ? (price / part.newPrice) * 100 : null,
      shared,
    },
    cautions,
    working: [
      {
        label: 'Weighs',
        formula:
          mass.from === 'shape'
            ? 'cells of its shape × density'
            : mass.from === 'sizes'
              ? 'from its sizes and wall × density'
              : 'as weighed',
        value: mass.massG,
        unit: 'g',
        source: 'plane geometry; ASM Handbook vol. 2, from memory',
      },
      ...mends.map((mend): Step => ({
        label: `${mend.id}: ${kindOf(mend.kind).name}`,
        formula: 'metal by its own closed form; deposit and hand by common practice',
        value: mend.depositG,
        unit: 'g',
        source: 'plane geometry; common practice',
      })),
      {
        label: 'Shared, once',
        formula: shared.map(entry => entry.code).join(', '),
        value: sharedMin,
        unit: 'min',
        source: 'common practice, no source',
      },
      { label: 'Price', formula: 'mends + what is shared', value: price, unit: '', source: "the kit's rates" },
    ],
  }
}
