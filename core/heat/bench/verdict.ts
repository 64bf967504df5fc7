import { PLACE_KINDS, type PlaceKind } from './places.table'
import type { HeatSetup } from './setup.schema'
import { coldestZone } from './zone'

/** Welding may go on until the zone has fallen this share of the way from its target to the air: judgement. */
export const KEEP_SHARE = 0.25
/** A place within this of its limit is near it, K: the spread of sticks and of the figures themselves; judgement. */
const NEAR_K = 15

export interface GuardVerdict {
  id: string
  name: string
  kind: PlaceKind
  limitC: number
  hottestC: number
  hottestS: number
  /** When it first passes its limit; null where it never does. */
  overS: number | null
  state: 'safe' | 'near' | 'over'
}
export interface HeatVerdict {
  /** When the coldest place of the weld zone first reaches its target. */
  readyS: number | null
  /** The hottest the weld zone gets. */
  zoneC: number | null
  /** How long it stays warm enough to weld once the heat is off; null where it never is. */
  warmForS: number | null
  /** Whether the record ends before it has cooled that far. */
  warmBeyond: boolean
  guards: GuardVerdict[]
}

/**
 * First time a series passes a level upwards (or downwards), between readings by the straight line; null where it never
 * does.
 */
export function crossing(
  times: readonly number[],
  values: readonly number[],
  level: number,
  upwards: boolean,
  fromS = -Infinity,
): number | null {
  const past = (value: number) => (upwards ? value >= level : value <= level)
  for (let n = 0; n < times.length; n++) {
    if (times[n]! < fromS || !past(values[n]!)) continue
    if (n === 0 || times[n - 1]! < fromS) return times[n]!
    const [before, after] = [values[n - 1]!, values[n]!]
    return before === after
      ? times[n]!
      : times[n - 1]! + ((level - before) / (after - before)) * (times[n]! - times[n - 1]!)
  }
  return null
}

/** What a run says of the weld zone and of each guard. Probes beyond the places are more of the weld zones. */
export function heatVerdict(
  setup: Pick<HeatSetup, 'places'>,
  run: { times: readonly number[]; probes: readonly (readonly number[])[] },
  targetC: number,
  ambientC: number,
  onS: number,
): HeatVerdict {
  const zone = coldestZone(setup, run.probes)
  const readyS = zone && crossing(run.times, zone, targetC, true)
  const keepC = targetC - KEEP_SHARE * (targetC - ambientC)
  const offS = Math.max(onS, readyS ?? 0)
  const coldS = zone && readyS !== null ? crossing(run.times, zone, keepC, false, offS) : null
  return {
    readyS,
    zoneC: zone && Math.max(...zone),
    warmForS: readyS === null || !zone ? null : (coldS ?? run.times.at(-1)!) - offS,
    warmBeyond: readyS !== null && coldS === null,
    guards: setup.places.flatMap((place, n) => {
      const limitC = place.limitC.value ?? PLACE_KINDS[place.kind].limitC
      if (limitC === null || place.kind === 'weld-zone') return []
      const series = run.probes[n]!
      const hottestC = Math.max(...series)
      return [
        {
          id: place.id,
          kind: place.kind,
          name: place.name || PLACE_KINDS[place.kind].name,
          limitC,
          hottestC,
          hottestS: run.times[series.indexOf(hottestC)]!,
          overS: crossing(run.times, series, limitC, true),
          state:
            hottestC > limitC ? ('over' as const) : hottestC > limitC - NEAR_K ? ('near' as const) : ('safe' as const),
        },
      ]
    }),
  }
}
