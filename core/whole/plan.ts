import type { Joint } from '../arc/amps'
import type { WaysCompared } from '../mend/thread/ways'
import { mostCurrent, strongest } from '../arc/machine-reach'
import { dutyAt, elapsedMin } from '../arc/duty'
import { gasUse } from '../arc/gas'
import type { ArcProcess } from '../arc/amps'
import { INTERPASS_C } from '../arc/interpass.table'
import { easyPreheatC, leastPreheatC, PREHEAT_C, ROOM_C } from '../arc/least-preheat'
import { postflowS } from '../arc/setup'
import { NoAnswer, type Step } from '../ask/question'
import { BRAZE_RODS } from '../braze/rods.table'
import { planBraze } from '../braze/plan'
import { BRAZE_ROD_OF } from '../call/braze-rod.table'
import { chooseFiller } from '../call/filler'
import { judge, type JudgeVerdict } from '../call/judge'
import type { EARLIER_POINTS, SafetyCritical } from '../call/judge.table'
import { chooseProcess, type KitProcess } from '../call/process'
import { PROCESSES, type ProcessId, type Soak } from '../call/process.table'
import { fuelOf } from '../flame/fuels.table'
import type { Fields } from '../field/field'
import type { Kit } from '../job/job.schema'
import { laysOf, type Lay, type Order, type WantedLay } from '../lay/lays'
import { meansOf, type Means } from '../lay/means'
import { LAYS_BY } from '../lay/process.table'
import type { Goes, KindInput, MendWork, PartFacts, Work } from '../mend/kind'
import {
  BAKE_MIN,
  BETWEEN_PASSES_MIN,
  BOIL_OUT_MIN,
  BRAZE_SET_UP_MIN,
  COOL_MIN,
  COOL_MIN_PER_KG,
  COOL_MOST_MIN,
  DEGREASE_MIN,
  MILL_SET_UP_MIN,
  PROTECT_MIN_EACH,
  TAKE_IN_MIN,
  UNCOAT_MIN,
  WELD_SET_UP_MIN,
} from '../mend/minutes.table'
import { kindOf, type KindId } from '../mend/registry'
import type { Alloy } from '../metal/alloys.table'
import { findAlloy } from '../metal/find-alloy'
import { familyById } from '../metal/families.table'
import { metalHazards } from '../metal/identify/identify'
import { PROTECTS } from '../job/words.table'
import { bodyOf, type Body, type BodyGiven } from '../part/bodies'
import { massOf, type PartSizes } from '../part/mass'
import type { Does, Moves } from '../part/words.table'
import { warmFor, type WarmAsk, type Warmth } from '../warm/decide'
import { capOf, heatOf } from '../warm/heat'
import { MOST_RUN_MM, torchReach } from '../warm/torch-reach'
import { CHECK_MIN, partChecks } from './checks.table'
import { currentFor, soakedC } from '../warm/current'
import { orderOf, type Ordered } from './order'
import { priceOf } from './price'

export interface PartGiven extends PartSizes {
  does: Does
  moves: Moves
  soak: Soak
  earlierRepair: keyof typeof EARLIER_POINTS
  coating?: string | undefined
  cause?: string | undefined
  safetyCritical: SafetyCritical
  hotC: number
  saltWater: boolean
  mustNotMove: readonly string[]
  protect: readonly string[]
  finishAfter?: string | undefined
  newPrice?: number | undefined
  bodies: readonly BodyGiven[]
}
export interface MendGiven {
  id: string
  kind: KindId
  bodies?: readonly string[] | undefined
  opened: boolean
  order: Order
  lays?:
    readonly { process?: ProcessId | undefined; filler?: string | undefined; upTo: WantedLay['upTo'] }[] | undefined
  values: Record<string, unknown>
}
export interface JobGiven {
  kit: Kit
  part: PartGiven
  warm: WarmAsk['wanted']
  /** How it is decided where nothing is wanted, what it is at now, and what else an arc lays on the part. */
  warmSchool?: WarmAsk['school']
  startC?: number | undefined
  alsoArcs?: WarmAsk['arcs']
  mends: readonly MendGiven[]
}

