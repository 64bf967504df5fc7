import { ROOM_C } from '../arc/least-preheat'
import { NoAnswer } from '../ask/question'
import { isArc, PROCESSES, type ProcessId } from '../process/registry'
import type { Soak } from '../call/process.table'
import type { Fields } from '../field/field'
import { laysOf, type Lay } from '../lay/lays'
import { meansOf, nearestRodMm, rodForWall, type Means } from '../lay/means'
import type { KindInput, MendKind, MendWork, PartFacts, Work } from '../mend/kind'
import { COPPER, UNCOAT } from '../mend/minutes.table'
import { flatSeat } from '../mend/steps'
import { kindOf } from '../mend/registry'
import { findAlloy } from '../metal/find-alloy'
import type { Alloy } from '../metal/alloys.table'
import { notUnderLoad } from '../metal/not-under-load'
import type { Body } from '../part/bodies'
import { decideProcess, type ProcessDecided } from './decide/process'
import type { DecideFiller, FillerDecided } from './decide/filler'
import { finishOf, isFlatSeat, type Finished } from './decide/finish'
import type { JobGiven, MendGiven } from './job-given'
import { MOST_PASSES } from './most-passes'
import { heldRods, rodLongMm } from './rods'
import { sum } from './sum'

/** A lay with what it takes and the rod that it is fed with. */
export interface ReadyLay {
  lay: Lay
  means: Means
  filler: Alloy
  rodMm: number
  /** Rods, not rounded. */
  rods: number
}
/** What may be said of any mend, resolved. */
export interface Common {
  on: readonly string[]
  alongWeld: boolean
  unweldedMm: number
  after: readonly string[]
  elsewhere: readonly string[]
  bought: boolean
  /** What the piece costs where it is bought, in the shop's money. */
  boughtFor: number
  runOver: boolean
}
/** Everything that one mend asks for by itself, but its place among the others. */
export interface Readied {
  given: MendGiven
  kind: MendKind
  work: MendWork
  common: Common
  bodies: [Body, Body?]
  filler: FillerDecided
  process: ProcessDecided
  finish: Finished
  lays: ReadyLay[]
  /** Why it can't be mended, as a code; null where it can. */
  trouble: string | null
  /** What that falls short by. */
  falls: ProcessDecided['falls']
}

const textsOf = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((one): one is string => typeof one === 'string') : []

/** What may be said of any mend, out of its readings. */
const commonOf = ({ values }: MendGiven): Common => {
  const { on, alongWeld, unweldedMm, after, elsewhere, supplied, boughtFor, runOver } = values
  return {
    on: textsOf(on),
    alongWeld: alongWeld === true,
    unweldedMm: typeof unweldedMm === 'number' ? unweldedMm : 0,
    after: textsOf(after),
    elsewhere: textsOf(elsewhere),
    bought: supplied === 'bought',
    boughtFor: typeof boughtFor === 'number' ? boughtFor : 0,
    runOver: runOver === true,
  }
}

/** Metal laid but for the stretch that is left alone, side by side. */
function leftAlone(work: MendWork, unweldedMm: number): MendWork {
  if (unweldedMm <= 0 || !work.laid.length) return work
  const laid = work.laid.flatMap(one => {
    const share = 1 - unweldedMm / one.runMm
    return share > 0 ? [{ ...one, volumeMm3: one.volumeMm3 * share, runMm: one.runMm * share }] : []
  })
  return laid.length ? { ...work, laid } : { ...work, laid: [], refused: work.refused ?? 'nothing-welded' }
}

const isCoated = (coating: string | undefined) => Boolean(coating && coating !== 'none' && coating !== 'bare')

/** A piece that is bought is not made; what is coated is bared first. */
function opened(work: MendWork, { bought, boughtFor }: Common, coated: boolean): Work[] {
  const baredCm2 = sum(work.laid.map(({ runMm, wideMm }) => (runMm * (wideMm + 2 * UNCOAT.besideMm)) / 100))
  const coat: Work[] = coated
    ? [{ code: 'uncoat', trade: 'cut', handMin: UNCOAT.startMin + UNCOAT.perCm2 * baredCm2 }]
    : []
  const got: Work[] =
    boughtFor > 0 ? [{ code: 'buy-piece', trade: 'fit', handMin: 0, costs: boughtFor, ahead: true }] : []
  return [...coat, ...work.opening.flatMap(step => (bought && step.makes ? got : [step]))]
}

/** Copper behind thin metal, the less of it the thicker that is. */
function copper(wallMm: number): Work[] {
  const { handMin, belowMm, aboveMm } = COPPER
  const share = Math.min(1, Math.max(0, (aboveMm - wallMm) / (aboveMm - belowMm)))
  return share > 0 ? [{ code: 'copper-behind', trade: 'fit', handMin: handMin * share }] : []
}

