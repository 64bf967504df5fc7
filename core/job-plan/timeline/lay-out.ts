import { ampsNeed } from '../../arc/amps'
import { postflowS } from '../../arc/setup'
import { BRAZE_ROD_OF } from '../../call/braze-rod.table'
import { BRAZE_RODS } from '../../braze/rods.table'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import { fuelOf } from '../../flame/fuels.table'
import type { Kit } from '../../job/job.schema'
import { PROTECTS } from '../../job/words.table'
import { LAYS_BY } from '../../lay/process.table'
import type { Work } from '../../mend/kind'
import {
  BAKE_C,
  BAKE_MIN,
  BETWEEN_PASSES_MIN,
  BRAZE_SET_UP_MIN,
  DEGREASE_MIN,
  EARLIER_REPAIR_MIN,
  MILL_SET_UP_MIN,
  PROTECT_MIN_EACH,
  TAKE_IN_MIN,
  WELD_SET_UP_MIN,
} from '../../mend/minutes.table'
import { strongest, mostCurrent } from '../../arc/machine-reach'
import { currentFor, ENTERS, VOLTS } from '../../warm/current'
import { BRAZED_RUN_MM, torchReach } from '../../warm/torch-reach'
import type { Warmth } from '../../warm/decide'
import { arcKWh, fuelL } from '../cost'
import { CHECK_CAUTIONS, checkMin } from '../checks.table'
import { isArc } from '../decide/process'
import type { Ordered } from '../decide/order'
import type { JobGiven } from '../job-given'
import { isBoiled, type Readied, type ReadyLay } from '../readied'
import { runOf } from '../run'
import { NOTHING_USED, type ArcSet, type Made } from '../step'
import { sum } from '../sum'
import { maker, type Draft } from '../steps/maker'
import {
  BOIL_OUT,
  BOIL_SHARE,
  CLEAN_LOOK_MIN,
  EARTH_MIN,
  FLUX_MIN,
  LEAST_BAKE_C,
  LOOK_AT_MIN,
  OVEN_WARM_MIN,
  TORCH_OUT_MIN,
  WIPE_AGAIN_MIN,
} from '../steps/minutes.table'
import { passByPass } from '../steps/pass-order'
import { dutyAlong, type Duty } from './duty'
import { HAND_C, MOST_WAIT_MIN, type Heat } from './heat'
import { keptCap, metalLimitC, type Kept } from './limits'

/** Shielding gas, where nobody set it: a No. 5 to 6 cup. Common practice, no source. */
const FLOW_L_MIN = 7
/** Below this an arc's heat leaves hardly any room under a limit, as a share of what the limit is over the air. */
const LEAST_ROOM = 0.3
/** Less than this share of what a wall wants is no current to lay with, whatever somebody sets. */
const LEAST_SHARE = 0.2
/** Hotter than a fit was worked out for by more than this, it is left to cool first, K. Judgement. */
const FIT_WITHIN_K = 5
/** A flame that warmed all of it is let down slowly, covered: as long again. Common practice, no source. */
const COVERED = 2

export interface LayOut {
  job: JobGiven
  mass: { massG: number; skinMm2: number }
  /** Those that are mended, in the order they are taken on. */
  mends: readonly Readied[]
  /** Those that are looked at and not mended. */
  refused: readonly Readied[]
  order: readonly Ordered[]
  warm: Warmth
  /** The hottest that the part may be warmed to, °C. */
  warmLimitC: number
  heat: Heat
  kept: readonly Kept[]
  /** What the metal itself can do, said where it is cut or heated. */
  hazards: readonly string[]
  checks: readonly { code: string; mends: number }[]
}
export interface LaidOut {
  steps: Made[]
  /** Mends that a limit keeps from being laid, with its code. */
  stopped: Map<string, string>
}

/** Mends that are begun together: those that wait for none, then those that wait for these. */
function roundsOf(mends: readonly Readied[], order: readonly Ordered[]): Readied[][] {
  const waits = new Map(order.map(one => [one.id, one.waitsFor]))
  const there = new Set(mends.map(({ given }) => given.id))
  const depth = new Map<string, number>()
  const depthOf = (id: string): number => {
    const known = depth.get(id)
    if (known !== undefined) return known
    depth.set(id, 0)
    const found = Math.max(0, ...(waits.get(id) ?? []).filter(one => there.has(one)).map(one => depthOf(one) + 1))
    depth.set(id, found)
    return found
  }
  const rounds: Readied[][] = []
  for (const mend of mends) {
    const at = depthOf(mend.given.id)
    ;(rounds[at] ??= []).push(mend)
  }
  return rounds.filter(round => round !== undefined)
}