export interface PlannedLay {
  process: ProcessId
  filler: string | null
  side: 1 | 2
  passes: number
}
export interface PlannedMend {
  id: string
  kind: KindId
  decision: JudgeVerdict
  chancePct: number
  because: string[]
  process: ProcessId | null
  filler: string | null
  way: string | null
  ruledOut: { way: string; why: string }[]
  /** Ways of giving a thread back, compared; null where it is no thread. */
  ways: WaysCompared | null
  lays: PlannedLay[]
  /** How its longest run goes about its place, and how long that is; nothing where nothing is laid. */
  run: { goes: Goes | 'straight'; longMm: number } | null
  passes: number
  depositG: number
  /** Metal laid, before any is lost, and the face it leaves. */
  volumeMm3: number
  faceMm2: number
  rods: number
  wireM: number
  /** The wall that the current goes by, in which joint, and how warm the mends before it have left the part. */
  wallMm: number
  joint: Joint
  foundC: number
  startA: number | null
  easedA: number | null
  arcMin: number
  /** What the machine rests for its duty beyond the pauses between passes. */
  restMin: number
  handMin: number
  machineMin: number
  gasL: number
  opening: Work[]
  rebuild: Work[]
  checks: string[]
  cautions: string[]
  price: number
}
export interface JobPlanned {
  decision: JudgeVerdict
  chancePct: number
  part: { massG: number; skinMm2: number; from: string }
  warm: Warmth
  mends: PlannedMend[]
  /** The order they are taken on in, each with its reason. */
  order: Ordered[]
  checks: string[]
  totals: {
    arcMin: number
    handMin: number
    machineMin: number
    waitMin: number
    elapsedMin: number
    gasL: number
    rods: number
    wireM: number
    price: number
    ofNewPct: number | null
    shared: { code: string; minutes: number }[]
  }
  cautions: string[]
  working: Step[]
}

const WORST: readonly JudgeVerdict[] = ['repair', 'repair-with-limits', 'refer', 'decline']
const worse = (a: JudgeVerdict, b: JudgeVerdict) => (WORST.indexOf(a) >= WORST.indexOf(b) ? a : b)
const DECLINE_BELOW_PCT = 35
const FLOW_L_MIN = 7
const isArc = (process: ProcessId): process is ArcProcess => PROCESSES[process].needsAmps
const SEATS = ['locating-diameter', 'gasket-face', 'seat']

interface Readied {
  given: MendGiven
  work: MendWork
  bodies: [Body, Body?]
  process: ProcessId | null
  filler: string
  wanted: WantedLay[]
  reason: string | null
  leastC: number
  easyC: number
  limitA: number
}

/** The longest run laid at one place, mm: a ring or a face is no longer to a flame than it is wide. */
const runOf = (work: MendWork): number => Math.min(MOST_RUN_MM, Math.max(0, ...work.laid.map(one => one.runMm)))
/** The face of all that is laid, mm². */
const faceOf = ({ laid }: MendWork): number => laid.reduce((total, one) => total + one.runMm * one.wideMm, 0)
const longestRun = ({ laid }: MendWork): PlannedMend['run'] => {
  const [longest] = laid.toSorted((a, b) => b.runMm - a.runMm)
  return longest ? { goes: longest.goes ?? 'straight', longMm: longest.runMm } : null
}
const interpassC = (body: Body) => INTERPASS_C[body.alloy.family].mostC
/** What a mend's arc warms the whole part by, K. */
const soaksUpC = ({ process, startA, easedA, arcMin }: PlannedMend, massG: number, body: Body): number =>
  process && isArc(process) && startA !== null ? soakedC(process, (startA + easedA!) / 2, arcMin, massG, body.alloy) : 0

/** The states that a thread or boss of a mend is in. */
const statesOf = ({ state }: Record<string, unknown>): string[] =>
  (Array.isArray(state) ? state : [state]).filter(one => typeof one === 'string')

type BestFiller = (a: Alloy, b: Alloy) => string
const USUAL_DILUTION_PCT = 30

/**
 * The best filler for a pair of metals in this part's service; asked once a pair, since a part has few metals and may
 * have many mends.
 */
function bestFillerFor(part: PartGiven): BestFiller {
  const known = new Map<string, string>()
  return (a, b) => {
    const pair = `${a.name} ${b.name}`
    const found =
      known.get(pair) ??
      chooseFiller(
        a,
        b,
        {
          maxC: part.hotC,
          anodised: part.finishAfter === 'anodised',
          saltWater: part.saltWater,
          load: part.does,
          heatTreatAfter: false,
        },
        USUAL_DILUTION_PCT,
      ).ranked.find(row => findAlloy(row.filler))?.filler ??
      '4043'
    known.set(pair, found)
    return found
  }
}