/** Dirt that only an arc without rod brings out. */
const BOILED: ReadonlySet<Soak> = new Set(['oily', 'oil-soaked'])
/** Whether the arc that lays it boils it out first. */
export const isBoiled = (process: ProcessId | undefined, soak: Soak): boolean =>
  process !== undefined && PROCESSES[process].lays === 'rod' && BOILED.has(soak)

function readyLay({ kit }: JobGiven, lay: Lay, base: Alloy, work: MendWork, saidMm: number | undefined): ReadyLay {
  const filler = findAlloy(lay.filler) ?? base
  const heavyMm = work.rodWallMm ?? work.wallMm
  const wantedMm = saidMm ?? rodForWall(heavyMm)
  const means = meansOf(lay, filler, work.wallMm, wantedMm, heavyMm)
  const held = heldRods(kit, lay.filler).map(({ diameterMm }) => diameterMm)
  const rodMm = saidMm ?? nearestRodMm(wantedMm, held)
  const rodMm3 = (Math.PI / 4) * rodMm ** 2 * rodLongMm(kit, lay.filler, rodMm)
  return { lay, means, filler, rodMm, rods: means.rodMm3 / rodMm3 }
}

/** @throws NoAnswer where a mend names a body that there is not */
export function readied(
  given: MendGiven,
  job: JobGiven,
  bodies: readonly Body[],
  facts: PartFacts,
  mass: { massG: number; skinMm2: number },
  decideFiller: DecideFiller,
  capC: number,
  keptC = Infinity,
): Readied {
  const named = (id: string): Body => {
    const found = bodies.find(body => body.id === id)
    if (!found) throw new NoAnswer(`mend ${given.id} names a body ${id} that the part has not got`)
    return found
  }
  const [first = bodies[0], second] = given.bodies?.map(named) ?? []
  if (!first) throw new NoAnswer('the part has no body')
  const kind = kindOf(given.kind)
  const common = commonOf(given)
  const filler = decideFiller(first.alloy, second?.alloy ?? first.alloy, given.lays?.find(lay => lay.filler)?.filler)
  const finish = finishOf(kind, { finish: given.values.finish as Finished['took'] | undefined, on: common.on })
  const rod = findAlloy(filler.took)
  if (!rod) throw new NoAnswer(`no filler ${filler.took} is known`)
  const planned = kind.plan({
    values: given.values as KindInput<Fields>['values'],
    bodies: second ? [first, second] : [first],
    part: facts,
    filler: rod,
    opened: given.opened,
    finish: finish.took,
  })
  const whole = leftAlone(planned, common.unweldedMm)
  const coated = isCoated(job.part.coating) && !given.opened && whole.laid.length > 0
  const work: MendWork = {
    ...whole,
    opening: opened(whole, common, coated),
    rebuild: isFlatSeat(common.on) ? flatSeat(whole.rebuild, whole.laid) : whole.rebuild,
    risks: [...whole.risks, ...(common.alongWeld ? [{ code: 'along-weld', points: ALONG_WELD_POINTS }] : [])],
  }
  const process = decideProcess({
    job,
    given,
    work,
    body: first,
    mass,
    filler: filler.took,
    atEdge: kind.atEdge ?? false,
    capC,
    keptC,
  })
  const rodMm = typeof given.values.rodMm === 'number' ? given.values.rodMm : undefined
  const fused = process.wanted.some(lay => PROCESSES[lay.process].fusion)
  const weldedUnderLoad =
    fused &&
    (job.part.does !== 'seal' || job.part.stakes === 'person') &&
    [first, ...(second ? [second] : [])].some(({ alloy }) => notUnderLoad(alloy))
  const against =
    work.refused ??
    (weldedUnderLoad ? 'not-under-load' : null) ??
    process.trouble ??
    (fused && filler.verdict === 'never' ? 'filler-never' : null)
  const laid = against
    ? []
    : laysOf(work.laid, process.wanted, given.order).map(lay => readyLay(job, lay, rod, work, rodMm))
  const tooMany = sum(laid.map(({ means }) => means.passes)) > MOST_PASSES
  const [trouble, lays] = tooMany ? ['too-many-passes', []] : [against, laid]
  const arcs = lays.some(({ lay }) => isArc(lay.process))
  return {
    given,
    kind,
    work: kind.backed && arcs ? { ...work, opening: [...work.opening, ...copper(work.wallMm)] } : work,
    common,
    bodies: second ? [first, second] : [first],
    filler,
    process,
    finish,
    lays,
    trouble,
    falls: process.falls,
  }
}

/** An old weld's soft edge is what breaks next. Judgement. */
const ALONG_WELD_POINTS = -4

/** Minutes of arc that a mend takes at its usual current, before it is known how warm it is. */
export const usualArcMin = ({ lays }: Pick<Readied, 'lays'>): number => sum(lays.map(({ means }) => means.arcMin))
/** As it lies on the bench, °C. */
export const startOf = ({ startC }: Pick<JobGiven, 'startC'>): number => startC ?? ROOM_C