/**
 * All that is done, in the order it is done, with the heat that runs along it: what is shared once, each mend opened,
 * warmed and laid in turn under every limit, cooled, rebuilt and proved. Limits put waits in; one that would ask for
 * longer than anybody waits stops its mend.
 */
export function layOut({
  job,
  mass,
  mends,
  refused,
  order,
  warm,
  warmLimitC,
  heat,
  kept,
  hazards,
  checks,
}: LayOut): LaidOut {
  const { kit, part, doing } = job
  const kinds = new Map(mends.map(({ given }) => [given.id, given.kind]))
  const { steps, add: made } = maker(kit, heat, hazards, kinds)
  const duties = new Map<string, Duty>()
  const stopped = new Map<string, string>()
  const share = 1 / part.alike
  const chain = new Map<string, string>()
  /** What must be finished before the mends of this round are begun. */
  let gate: readonly string[] = []
  let shared: string | undefined

  const add = (draft: Draft): string => {
    const id = made(draft)
    for (const [machine, duty] of duties) if (draft.by !== machine) duty.pause(draft.minutes)
    return id
  }
  /** What is done for the part: after all of it that came before. */
  const addShared = (draft: Omit<Draft, 'after'>, after: readonly (string | undefined)[] = []): string =>
    (shared = add({ ...draft, after: [shared, ...after] }))
  /** What is done for a mend: after what was done for it before, and what the part was made ready with. */
  const addFor = (mend: string, draft: Draft): string => {
    const before = chain.get(mend)
    const id = add({ mend, ...draft, after: [...(before ? [before] : [shared, ...gate]), ...(draft.after ?? [])] })
    chain.set(mend, id)
    return id
  }

  const torch = kit.torches[0]
  const laying = mends.filter(({ lays }) => lays.length)
  const processes = [...new Set(laying.flatMap(({ lays }) => lays.map(({ lay }) => lay.process)))]
  const near = kept.length > 0

  const first = () => {
    addShared({
      code: 'take-in',
      kind: 'hand',
      trade: 'check',
      phase: 'open',
      minutes: TAKE_IN_MIN,
      cautions: [...hazards, ...(part.safetyCritical === 'none' ? [] : [`safety-${part.safetyCritical}`])],
    })
    for (const { given } of refused)
      add({
        mend: given.id,
        code: 'look',
        kind: 'hand',
        trade: 'check',
        phase: 'open',
        minutes: LOOK_AT_MIN,
        after: [shared],
      })
    for (const id of part.protect) {
      const row = Object.entries(PROTECTS).find(([known]) => known === id)?.[1]
      addShared({
        code: `protect-${id}`,
        kind: 'hand',
        trade: 'fit',
        phase: 'open',
        minutes: PROTECT_MIN_EACH,
        cautions: row && 'caution' in row ? [row.caution] : [],
      })
    }
    addShared({ code: 'degrease', kind: 'hand', trade: 'clean', phase: 'open', minutes: DEGREASE_MIN[part.soak] })
    if (part.earlierRepair !== 'none')
      addShared({
        code: 'earlier-repair',
        kind: 'hand',
        trade: 'cut',
        phase: 'open',
        minutes: EARLIER_REPAIR_MIN[part.earlierRepair],
        cautions: part.earlierRepair === 'epoxy' ? ['old-epoxy'] : [],
      })
  }

  let milled: string | undefined
  const readyMill = () => {
    milled ??= add({
      code: 'mill-set-up',
      kind: 'hand',
      trade: 'fit',
      phase: 'set-up',
      minutes: MILL_SET_UP_MIN * share,
      after: [shared],
    })
    return milled
  }
  const cooled = (mend: string, toC: number, because: string) => {
    if (heat.c <= toC) return
    const minutes = heat.coolMin(toC)
    addFor(mend, { code: 'cool', kind: 'wait', minutes, because, hot: true })
    heat.to(Math.min(heat.c, toC))
  }

  /** One piece of a kind's own work: by whom, how warm, and after what. */
  const work = (mend: Readied, step: Work, stage: Made['stage'], waits: Map<string, string>) => {
    const { id } = mend.given
    const common = { stage, trade: step.trade, phase: 'mend' as const }
    if (mend.common.elsewhere.includes(step.code)) {
      addFor(id, { ...common, code: step.code, kind: 'elsewhere', minutes: 0 })
      return
    }
    const cautions = step.code === 'uncoat' ? ['coating-fume'] : []
    if (step.aloneMin) {
      waits.set(
        id,
        add({
          ...common,
          mend: id,
          code: step.code,
          kind: 'wait',
          minutes: step.aloneMin,
          because: 'by-itself',
          after: [chain.get(id) ?? shared],
        }),
      )
      return
    }
    if (step.cold) cooled(id, HAND_C, 'worked-cold')
    if (step.atC !== undefined) {
      cooled(id, step.atC + FIT_WITHIN_K, 'fit-heat')
      if (heat.c < step.atC - FIT_WITHIN_K) {
        const reach =
          torch &&
          torchReach(torch, mass, mend.bodies[0].alloy, mend.work.wallMm, step.atC, {
            startC: heat.c,
            runMm: runOf(mend.work),
          })
        const minutes = reach ? reach.minutes : OVEN_WARM_MIN
        addFor(id, {
          ...common,
          code: 'warm-boss',
          kind: 'flame',
          minutes,
          hot: true,
          ...(torch ? { by: torch.id, uses: { ...NOTHING_USED, fuelL: fuelL(torch, minutes) } } : {}),
        })
        heat.to(step.atC)
      }
    }
    const warmed = step.cold || step.atC !== undefined
    const after = [step.mill ? readyMill() : undefined, step.atC === undefined ? undefined : waits.get(id)]
    if (step.machineMin) {
      if (step.handMin > 0)
        addFor(id, { ...common, trade: 'fit', code: 'find-on-mill', kind: 'hand', minutes: step.handMin, after })
      addFor(id, {
        ...common,
        code: step.code,
        kind: 'machine',
        minutes: step.machineMin,
        after,
        cautions,
        hot: warmed,
      })
    } else addFor(id, { ...common, code: step.code, kind: 'hand', minutes: step.handMin, after, cautions, hot: warmed })
  }

  /** Oil and water driven out of the whole part, as far as its limits bear it. */
  const driveOut = () => {
    if (!laying.length) return
    const alloys = laying.map(({ bodies: [body] }) => metalLimitC(body.alloy))
    const cap = keptCap(kept, null, heat)?.c ?? Infinity
    if (part.soak === 'oil-soaked') {
      const bakeC = Math.min(BAKE_C, cap, ...alloys)
      if (bakeC >= LEAST_BAKE_C) {
        addShared(
          {
            code: 'bake',
            kind: 'wait',
            phase: 'open',
            minutes: BAKE_MIN,
            hot: true,
            limitC: bakeC,
            because: 'drives-oil-out',
          },
          [...chain.values()],
        )
      }
    } else if (part.soak === 'oily' && torch && !near) {
      addShared(
        {
          code: 'torch-out',
          kind: 'flame',
          phase: 'open',
          minutes: TORCH_OUT_MIN,
          by: torch.id,
          hot: true,
          uses: { ...NOTHING_USED, fuelL: fuelL(torch, TORCH_OUT_MIN) },
        },
        [...chain.values()],
      )
    }
    if (part.soak === 'oil-soaked' || part.soak === 'oily')
      addShared({ code: 'wipe-again', kind: 'hand', trade: 'clean', phase: 'open', minutes: WIPE_AGAIN_MIN }, [
        ...chain.values(),
      ])
  }

  const setUp = () => {
    const hand = { kind: 'hand', phase: 'set-up' } as const
    const arc = processes.some(isArc)
    const flame = processes.some(process => !isArc(process))
    if (arc) {
      const rest = WELD_SET_UP_MIN - EARTH_MIN - CLEAN_LOOK_MIN
      addShared({ ...hand, code: 'weld-set-up', trade: 'fit', minutes: rest * share })
      addShared({ ...hand, code: 'earth', trade: 'fit', minutes: EARTH_MIN })
    }
    if (flame)
      addShared({ ...hand, code: 'braze-set-up', trade: 'fit', minutes: (BRAZE_SET_UP_MIN - CLEAN_LOOK_MIN) * share })
    if (arc || flame) addShared({ ...hand, code: 'clean', trade: 'check', minutes: CLEAN_LOOK_MIN })
    if (processes.some(process => PROCESSES[process].flux))
      addShared({ ...hand, code: 'flux', trade: 'clean', minutes: FLUX_MIN, cautions: ['welding-flux'] })
  }

  const startC = heat.c
  const warmUp = (round: readonly Readied[]) => {
    const before = round.map(({ given }) => chain.get(given.id))
    if (warm.need !== 'none' && warm.reaches && round.some(({ lays }) => lays.length) && heat.c < warm.toC) {
      const minutes = (warm.minutes * (warm.toC - heat.c)) / Math.max(1e-6, warm.toC - startC)
      const by = torch?.id
      addShared(
        {
          code: 'warm',
          kind: 'flame',
          phase: 'warm',
          minutes,
          hot: true,
          limitC: warmLimitC,
          ...(warm.why[0] ? { because: warm.why[0] } : {}),
          ...(by && torch ? { by, uses: { ...NOTHING_USED, fuelL: fuelL(torch, minutes) } } : {}),
        },
        before,
      )
      heat.to(warm.toC)
    }
  }

  const dutyOf = (machine: Kit['machines'][number]): Duty => {
    const known = duties.get(machine.id)
    if (known) return known
    const duty = dutyAlong(machine)
    duties.set(machine.id, duty)
    return duty
  }

  const layAll = (mend: Readied) => {
    const { given, work: planned, bodies, lays } = mend
    const { id } = given
    const [body, second] = bodies
    const { alloy } = body
    const ready = shared
    const metalC = Math.max(doing?.interpassC ?? metalLimitC(alloy), warm.need === 'none' ? 0 : warm.toC)
    const cap = keptCap(kept, given.atMm, heat)
    /** What the wall wants at the heat that the place will be at once it may begin. */
    const need = (process: ProcessId) =>
      isArc(process) ? ampsNeed(planned.wallMm, Math.min(heat.c, metalC, 480), process, planned.joint).a : 0

    /** Waits until an arc may begin; what holds it up longest is named. Says what the place may stand at. */
    const waited = (machine: Kit['machines'][number] | null, a: number, minutes: number, joule: number): number => {
      const rise = heat.riseK(joule)
      const keptC = cap ? Math.max(heat.airC + LEAST_ROOM * (cap.c - heat.airC), cap.c - rise) : Infinity
      const limitC = Math.min(metalC, keptC)
      const held = cap && keptC < metalC ? `kept-${cap.id}` : 'interpass'
      const cool = heat.c > limitC ? heat.coolMin(limitC) : 0
      // What one pass brings over what may be is let off in stitches.
      const over = cap && keptC + rise > cap.c ? (joule * (keptC + rise - cap.c)) / rise / heat.lossJMin(cap.c) : 0
      const minutesWaited = cool + over
      if (minutesWaited > MOST_WAIT_MIN || (cap && cap.c <= heat.airC)) stopped.set(id, cap ? 'kept-on-limit' : 'limit')
      if (Number.isFinite(minutesWaited) && minutesWaited > 0) {
        addFor(id, {
          code: 'rest',
          kind: 'wait',
          stage: 'laying',
          minutes: minutesWaited,
          because: held,
          hot: true,
          after: [ready],
        })
        heat.to(Math.min(heat.c, limitC))
      }
      const rests = machine ? dutyOf(machine).restMin(a, minutes) : 0
      if (rests > 0)
        addFor(id, {
          code: 'rest',
          kind: 'wait',
          stage: 'laying',
          minutes: rests,
          because: 'duty',
          hot: true,
          after: [ready],
        })
      return limitC
    }
    const setOf = (a: number): ArcSet => ({
      a,
      gasLMin: doing?.flowLMin ?? FLOW_L_MIN,
      postflowS: postflowS(Math.max(1, a)),
    })
    const arc = (draft: Draft & { process: ProcessId }, a: number, minutes: number, uses = NOTHING_USED) => {
      const { process } = draft
      if (!isArc(process)) return
      const machine = strongest(kit.machines, process)
      const joule = a * VOLTS[process] * ENTERS[process] * minutes * 60
      const limitC = waited(machine, a, minutes, joule)
      const set = setOf(a)
      const gasL = set.gasLMin * (minutes + set.postflowS / 60)
      addFor(id, {
        ...draft,
        kind: 'arc',
        stage: 'laying',
        minutes,
        set,
        hot: true,
        limitC,
        ...(machine ? { by: machine.id } : {}),
        uses: { ...uses, gasL, kWh: arcKWh(process, a, minutes) },
        after: [ready],
        cautions: process === 'mig-pulse' ? ['pulsed-noise'] : [],
      })
      if (machine) dutyOf(machine).arc(a, minutes)
      heat.put(joule)
    }
    const currentOf = (process: ProcessId) => {
      const machine = isArc(process) ? strongest(kit.machines, process) : null
      const limitA = machine ? mostCurrent(machine).a : Infinity
      const wants = need(process)
      const a = Math.min(doing?.currentA ?? wants, limitA)
      return { a, wants, limitA }
    }

    const boiled = isBoiled(lays[0]?.lay.process, part.soak)
    if (boiled && lays[0]) {
      const row = BOIL_OUT[part.soak]
      for (const side of [...new Set(planned.laid.map(one => one.side))]) {
        const runMm = Math.max(...planned.laid.filter(one => one.side === side).map(one => one.runMm))
        const { process } = lays[0].lay
        arc(
          { code: 'boil-out', kind: 'arc', minutes: 0, side, process },
          Math.min(BOIL_SHARE * currentOf(process).wants, currentOf(process).limitA),
          row.startMin + (row.per100Mm * runMm) / 100,
        )
        addFor(id, {
          code: 'grind-out',
          kind: 'hand',
          trade: 'cut',
          stage: 'laying',
          side,
          minutes: row.grindStartMin + (row.grindPer100Mm * runMm) / 100,
        })
      }
    }

    const passes = passByPass(lays, given.order)
    const firstOf = new Map<number, number>()
    const lastOf = new Map<number, number>()
    passes.forEach(({ of }, n) => {
      if (!firstOf.has(of.lay.side)) firstOf.set(of.lay.side, n)
      lastOf.set(of.lay.side, n)
    })
    const arcTotalMin = sum(lays.map(({ means }) => means.arcMin))
    let turned = false
    let flamed: ProcessId | null = null
    passes.forEach(({ lay, of }, n) => {
      const { process, filler, side } = of.lay
      if (side === 2 && !turned) {
        turned = true
        for (const step of planned.opening.filter(each => each.betweenSides)) work(mend, step, 'laying', new Map())
      }
      const common = {
        code: firstOf.get(side) === n ? 'root' : lastOf.get(side) === n ? 'cap' : 'fill',
        lay,
        pass: n + 1,
        side,
        process,
        filler,
        massG: of.means.massG / of.means.passes,
        phase: 'mend' as const,
      }
      const rods = of.rods > 0 ? [{ filler, diameterMm: of.rodMm, count: of.rods / of.means.passes }] : []
      const uses = { ...NOTHING_USED, rods, wireM: of.means.wireM / of.means.passes }
      if (isArc(process)) {
        const { a, wants, limitA } = currentOf(process)
        // A current short of what the wall wants melts in the more slowly.
        const minutes = of.means.arcMin / of.means.passes / Math.min(1, Math.max(LEAST_SHARE, a / wants))
        const { easedA } = currentFor({
          wallMm: planned.wallMm,
          joint: planned.joint,
          process,
          startC: Math.min(heat.c, metalC),
          arcMin: minutes,
          passes: 1,
          ...mass,
          alloy,
          zoneWallMm: Math.min(body.wallMm, second?.wallMm ?? body.wallMm),
          limitA,
        })
        arc({ ...common, kind: 'arc', minutes, easedA: Math.min(a, easedA) }, a, minutes, uses)
      } else {
        flamed = process
        flame(mend, of, { ...common, uses }, n === 0, ready)
      }
      addFor(id, { code: 'brush-pass', kind: 'hand', trade: 'clean', stage: 'laying', minutes: BETWEEN_PASSES_MIN })
    })
    const again = doing?.again[id] ?? 0
    if (again > 0 && passes.length && !flamed) {
      const [{ lay: firstLay }] = lays as [ReadyLay]
      const part = Math.min(1, again / passes.length)
      const { a } = currentOf(firstLay.process)
      arc(
        { code: 'lay-again', kind: 'arc', minutes: 0, process: firstLay.process, filler: firstLay.filler },
        a,
        part * arcTotalMin,
        {
          ...NOTHING_USED,
          rods: lays
            .filter(({ rods }) => rods > 0)
            .map(({ lay, rodMm, rods }) => ({ filler: lay.filler, diameterMm: rodMm, count: part * rods })),
          wireM: part * sum(lays.map(({ means }) => means.wireM)),
        },
      )
    }
  }

  /** Rod and flame: the place brought to where the rod flows, then the rod fed. */
  function flame(
    mend: Readied,
    { lay, means }: ReadyLay,
    draft: Omit<Draft, 'kind' | 'minutes'>,
    begins: boolean,
    ready: string | undefined,
  ) {
    const { id } = mend.given
    const { alloy } = mend.bodies[0]
    const rod = BRAZE_ROD_OF[lay.process]
    const flowC = rod ? BRAZE_RODS[rod].liquidusC + BRAZE_RODS[rod].overK : alloy.solidusC
    // What melts the metal itself with a flame wants one that is fed with oxygen.
    const own = PROCESSES[lay.process].fusion ? (kit.torches.find(({ gas }) => fuelOf(gas).oxygen) ?? torch) : torch
    const burnt = (minutes: number) => (own ? fuelL(own, minutes) : 0)
    const by = own ? { by: own.id } : {}
    const cautions = PROCESSES[lay.process].flux ? ['welding-flux'] : []
    if (begins && own) {
      const reach = torchReach(own, mass, alloy, mend.work.wallMm, flowC, {
        startC: heat.c,
        runMm: Math.min(BRAZED_RUN_MM, lay.runMm),
        atEdge: mend.kind.atEdge ?? false,
        held: true,
      })
      // A length at a time, each brought to the heat that the rod flows at.
      const minutes = (reach?.minutes ?? 0) * Math.max(1, lay.runMm / BRAZED_RUN_MM)
      addFor(id, {
        code: 'flame-heat',
        kind: 'flame',
        stage: 'laying',
        minutes,
        hot: true,
        limitC: alloy.solidusC,
        ...by,
        uses: { ...NOTHING_USED, fuelL: burnt(minutes) },
        after: [ready],
        cautions,
      })
    }
    const minutes = means.flameMin / means.passes
    const uses = draft.uses ?? NOTHING_USED
    const limitC = Math.max(flowC, alloy.solidusC)
    heat.to(Math.max(heat.c, flowC))
    addFor(id, {
      ...draft,
      kind: 'flame',
      stage: 'laying',
      minutes,
      hot: true,
      limitC,
      ...by,
      uses: { ...uses, fuelL: burnt(minutes) },
      cautions,
    })
    heat.to(Math.max(heat.c, flowC))
  }

  const flamesAll = laying.some(({ lays }) => lays.some(({ lay }) => LAYS_BY[lay.process] === 'flame'))
  const cool = (because: string) => {
    if (heat.c <= HAND_C) return
    const minutes = heat.coolMin(HAND_C) * (flamesAll ? COVERED : 1)
    shared = add({ code: 'cool', kind: 'wait', minutes, because, hot: true, after: [shared, ...chain.values()] })
    heat.to(Math.min(heat.c, HAND_C))
    for (const mend of chain.keys()) chain.set(mend, shared)
  }

  first()
  const rounds = roundsOf(mends, order)
  rounds.forEach((round, n) => {
    const waits = new Map<string, string>()
    const openings = round.flatMap(mend =>
      mend.work.opening.filter(step => !step.betweenSides).map(step => ({ mend, step })),
    )
    gate = [...chain.values()]
    for (const { mend, step } of openings.filter(one => one.step.ahead)) work(mend, step, 'opening', waits)
    for (const { mend, step } of openings.filter(one => !one.step.ahead && one.step.atC === undefined))
      work(mend, step, 'opening', waits)
    if (n === 0) {
      driveOut()
      setUp()
    }
    warmUp(round)
    for (const mend of round.filter(({ kind }) => kind.turn === 'first'))
      for (const step of mend.work.rebuild.filter(each => !each.cold)) work(mend, step, 'rebuild', waits)
    for (const mend of round) {
      for (const { step } of openings.filter(one => one.mend === mend && one.step.atC !== undefined))
        work(mend, step, 'opening', waits)
      if (mend.lays.length) layAll(mend)
    }
    if (n === rounds.length - 1) cool('cool-to-hand')
    for (const mend of round)
      for (const step of mend.work.rebuild.filter(each => each.cold || mend.kind.turn !== 'first'))
        work(mend, step, 'rebuild', waits)
  })
  const all = [...chain.values()]
  for (const { code, mends: asking } of checks)
    addShared(
      {
        code: `check-${code}`,
        kind: 'hand',
        trade: 'check',
        phase: 'prove',
        stage: 'check',
        minutes: checkMin(code, asking),
        cautions: CHECK_CAUTIONS[code] ?? [],
      },
      all,
    )
  for (const { id, price } of doing?.extras ?? [])
    addShared({ code: `extra-${id}`, kind: 'hand', phase: 'extra', minutes: 0, extra: price })
  return { steps, stopped }
}
