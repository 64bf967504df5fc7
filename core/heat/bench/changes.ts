import { NoAnswer } from '../../ask/question'
import type { CutPart } from '../simulate'
import { askedOf } from './asked'
import { quickRun } from './quick'
import { TORCHED, type HeatSetup } from './setup.schema'
import { heldStill } from './swept'
import type { Surroundings } from './to-simulate'
import { heatVerdict, type HeatVerdict } from './verdict'

interface Change {
  readonly name: string
  readonly fits: (setup: HeatSetup) => boolean
  readonly make: (setup: HeatSetup, around: Surroundings) => { setup: HeatSetup; around: Surroundings }
}

const torched = ({ heat }: HeatSetup) => TORCHED.has(heat.kind)

/** One thing a hand can change, and what it makes of a set-up. */
export const CHANGES = {
  strips: {
    name: 'two strips under it',
    fits: setup => setup.stand === 'bench' || setup.stand === 'copper',
    make: (setup, around) => ({ setup: { ...setup, stand: 'strips' }, around }),
  },
  board: {
    name: 'an insulating board under it',
    fits: setup => setup.stand !== 'board' && setup.stand !== 'air',
    make: (setup, around) => ({ setup: { ...setup, stand: 'board' }, around }),
  },
  lid: {
    name: 'a lid or blanket over it',
    fits: setup => !setup.lid && setup.heat.kind !== 'oven',
    make: (setup, around) => ({ setup: { ...setup, lid: true }, around }),
  },
  bigger: {
    name: 'a tip half as big again',
    fits: torched,
    make: (setup, around) => ({
      setup,
      around: { ...around, torch: around.torch && { ...around.torch, powerW: around.torch.powerW * 1.5 } },
    }),
  },
  walked: {
    name: 'the torch walked round instead of held',
    fits: setup => setup.heat.kind === 'held',
    make: (setup, around) => ({ setup: { ...setup, heat: { ...setup.heat, kind: 'walked' } }, around }),
  },
  held: {
    name: 'the torch held instead of moved',
    fits: setup => setup.heat.kind === 'walked' || setup.heat.kind === 'swept',
    make: (setup, around) => ({ setup: { ...setup, heat: heldStill(setup.heat) }, around }),
  },
} as const satisfies Record<string, Change>
export type ChangeId = keyof typeof CHANGES

export interface Changed {
  id: ChangeId
  name: string
  verdict: HeatVerdict
}

/**
 * The set-up as it is and with each one change that fits it, all on the same coarse cells so that they compare; a
 * change that cannot be run is left out.
 */
export function* oneChanges(
  setup: HeatSetup,
  around: Surroundings,
  part: CutPart,
): Generator<number, { asIs: HeatVerdict; changed: Changed[] }> {
  const verdict = (given: HeatSetup, with_: Surroundings) => {
    const input = askedOf(given, with_, part)
    return heatVerdict(given, quickRun(input, part), with_.targetC, with_.ambientC, given.onS.value ?? 0)
  }
  const asIs = verdict(setup, around)
  const fitting = (Object.keys(CHANGES) as ChangeId[]).filter(id => CHANGES[id].fits(setup))
  const changed: Changed[] = []
  for (const [n, id] of fitting.entries()) {
    yield (n + 1) / (fitting.length + 1)
    const made = CHANGES[id].make(setup, around)
    try {
      changed.push({ id, name: CHANGES[id].name, verdict: verdict(made.setup, made.around) })
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error
    }
  }
  return { asIs, changed }
}
