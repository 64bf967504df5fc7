import { isArc, PROCESSES } from '../../process/registry'
import { protectOf } from '../../job/words.table'
import {
  BAKE_C,
  BAKE_MIN,
  BRAZE_SET_UP_MIN,
  DEGREASE_MIN,
  EARLIER_REPAIR_MIN,
  PROTECT_MIN_EACH,
  TAKE_IN_MIN,
  WELD_SET_UP_MIN,
} from '../../mend/minutes.table'
import { fuelL } from '../cost'
import type { Readied } from '../readied'
import { NOTHING_USED } from '../step'
import {
  CLEAN_LOOK_MIN,
  EARTH_MIN,
  FLUX_MIN,
  INSULATE_MIN,
  LEAST_BAKE_C,
  LOOK_AT_MIN,
  SOAK_MIN,
  MEASURE_BEFORE_MIN,
  TORCH_OUT_MIN,
  WIPE_AGAIN_MIN,
} from '../steps/minutes.table'
import type { Bench } from './bench'
import { HAND_C } from './heat'
import { keptCap, metalLimitC } from './limits'

/** A flame that warmed all of it is let down slowly, covered: as long again. Common practice, no source. */
const COVERED = 2

/** Taken in, looked at, guarded and degreased; an earlier repair taken out. */
export function takeItIn(bench: Bench): void {
  const {
    job: { part },
    refused,
    hazards,
    add,
    addShared,
  } = bench
  addShared({
    code: 'take-in',
    kind: 'hand',
    trade: 'check',
    phase: 'open',
    minutes: TAKE_IN_MIN,
    cautions: [...hazards, ...(part.safetyCritical === 'none' ? [] : [`safety-${part.safetyCritical}`])],
  })
  if (part.mustNotMove.length)
    addShared({
      code: 'measure-before',
      kind: 'hand',
      trade: 'check',
      phase: 'open',
      minutes: part.mustNotMove.length * MEASURE_BEFORE_MIN,
    })
  for (const { given } of refused)
    add({
      mend: given.id,
      code: 'look',
      kind: 'hand',
      trade: 'check',
      phase: 'open',
      minutes: LOOK_AT_MIN,
      after: [bench.shared],
    })
  for (const id of part.protect) {
    const code = protectOf(id)?.caution
    addShared({
      code: `protect-${id}`,
      kind: 'hand',
      trade: 'fit',
      phase: 'open',
      minutes: PROTECT_MIN_EACH,
      cautions: code ? [code] : [],
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

/** Oil and water driven out of the whole part, as far as its limits bear it. */
export function driveOut({ job: { part }, laying, kept, heat, torch, chain, addShared }: Bench): void {
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
  } else if (part.soak === 'oily' && torch && !kept.length) {
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

/** Machine, torch and flux made ready for all that is laid. */
export function setUp({ laying, share, addShared }: Bench): void {
  const processes = [...new Set(laying.flatMap(({ lays }) => lays.map(({ lay }) => lay.process)))]
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

/** Whether a mend is laid, or worked at a heat. */
const wantsHeat = ({ lays, work }: Readied): boolean =>
  lays.length > 0 || [...work.opening, ...work.rebuild].some(({ at }) => at)

/** The part warmed for a round of mends, from what it stands at: a share of what warming it from the start takes. */
export function warmUp(
  { warm, warmLimitC, heat, torch, chain, steps, addShared }: Bench,
  round: readonly Readied[],
  startC: number,
): void {
  const before = round.map(({ given }) => chain.get(given.id))
  if (warm.need !== 'none' && warm.reaches && round.some(wantsHeat) && heat.c < warm.toC) {
    const minutes = (warm.minutes * (warm.toC - heat.c)) / Math.max(1e-6, warm.toC - startC)
    const by = torch?.id
    const first = steps.every(({ code }) => code !== 'warm')
    if (first) addShared({ code: 'insulate', kind: 'hand', trade: 'fit', phase: 'warm', minutes: INSULATE_MIN }, before)
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
    const soakMin = Math.max(0, ...warm.why.map(why => SOAK_MIN[why] ?? 0))
    if (first && soakMin > 0) {
      addShared({ code: 'soak', kind: 'wait', phase: 'warm', minutes: soakMin, because: 'until-dry', hot: true })
      heat.to(warm.toC)
    }
  }
}

/** All of it left until a hand can be laid on it. */
export function coolAll(bench: Bench, because: string): void {
  const { heat, laying, chain, add } = bench
  if (heat.c <= HAND_C) return
  const flamesAll = laying.some(({ lays }) => lays.some(({ lay }) => PROCESSES[lay.process].lays === 'flame'))
  const minutes = heat.coolMin(HAND_C) * (flamesAll ? COVERED : 1)
  bench.shared = add({
    code: 'cool',
    kind: 'wait',
    minutes,
    because,
    hot: true,
    after: [bench.shared, ...chain.values()],
  })
  heat.to(Math.min(heat.c, HAND_C))
  for (const mend of chain.keys()) chain.set(mend, bench.shared)
}
