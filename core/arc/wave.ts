import type { Step } from '../ask/question'

export interface AcWave {
  averageA: number
  rmsA: number
  enMs: number
  epMs: number
  working: Step[]
}

/**
 * Average (of the absolute current), root mean square and half-wave times of a square AC wave.
 * @param enA current while the electrode is negative, @param epA while positive, @param enPct share of the time
 * negative
 * Exact for a square wave; a machine's real edges take a few per cent off.
 */
export function acWave(enA: number, epA: number, enPct: number, frequencyHz: number): AcWave {
  const en = enPct / 100
  const averageA = enA * en + epA * (1 - en)
  const rmsA = Math.sqrt(enA ** 2 * en + epA ** 2 * (1 - en))
  const enMs = (1000 / frequencyHz) * en
  const epMs = (1000 / frequencyHz) * (1 - en)
  const source = 'definition, square wave'
  return {
    averageA,
    rmsA,
    enMs,
    epMs,
    working: [
      {
        label: 'Average',
        formula: `${enA} × ${enPct} % + ${epA} × ${(100 - enPct).toFixed(1)} %`,
        value: averageA,
        unit: 'A',
        source,
      },
      {
        label: 'Root mean square',
        formula: `√(${enA}² × ${enPct} % + ${epA}² × ${(100 - enPct).toFixed(1)} %)`,
        value: rmsA,
        unit: 'A',
        source,
      },
      {
        label: 'Time negative, positive',
        formula: `1000 ÷ ${frequencyHz} Hz, shared`,
        value: `${enMs.toFixed(2)} and ${epMs.toFixed(2)}`,
        unit: 'ms',
        source,
      },
    ],
  }
}

export interface WavePoint {
  ms: number
  a: number
}

/** The wave as a polyline over some cycles, electrode negative first and below the line. */
export function wavePoints(enA: number, epA: number, enPct: number, frequencyHz: number, cycles = 2): WavePoint[] {
  const period = 1000 / frequencyHz
  const turn = (period * enPct) / 100
  return Array.from({ length: cycles }, (_, cycle) => [
    { ms: cycle * period, a: -enA },
    { ms: cycle * period + turn, a: -enA },
    { ms: cycle * period + turn, a: epA },
    { ms: (cycle + 1) * period, a: epA },
  ]).flat()
}
