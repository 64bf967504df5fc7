import type { Step } from '../ask/question'
import { wholeRods } from './rods'
import type { Decision } from './decision'
import type { JobPlanned, PlannedMend, PlannedWork } from './job-planned'
import { mendChecks } from './decide/checks'
import type { Settled } from './settled'
import type { Readied } from './readied'
import { faceOf, longestRun } from './run'
import type { Made, StepKind } from './step'
import { sum } from './sum'
import { elapsedOf } from './timeline/schedule'

const minutesOf = (steps: readonly Made[], ...kinds: StepKind[]): number =>
  sum(steps.filter(({ kind }) => kinds.includes(kind)).map(({ minutes }) => minutes))
const used = (steps: readonly Made[], of: 'wireM' | 'gasL' | 'fuelL' | 'kWh'): number =>
  sum(steps.map(({ uses }) => uses?.[of] ?? 0))
const rodsUsed = (steps: readonly Made[]): number =>
  sum(steps.flatMap(({ uses }) => uses?.rods.map(({ count }) => count) ?? []))

/** Steps of one stage as they are ticked off: what is set up for a machine goes with what the machine does. */
function worksOf(steps: readonly Made[], stage: Made['stage']): PlannedWork[] {
  const works: PlannedWork[] = []
  let setUpMin = 0
  for (const { code, kind, minutes, stage: of } of steps) {
    if (of !== stage || kind === 'wait') continue
    if (code === 'find-on-mill') {
      setUpMin += minutes
      continue
    }
    works.push({ code, handMin: kind === 'machine' ? setUpMin : minutes, machineMin: kind === 'machine' ? minutes : 0 })
    setUpMin = 0
  }
  return works
}

/** What an arc is eased to is never over what it began with. */
const leastA = (startA: number | undefined, easedA: number | undefined): number | null =>
  startA === undefined ? null : Math.min(startA, easedA ?? startA)

function mendOf(one: Readied, { decided, steps, job, decision }: Settled, foundC: number): PlannedMend {
  const { given, work, process, filler, lays } = one
  const own = steps.filter(({ mend }) => mend === given.id)
  const mended = own.some(({ stage }) => stage !== undefined)
  const found = decided.get(given.id)
  if (!found) throw new Error(`mend ${given.id} was not decided`)
  const took = decision === 'decline' && found.took !== 'refer' ? 'decline' : found.took
  const arcs = own.filter(({ kind, pass }) => kind === 'arc' && pass !== undefined)
  const laid = mended ? lays : []
  const [firstArc] = arcs
  return {
    id: given.id,
    kind: given.kind,
    decision: took,
    chancePct: found.chancePct,
    because: found.trouble ? [found.trouble] : found.against,
    process: laid.length ? (laid[0]?.lay.process ?? null) : null,
    tried: process.wanted[0]?.process ?? null,
    filler: laid.length ? (laid[0]?.lay.filler ?? filler.took) : null,
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
    passes: sum(laid.map(({ means }) => means.passes)),
    depositG: sum(laid.map(({ means }) => means.massG)),
    volumeMm3: sum(work.laid.map(({ volumeMm3 }) => volumeMm3)),
    faceMm2: faceOf(work),
    rods: rodsUsed(own),
    rodMm: laid.find(({ rods }) => rods > 0)?.rodMm ?? null,
    wireM: used(own, 'wireM'),
    wallMm: work.wallMm,
    joint: work.joint,
    foundC: firstArc?.foundC ?? foundC,
    startA: firstArc?.set?.a ?? null,
    easedA: leastA(firstArc?.set?.a, arcs.at(-1)?.easedA),
    arcMin: minutesOf(own, 'arc'),
    restMin: sum(own.filter(({ kind, code }) => kind === 'wait' && code === 'rest').map(({ minutes }) => minutes)),
    handMin: minutesOf(own, 'hand', 'flame'),
    machineMin: minutesOf(own, 'machine'),
    gasL: used(own, 'gasL'),
    opening: worksOf(own, 'opening'),
    rebuild: worksOf(own, 'rebuild'),
    checks: mended ? mendChecks(one, job) : [],
    cautions: [...new Set(own.flatMap(({ cautions }) => cautions))],
    price: sum(own.map(({ price }) => price)),
  }
}