/**
 * Everything that one mend asks for by itself, but its place among the others: work, filler, process and what the
 * machine wants of the heat.
 */
function ready(
  given: MendGiven,
  { kit, part, warm, warmSchool, startC }: JobGiven,
  bodies: readonly Body[],
  facts: PartFacts,
  mass: { massG: number; skinMm2: number },
  bestFiller: BestFiller,
): Readied {
  const named = (id: string) => {
    const found = bodies.find(body => body.id === id)
    if (!found) throw new NoAnswer(`mend ${given.id} names a body ${id} that the part has not got`)
    return found
  }
  const mine = (given.bodies?.length ? given.bodies.map(named) : [bodies[0]!]) as [Body, Body?]
  const [first, second] = mine
  const wantedFiller = given.lays?.find(lay => lay.filler)?.filler
  const filler = wantedFiller
    ? (findAlloy(wantedFiller)?.name ?? wantedFiller)
    : bestFiller(first.alloy, second?.alloy ?? first.alloy)
  const work = kindOf(given.kind).plan({
    values: given.values,
    bodies: mine,
    part: facts,
    filler: findAlloy(filler)!,
    opened: given.opened,
  } as unknown as KindInput<Fields>)
  const base = { given, work, bodies: mine, filler, limitA: 0, leastC: ROOM_C, easyC: ROOM_C, reason: null }
  if (!work.laid.length) return { ...base, process: null, wanted: [] }
  // What a torch of the kit can bring the zone to is heat that a machine need not give.
  const heat = heatOf(kit.torches, mass, first.alloy, work.wallMm, {
    runMm: runOf(work),
    atEdge: given.kind === 'edge',
    capC: capOf({ wanted: warm, school: warmSchool, startC }),
  })
  const arcs = kit.machines.map((entry): KitProcess => ({
    process: entry.process,
    maxA: mostCurrent(entry).a,
    ratedA: entry.ratedA,
    dutyPct: entry.ratedPct,
  }))
  const flames: KitProcess[] = kit.torches.length
    ? [
        { process: 'zinc-rod-braze' },
        ...(kit.rods.some(rod => findAlloy(rod.filler)?.name === '4047') ? [{ process: 'al-si-braze' } as const] : []),
        ...(kit.torches.some(torch => fuelOf(torch.gas).oxygen) ? [{ process: 'oxy-fuel' } as const] : []),
      ]
    : []
  const family = familyById(first.families[0]!.id)!
  const { ranked } = chooseProcess({
    wallMm: work.wallMm,
    family,
    soak: part.soak,
    load: part.does,
    watertight: part.does === 'seal',
    access: 'open',
    areaMm2: Math.max(1, faceOf(work)),
    count: 1,
    kit: [...arcs, ...flames],
    joint: work.joint,
    base: first.alloy,
    serviceC: part.hotC,
    heat,
  })
  const asked = given.lays?.find(lay => lay.process)?.process
  const chosen = asked ?? ranked.find(row => row.verdict !== 'never')?.process ?? null
  const wanted = given.lays?.length
    ? given.lays.map((lay): WantedLay => ({
        process: lay.process ?? chosen ?? 'ac-tig',
        filler: lay.filler ? (findAlloy(lay.filler)?.name ?? lay.filler) : filler,
        upTo: lay.upTo,
      }))
    : chosen
      ? [{ process: chosen, filler, upTo: 'cap' as const }]
      : []
  const processes = wanted.map(lay => lay.process)
  const reasons = processes.filter(isArc).flatMap(process => {
    const machine = strongest(kit.machines, process)
    if (!machine) return [`no-machine`]
    const leastC = leastPreheatC(work.wallMm, mostCurrent(machine).a, process, work.joint)
    return leastC > ROOM_C && (leastC > heat.mostC || !heat.reach(leastC)) ? ['does-not-melt-in'] : []
  })
  const arc = processes.find(isArc)
  const machine = arc ? strongest(kit.machines, arc) : null
  const limitA = machine ? mostCurrent(machine).a : 0
  return {
    ...base,
    process: chosen,
    wanted,
    limitA,
    leastC: arc && machine ? leastPreheatC(work.wallMm, limitA, arc, work.joint) : ROOM_C,
    easyC: arc && machine ? easyPreheatC(work.wallMm, limitA, arc, work.joint) : ROOM_C,
    reason: chosen ? (reasons[0] ?? null) : 'nothing-reaches',
  }
}

