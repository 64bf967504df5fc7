import { NoAnswer } from '../ask/question'
import { finish, march } from './field/march'
import { leastSquares, type Fit } from './least-squares'
import { temperatureCurve, type LumpedBody } from './lumped'
import { cutPart, setUp } from './simulate'
import type { Simulate } from './simulate.schema'

export interface Reading {
  s: number
  C: number
}

/** Where a fit starts, and the scale of each figure: absorbed W, film W/m²K. */
const FIRST_W = 500
const FIRST_FILM = 12
/** A thermometer's own scatter, °C, below which a residual proves nothing: common practice, no source. */
const THERMOMETER_C = 0.3
/** Readings that rise or fall less than this say nothing, K. */
const LEAST_CHANGE_K = 3

/** Temperatures of a lump at given times, source on until `offS`. */
function lumpAt(body: LumpedBody, startC: number, timesS: readonly number[], offS: number): number[] {
  let [c, s] = [startC, 0]
  const advance = (toS: number, absorbedW: number) => {
    if (toS > s) c = temperatureCurve({ ...body, absorbedW }, c, toS - s, 4).at(-1)!.c
    s = Math.max(s, toS)
  }
  return timesS.map(time => {
    if (s < offS) advance(Math.min(time, offS), body.absorbedW)
    advance(time, 0)
    return c
  })
}

function mustSpeak(readings: readonly Reading[]): void {
  const values = readings.map(reading => reading.C)
  if (Math.max(...values) - Math.min(...values) < LEAST_CHANGE_K)
    throw new NoAnswer(
      `the readings change by less than ${LEAST_CHANGE_K} °C: they say nothing about source or film; heat for longer`,
    )
}

function fitted(readings: readonly Reading[], model: (absorbedW: number, filmWm2K: number) => readonly number[]): Fit {
  return leastSquares(
    ([absorbedW, film]) => model(absorbedW!, film!),
    readings.map(reading => reading.C),
    [FIRST_W, FIRST_FILM],
    { least: [0, 0], scale: [FIRST_W, FIRST_FILM], floor: THERMOMETER_C },
  )
}

/**
 * Absorbed power and film coefficient of a part taken as one lump, from thermometer readings; emissivity held.
 * @param offS when the source was taken away; the cooling that follows tells film from power
 */
export function fitLump(
  body: Omit<LumpedBody, 'absorbedW' | 'filmWm2K'>,
  startC: number,
  readings: readonly Reading[],
  offS: number,
): Fit {
  mustSpeak(readings)
  const timesS = readings.map(reading => reading.s)
  return fitted(readings, (absorbedW, filmWm2K) => lumpAt({ ...body, absorbedW, filmWm2K }, startC, timesS, offS))
}

type Source = Simulate['sources'][number]
/** Whether a source is part of the same swept flame as another: a torch held beside it, as strong and as long. */
export const isOneFlame = (source: Source, first: Source): boolean =>
  source === first ||
  (source.kind === 'torch' &&
    first.kind === 'torch' &&
    !source.pathMm &&
    !first.pathMm &&
    source.powerW === first.powerW &&
    source.efficiencyPct === first.efficiencyPct &&
    source.startS === first.startS &&
    source.endS === first.endS)

/**
 * The same on a part in cells, its first source scaled, with what is one flame with it, and its film changed; the
 * readings are at its first probe. The power is that of the whole flame.
 */
export function fitPart(input: Simulate, readings: readonly Reading[]): Fit {
  mustSpeak(readings)
  const part = cutPart(input)
  const timesS = readings.map(reading => reading.s)
  const spots = input.sources.filter(source => isOneFlame(source, input.sources[0]!)).length
  return fitted(readings, (absorbedW, filmWm2K) => {
    const sources = input.sources.map(source =>
      'powerW' in source && isOneFlame(source, input.sources[0]!)
        ? { ...source, powerW: Math.max(absorbedW / spots, 1e-6), efficiencyPct: 100 }
        : source,
    )
    const setup = { ...setUp({ ...input, sources, losses: { ...input.losses, filmWm2K } }, part), timesS }
    return finish(march(setup)).probesC[0]!
  })
}
