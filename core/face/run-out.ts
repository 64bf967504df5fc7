import type { Step } from '../ask/question'

export interface Lobe {
  order: number
  amplitudeMm: number
}
export interface RunOut {
  tirMm: number
  eccentricityMm: number
  highDeg: number
  lobes: Lobe[]
  working: Step[]
}

/**
 * Run-out from readings evenly spaced round a turn, the first at 0°.
 * Total indicator reading is highest less lowest; the first harmonic is the offset of the centre, whose crest is the
 * high spot; higher orders are lobes (2 an oval, 3 a three-jaw shape). Discrete Fourier series; exact for the readings
 * given.
 * Orders up to, not including, half the number of readings.
 */
export function runOut(readingsMm: readonly number[]): RunOut {
  const n = readingsMm.length
  const harmonic = (order: number) => {
    let [cosine, sine] = [0, 0]
    readingsMm.forEach((value, i) => {
      cosine += value * Math.cos((2 * Math.PI * order * i) / n)
      sine += value * Math.sin((2 * Math.PI * order * i) / n)
    })
    return { amplitudeMm: (2 * Math.hypot(cosine, sine)) / n, crestDeg: (Math.atan2(sine, cosine) * 180) / Math.PI }
  }
  const first = harmonic(1)
  const tirMm = Math.max(...readingsMm) - Math.min(...readingsMm)
  const lobes = Array.from({ length: Math.max(0, Math.ceil(n / 2) - 2) }, (_, i) => ({
    order: i + 2,
    amplitudeMm: harmonic(i + 2).amplitudeMm,
  }))
  const highDeg = first.amplitudeMm < 1e-12 ? 0 : (first.crestDeg + 360) % 360
  return {
    tirMm,
    eccentricityMm: first.amplitudeMm,
    highDeg,
    lobes,
    working: [
      { label: 'Total indicator reading', formula: 'highest − lowest', value: tirMm, unit: 'mm', source: 'definition' },
      {
        label: 'Eccentricity',
        formula: 'amplitude of the first harmonic',
        value: first.amplitudeMm,
        unit: 'mm',
        source: 'Fourier series',
      },
      {
        label: 'High spot',
        formula: 'crest of the first harmonic',
        value: highDeg,
        unit: '°',
        source: 'Fourier series',
      },
    ],
  }
}
