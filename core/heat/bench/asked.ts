import type { CutPart } from '../simulate'
import type { Simulate } from '../simulate.schema'
import type { HeatSetup } from './setup.schema'
import { aimedAt } from './swept'
import { toSimulate, type Surroundings } from './to-simulate'
import { withZone } from './zone'

/** A swept flame's spots moved onto the metal that each covers. */
const aimed = (input: Simulate, { grid }: CutPart): Simulate => ({
  ...input,
  sources: input.sources.map(source =>
    source.kind === 'torch' && source.atMm
      ? { ...source, atMm: aimedAt(grid, source.atMm, source.face, source.radiusMm) }
      : source,
  ),
})

/**
 * What `heat.simulate` is asked for a set-up on its part once that is cut: a swept flame falls on the metal, and each
 * weld zone is read all about its middle.
 * @throws NoAnswer as `toSimulate`
 */
export function askedOf(setup: HeatSetup, around: Surroundings, part: CutPart, readings?: number): Simulate {
  const input = toSimulate(setup, around, readings)
  return withZone(setup.heat.kind === 'swept' ? aimed(input, part) : input, setup, part)
}
