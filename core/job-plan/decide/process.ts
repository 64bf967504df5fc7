import type { Flame } from '../../process/process'
import type { Step } from '../../ask/question'
import { heldBackBy, mostCurrent, strongest } from '../../arc/machine-reach'
import { easyPreheatC, leastPreheatC, ROOM_C } from '../../arc/least-preheat'
import { ampsNeed } from '../../arc/amps'
import { BRAZE_RODS } from '../../braze/rods.table'
import { chooseProcess, type KitProcess, type ProcessCode, type RankedProcess } from '../../call/process'
import {
  PROCESS_IDS,
  PROCESSES,
  USUAL_ARC,
  isArc,
  brazeRodOf,
  type ProcessId,
  type ArcProcess,
} from '../../process/registry'
import { fuelOf } from '../../flame/fuels.table'
import type { Kit } from '../../job/job.schema'
import type { WantedLay } from '../../lay/lays'
import type { MendWork } from '../../mend/kind'
import { findAlloy } from '../../metal/find-alloy'
import { familyById } from '../../metal/families.table'
import type { Body } from '../../part/bodies'
import { heatOf } from '../../warm/heat'
import type { JobGiven, MendGiven } from '../job-given'
import { faceOf, runOf } from '../run'
import { gunInstead } from './by-minutes'
import { brazeTrouble } from './braze-trouble'
import { rodOf } from './filler'

/** The rod that a process lays where the metal alone does not say: a braze has its own. */
export const laidFiller = (process: ProcessId, filler: string): string => brazeRodOf(process) ?? filler

/** Whether a kit has what a flame wants. */
const hasFor = ({ wants, rod }: Flame, { torches, rods }: Kit): boolean => {
  if (wants === 'oxygen') return torches.some(torch => fuelOf(torch.gas).oxygen)
  return torches.length > 0 && (wants === 'any' || rods.some(one => findAlloy(one.filler)?.name === rod))
}

/** What the kit can do, as processes are chosen from. */
export function kitProcesses(kit: Kit): KitProcess[] {
  return [
    ...kit.machines.map((machine): KitProcess => ({
      process: machine.process,
      maxA: mostCurrent(machine).a,
      ratedA: machine.ratedA,
      dutyPct: machine.ratedPct,
    })),
    ...PROCESS_IDS.flatMap(process => {
      const { flame } = PROCESSES[process]
      return flame && hasFor(flame, kit) ? [{ process }] : []
    }),
  ]
}

export interface ProcessDecided {
  /** What lays the metal; null where nothing is laid or nothing can. */
  took: ProcessId | null
  ranked: readonly RankedProcess[]
  working: readonly Step[]
  because: string
  wanted: WantedLay[]
  /** Why it can't be laid, as a code; null where it can. */
  trouble: string | null
  /** What it wants and what there is, where a machine, its torch or its mains is too small. */
  falls: { wantsA: number; hasA: number } | null
  /** The most current there is, the least heat that lets it melt in, and that at which it is the usual one. */
  limitA: number
  machine: Kit['machines'][number] | null
  leastC: number
  easyC: number
}

const NOTHING_LAID: ProcessDecided = {
  took: null,
  ranked: [],
  working: [],
  because: 'nothing-laid',
  wanted: [],
  trouble: null,
  falls: null,
  limitA: 0,
  machine: null,
  leastC: ROOM_C,
  easyC: ROOM_C,
}

/** Why nothing does it: the metal, the machine and its mains, the torch, or that nothing there suits. */
const WHY_NOTHING: Partial<Record<ProcessCode, string>> = {
  'not-mended-so': 'not-mended-so',
  'not-fusion-welded': 'not-fusion-welded',
  'never-melts-rod': 'nothing-reaches',
}
function whyNothing(ranked: readonly RankedProcess[]): string {
  const codes = ranked.filter(row => row.inKit).flatMap(row => row.codes)
  const found = Object.entries(WHY_NOTHING).find(([code]) => codes.some(each => each === code))
  return found?.[1] ?? 'nothing-reaches'
}

/** The arc that the kit is likeliest to do it with. */
const firstArc = ({ machines }: Kit): ArcProcess => machines.map(({ process }) => process).find(isArc) ?? USUAL_ARC

const TOO_SMALL = { machine: 'does-not-melt-in', torch: 'torch-too-small', mains: 'mains-too-small' } as const
/** What is too small where nothing melts in: the machine, its torch or the mains; and by how much. */
function tooSmall(
  kit: Kit,
  process: ArcProcess,
  { wallMm, joint }: MendWork,
  hotC: number,
): Pick<ProcessDecided, 'trouble' | 'falls'> {
  const machine = strongest(kit.machines, process)
  const warmA = ampsNeed(wallMm, hotC, process, joint).lowA
  const wantsA = ampsNeed(wallMm, ROOM_C, process, joint).lowA
  const hasA = machine ? mostCurrent(machine).a : 0
  // Where it would do on a part as hot as that, it is the heat that is missing.
  const by = machine && hasA < warmA ? heldBackBy(machine, warmA) : 'machine'
  return { trouble: machine ? TOO_SMALL[by] : 'no-machine', falls: { wantsA, hasA } }
}