/** What is settled of a job as it is answered: mends and totals as sums over its steps. */
export function planned(settled: Settled, decisions: Decision[]): JobPlanned {
  const { job, mass, warm, mends, order, steps, decision, turnedBy, decided } = settled
  const startC = job.startC ?? warm.toC
  const found = mends.map(one => mendOf(one, settled, warm.need === 'none' ? startC : warm.toC))
  const all = [...steps]
  const rodsOut = wholeRods(all, job.kit)
  const price = sum(all.map(step => step.price))
  const { newPrice } = job.part
  const warming = all.filter(({ code }) => code === 'warm')
  return {
    decision,
    // As sure as the least sure place of all that was asked.
    chancePct: Math.min(...[...decided.values()].map(one => one.chancePct)),
    part: mass,
    warm: warming.length ? { ...warm, minutes: sum(warming.map(({ minutes }) => minutes)) } : warm,
    mends: found,
    order: [...order],
    checks: all.flatMap(({ code }) => (code.startsWith('check-') ? [code.slice(6)] : [])),
    steps: all,
    decisions,
    totals: {
      arcMin: minutesOf(all, 'arc'),
      handMin: minutesOf(all, 'hand', 'flame'),
      machineMin: minutesOf(all, 'machine'),
      waitMin: minutesOf(all, 'wait'),
      elapsedMin: elapsedOf(all),
      gasL: used(all, 'gasL'),
      fuelL: used(all, 'fuelL'),
      kWh: used(all, 'kWh'),
      rods: sum(rodsOut.map(({ rods }) => rods)),
      rodsOut,
      wireM: used(all, 'wireM'),
      price,
      ofNewPct: newPrice ? (price / newPrice) * 100 : null,
      shared: all
        .filter(({ mend, kind }) => mend === undefined && kind !== 'wait')
        .map(({ code, minutes }) => ({ code, minutes })),
    },
    cautions: [...new Set(all.flatMap(({ cautions }) => cautions))],
    working: workingOf(settled, found, price, turnedBy),
    asked: new Map(
      mends.flatMap(({ given, process, filler }) => {
        const judged = decided.get(given.id)?.judged
        return judged
          ? [
              [
                given.id,
                {
                  processes: process.ranked,
                  processWorking: process.working,
                  fillers: filler.ranked,
                  fillerWorking: filler.working,
                  filler: filler.rankedAs,
                  judged,
                  dearPrice: turnedBy?.figures.price ?? null,
                },
              ] as const,
            ]
          : []
      }),
    ),
  }
}

function workingOf(
  { mass, steps }: Settled,
  mends: readonly PlannedMend[],
  price: number,
  turnedBy: Settled['turnedBy'],
): Step[] {
  const shared = steps.filter(({ mend }) => mend === undefined)
  return [
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
      label: `${mend.id}: ${mend.kind}`,
      formula: 'metal by its own closed form; deposit and hand by common practice',
      value: mend.depositG,
      unit: 'g',
      source: 'plane geometry; common practice',
    })),
    {
      label: 'Shared, once',
      formula: shared.map(({ code }) => code).join(', '),
      value: sum(shared.map(({ minutes }) => minutes)),
      unit: 'min',
      source: 'common practice, no source',
    },
    ...(turnedBy
      ? [
          {
            label: 'Mended, it would cost',
            formula: 'the same sum over the steps of the mend',
            value: turnedBy.figures.price ?? 0,
            unit: '',
            source: "the kit's rates",
          },
        ]
      : []),
    { label: 'Price', formula: 'sum over all steps', value: price, unit: '', source: "the kit's rates" },
  ]
}
