import type { Work } from '../../mend/kind'
import { torchReach } from '../../warm/torch-reach'
import { fuelL } from '../cost'
import type { Readied } from '../readied'
import { runOf } from '../run'
import { NOTHING_USED, type Made } from '../step'
import { OVEN_WARM_MIN } from '../steps/minutes.table'
import type { Bench } from './bench'
import { HAND_C } from './heat'

/** Hotter than a fit was worked out for by more than this, it is left to cool first, K. Judgement. */
const FIT_WITHIN_K = 5

/** One piece of a kind's own work: by whom, how warm, and after what. `waits`: what goes by itself, by mend. */
export function ownWork(
  bench: Bench,
  mend: Readied,
  step: Work,
  stage: Made['stage'],
  waits: Map<string, string>,
): void {
  const { mass, heat, torch, chain, add, addFor, cooled, readyMill } = bench
  const { id } = mend.given
  const common = { stage, trade: step.trade, phase: 'mend' as const, ...(step.costs ? { extra: step.costs } : {}) }
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
        after: [chain.get(id) ?? bench.shared],
      }),
    )
    return
  }
  if (step.cold) cooled(id, HAND_C, 'worked-cold')
  if (step.at) {
    const { c: atC, why } = step.at
    if (why === 'fit-heat') cooled(id, atC + FIT_WITHIN_K, why)
    if (heat.c < atC - FIT_WITHIN_K) {
      const reach =
        torch &&
        torchReach(torch, mass, mend.bodies[0].alloy, mend.work.wallMm, atC, {
          startC: heat.c,
          runMm: runOf(mend.work),
        })
      const minutes = reach ? reach.minutes : OVEN_WARM_MIN
      addFor(id, {
        ...common,
        code: why === 'fit-heat' ? 'warm-boss' : 'warm-place',
        kind: 'flame',
        minutes,
        hot: true,
        ...(torch ? { by: torch.id, uses: { ...NOTHING_USED, fuelL: fuelL(torch, minutes) } } : {}),
      })
      heat.to(atC)
    }
  }
  const warmed = step.cold || step.at !== undefined
  const after = [step.mill ? readyMill() : undefined, step.at ? waits.get(id) : undefined]
  if (step.machineMin) {
    if (step.handMin > 0)
      addFor(id, {
        ...common,
        extra: 0,
        trade: 'fit',
        code: 'find-on-mill',
        kind: 'hand',
        minutes: step.handMin,
        after,
      })
    addFor(id, { ...common, code: step.code, kind: 'machine', minutes: step.machineMin, after, cautions, hot: warmed })
  } else addFor(id, { ...common, code: step.code, kind: 'hand', minutes: step.handMin, after, cautions, hot: warmed })
}