/** A braze that this flame and metal do not bear; null where it goes. */
function brazeTrouble(
  process: ProcessId,
  kit: Kit,
  body: Body,
  mass: { massG: number; skinMm2: number },
  serviceC: number,
  atEdge: boolean,
): string | null {
  const rod = BRAZE_ROD_OF[process]
  const torch = kit.torches[0]
  if (!rod) return null
  if (!torch) return 'no-torch'
  const plan = planBraze({
    base: body.alloy,
    rod,
    massKg: mass.massG / 1000,
    areaMm2: mass.skinMm2,
    sourceW: torch.powerW,
    efficiencyPct: torch.efficiencyPct,
    ambientC: ROOM_C,
    serviceC,
  })
  if (plan.verdict === 'refused') return 'braze-refused'
  return plan.verdict === 'too-cold' &&
    torchReach(torch, mass, body.alloy, body.wallMm, BRAZE_RODS[rod].liquidusC + BRAZE_RODS[rod].overK, { atEdge }) ===
      null
    ? 'never-melts-rod'
    : null
}

interface Laid {
  lay: Lay
  means: Means
}
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

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
  const bestFiller = bestFillerFor(part)
  const readied = job.mends.map(mend => ready(mend, job, bodies, facts, mass, bestFiller))
  const warm = warmFor({
    wanted: job.warm,
    school: job.warmSchool,
    startC: job.startC,
    torches: kit.torches,
    part: { ...mass, protect: part.protect },
    body: main,
    arcs: [
      ...readied
        .filter(one => one.process && isArc(one.process) && !one.reason)
        .map(one => ({
          leastC: one.leastC,
          easyC: one.easyC,
          wallMm: one.work.wallMm,
          soak: part.soak,
          runMm: runOf(one.work),
        })),
      ...(job.alsoArcs ?? []),
    ],
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
    { code: 'take-in', minutes: TAKE_IN_MIN },
    { code: 'degrease', minutes: DEGREASE_MIN[part.soak] },
    ...part.protect.map(id => ({ code: `protect-${id}`, minutes: PROTECT_MIN_EACH })),
    ...(welded.some(mend => mend.process && isArc(mend.process))
      ? [{ code: 'weld-set-up', minutes: WELD_SET_UP_MIN }]
      : []),
    ...(flame ? [{ code: 'braze-set-up', minutes: BRAZE_SET_UP_MIN }] : []),
    ...(warm.need !== 'none' && warm.reaches ? [{ code: 'warm', minutes: warm.minutes }] : []),
    ...(milled ? [{ code: 'mill-set-up', minutes: MILL_SET_UP_MIN }] : []),
    ...checks.map(check => ({ code: `check-${check}`, minutes: CHECK_MIN[check] ?? 2 })),
  ]
  const waitMin =
    sum(mends.map(mend => mend.restMin)) +
    (part.soak === 'oil-soaked' && welded.length ? BAKE_MIN : 0) +
    (welded.length ? Math.min(COOL_MOST_MIN, COOL_MIN + ((COOL_MIN_PER_KG * mass.massG) / 1000) * (flame ? 2 : 1)) : 0)
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

/** A machine's duty is of ten minutes. Source: IEC 60974-1. */
const DUTY_MIN = 10
/** Minutes that a machine rests for its duty beyond the pauses between passes, in which its fan runs on. */
function restsOf(machine: Kit['machines'][number], a: number, arcMin: number, passes: number): number {
  const elapsed = elapsedMin(arcMin, dutyAt(machine.ratedA, machine.ratedPct, Math.max(1, a), DUTY_MIN))
  return Math.max(0, elapsed - arcMin - Math.max(0, passes - 1) * BETWEEN_PASSES_MIN)
}

/** One mend worked out: `startC` is what the part was warmed to, `foundC` what the mends before it have left it at. */
function planOne(
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
    means: meansOf(lay, findAlloy(lay.filler ?? filler) ?? findAlloy('4043')!, work.wallMm, startC),
  }))
  const boilMin = arcs && lays.length && LAYS_BY[one.wanted[0]!.process] === 'rod' ? BOIL_OUT_MIN[part.soak] : 0
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
    sum(work.checks.map(check => CHECK_MIN[check] ?? 2))
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