/** What a flame brings the place to, °C; nothing of an arc, which heats a spot alone. */
function flameC(process: ProcessId, { alloy }: Body): number {
  if (isArc(process)) return -Infinity
  const rod = brazeRodOf(process)
  return rod ? BRAZE_RODS[rod].liquidusC : alloy.solidusC
}

export interface ProcessAsk {
  job: JobGiven
  given: MendGiven
  work: MendWork
  body: Body
  mass: { massG: number; skinMm2: number }
  filler: string
  atEdge: boolean
  /** No hotter than this before it is laid, °C, and at all for what stays on the part. */
  capC: number
  keptC: number
}

/** What lays a mend's metal, and whether it can: the lays that were said, else the first in rank that goes. */
export function decideProcess({
  job,
  given,
  work,
  body,
  mass,
  filler,
  atEdge,
  capC,
  keptC,
}: ProcessAsk): ProcessDecided {
  if (!work.laid.length) return NOTHING_LAID
  const { kit, part, access = 'open' } = job
  // What a torch of the kit can bring the zone to is heat that a machine need not give.
  const heat = heatOf(kit.torches, mass, body.alloy, work.wallMm, { runMm: runOf(work), atEdge, capC })
  const { ranked, working } = chooseProcess({
    wallMm: work.wallMm,
    family: familyById(body.families[0]?.id ?? body.alloy.family) ?? familyById('cast-al-si-mg')!,
    soak: part.soak,
    load: part.does,
    watertight: part.does === 'seal',
    access,
    areaMm2: Math.max(1, faceOf(work)),
    count: 1,
    kit: kitProcesses(kit),
    joint: work.joint,
    base: body.alloy,
    serviceC: part.hotC,
    heat,
  })
  const asked = given.lays?.find(lay => lay.process)?.process
  const first = ranked.find(row => row.verdict !== 'never' && flameC(row.process, body) <= keptC)?.process ?? null
  const rod = findAlloy(filler)
  const gun = !asked && first && rod ? gunInstead(first, ranked, part.soak, rod, work) : null
  const took = asked ?? gun ?? first
  const layOf = (process: ProcessId, said: string | undefined, upTo: WantedLay['upTo']): WantedLay => ({
    process,
    filler: laidFiller(process, said ? (rodOf(said)?.name ?? said) : filler),
    upTo,
  })
  const wanted = given.lays?.length
    ? given.lays.map(lay => layOf(lay.process ?? took ?? USUAL_ARC, lay.filler, lay.upTo))
    : took
      ? [layOf(took, undefined, 'cap')]
      : []
  const arc = wanted.map(lay => lay.process).find(isArc)
  const machine = arc ? strongest(kit.machines, arc) : null
  const limitA = machine ? mostCurrent(machine).a : 0
  const found = {
    took,
    ranked,
    working,
    because: asked ? 'as-wanted' : gun ? 'saves-minutes' : 'ranked-first',
    wanted,
    limitA,
    machine,
    leastC: arc && machine ? leastPreheatC(work.wallMm, limitA, arc, work.joint) : ROOM_C,
    easyC: arc && machine ? easyPreheatC(work.wallMm, limitA, arc, work.joint) : ROOM_C,
  }
  const trouble = (): string | null => {
    if (!took) return ranked.some(row => row.verdict !== 'never') ? 'kept-on-limit' : whyNothing(ranked)
    for (const { process } of wanted) {
      const own = isArc(process) ? strongest(kit.machines, process) : null
      if (isArc(process) && !own) return 'no-machine'
      if (isArc(process) && own) {
        const leastC = leastPreheatC(work.wallMm, mostCurrent(own).a, process, work.joint)
        if (leastC > ROOM_C && (leastC > heat.mostC || !heat.reach(leastC))) return 'does-not-melt-in'
      }
      if (flameC(process, body) > keptC) return 'kept-on-limit'
      const brazed = brazeTrouble(process, kit, body, mass, part.hotC, atEdge, runOf(work))
      if (brazed) return brazed
      if (ranked.some(row => row.process === process && row.inKit && row.verdict === 'never')) return 'process-never'
    }
    return null
  }
  const short = (['past-the-metal', 'nothing-brings-it'] as const).some(code =>
    ranked.some(row => row.inKit && row.codes.includes(code)),
  )
  const why = trouble()
  if (why !== 'does-not-melt-in' && !(why === 'nothing-reaches' && short))
    return { ...found, trouble: why, falls: null }
  return {
    ...found,
    ...tooSmall(kit, wanted.map(lay => lay.process).find(isArc) ?? firstArc(kit), work, Math.min(480, heat.mostC)),
  }
}
