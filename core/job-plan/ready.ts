import { mostCurrent, strongest } from '../arc/machine-reach'
import { easyPreheatC, leastPreheatC, ROOM_C } from '../arc/least-preheat'
import { NoAnswer } from '../ask/question'
import { chooseProcess, type KitProcess } from '../call/process'
import type { ProcessId } from '../call/process.table'
import { fuelOf } from '../flame/fuels.table'
import type { Fields } from '../field/field'
import type { WantedLay } from '../lay/lays'
import type { KindInput, MendWork, PartFacts } from '../mend/kind'
import { kindOf } from '../mend/registry'
import { findAlloy } from '../metal/find-alloy'
import { familyById } from '../metal/families.table'
import type { Body } from '../part/bodies'
import { capOf, heatOf } from '../warm/heat'
import { isArc } from './arc-process'
import type { BestFiller } from './best-filler'
import type { JobGiven, MendGiven } from './job-given'
import { faceOf, runOf } from './run'

export interface Readied {
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

/**
 * Everything that one mend asks for by itself, but its place among the others: work, filler, process and what the
 * machine wants of the heat.
 */
export function ready(
  given: MendGiven,
  { kit, part, warm, warmSchool, startC, access = 'open' }: JobGiven,
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
    access,
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
