import { NoAnswer } from '../../ask/question'
import { probeAt } from '../field/probe'
import type { CutPart } from '../simulate'
import type { Simulate } from '../simulate.schema'
import type { HeatSetup } from './setup.schema'
import { flameSpots } from './swept'

/** A weld zone is this far about its middle, mm: common practice, the stick is tried an inch or so from the joint. */
export const ZONE_MM = 20
const AXES = [0, 1, 2] as const

/**
 * Adds to a run's probes, for each weld zone, the places about its middle and along the line that a flame is swept
 * over, those that lie in the metal: under the flame one place alone is hot at once and says nothing.
 */
export function withZone(input: Simulate, setup: Pick<HeatSetup, 'places' | 'heat'>, { grid }: CutPart): Simulate {
  const extra: Simulate['probes'] = []
  const read = (at: readonly [number, number, number]) => {
    try {
      probeAt(grid, at, '')
      extra.push({ xMm: at[0], yMm: at[1], zMm: at[2] })
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error
    }
  }
  if (setup.heat.kind === 'swept' && setup.places.some(place => place.kind === 'weld-zone'))
    flameSpots(setup.heat).forEach(read)
  setup.places.forEach((place, n) => {
    if (place.kind !== 'weld-zone') return
    const { xMm, yMm, zMm } = input.probes[n]!
    for (const axis of AXES) {
      for (const way of [-ZONE_MM, ZONE_MM]) {
        const at = [xMm, yMm, zMm] as [number, number, number]
        at[axis] += way
        read(at)
      }
    }
  })
  return { ...input, probes: [...input.probes, ...extra] }
}

/** Which of a run's probes belong to weld zones. */
export const zoneProbes = ({ places }: Pick<HeatSetup, 'places'>, count: number): number[] =>
  Array.from({ length: count }, (_, n) => n).filter(n => n >= places.length || places[n]!.kind === 'weld-zone')

/** The coldest of the weld zones at each time; null without one. */
export function coldestZone(setup: Pick<HeatSetup, 'places'>, probes: readonly (readonly number[])[]): number[] | null {
  const zones = setup.places.some(place => place.kind === 'weld-zone')
    ? zoneProbes(setup, probes.length).map(n => probes[n]!)
    : []
  return zones.length ? zones[0]!.map((_, at) => Math.min(...zones.map(series => series[at]!))) : null
}
