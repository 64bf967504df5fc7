import { TUNGSTENS } from '../../arc/setup.table'

/** The table of tungstens holds at about this much of the half-wave negative, %. */
const TABLE_PCT = 70
/** Volts that a tungsten takes of each ampere while positive, and while negative. Judgement from the falls. */
const POSITIVE_V = 8
const NEGATIVE_V = 1.5
/** A tip so much past what it stands grows a nub at this rate, mm/s for each whole time too much; at most so large. */
const GROWS_MM_S = 1.5
const LARGEST_MM = 2.5
/** What a tungsten that was dipped into the melt takes up at once, mm. Common practice: it has to be ground anew. */
const DIPPED_MM = 1
/** The arc sits anywhere on the nub: it strays this far for each millimetre of it. Judgement. */
const STRAYS = 1
/** It jumps about at these rates, Hz: no common measure, so that it never repeats. Judgement. */
const RATES = [3.1, 4.7, 7.3] as const
/** Stray past this is seen, mm. */
export const WANDERS_MM = 0.8

const heatOf = (a: number, enPct: number) => a * (POSITIVE_V * (1 - enPct / 100) + (NEGATIVE_V * enPct) / 100)

/** What a tungsten stands at a balance, A: the top of its range, less the more it cleans. */
export function standsA(tungstenMm: number, enPct: number): number {
  const row = TUNGSTENS.find(each => each.mm >= tungstenMm - 1e-9) ?? TUNGSTENS.at(-1)!
  return (row.highA * heatOf(1, TABLE_PCT)) / heatOf(1, enPct)
}

/**
 * The tip of a tungsten: past its current, with too much of the half-wave positive, or dipped into the melt it grows a
 * nub, and the arc strays over it. It stays so until it is ground anew. The same hand makes the same stray.
 */
export class Tungsten {
  nubMm = 0
  private s = 0
  private readonly mostA: number

  constructor(
    tungstenMm: number,
    readonly enPct: number,
  ) {
    this.mostA = standsA(tungstenMm, enPct)
  }
  burn(seconds: number, a: number): void {
    this.s += seconds
    const over = a / this.mostA - 1
    if (over > 0) this.nubMm = Math.min(LARGEST_MM, this.nubMm + GROWS_MM_S * over * seconds)
  }
  dipped(): void {
    this.nubMm = Math.max(this.nubMm, DIPPED_MM)
  }
  /** Where the arc sits now, off the middle of the tungsten, mm. */
  stray(): { xMm: number; yMm: number } {
    const far = (STRAYS * this.nubMm) / Math.SQRT2
    const wave = (rate: number, turn: number) => Math.sin(2 * Math.PI * rate * this.s + turn)
    return {
      xMm: (far * (wave(RATES[0], 0) + wave(RATES[1], 1))) / 2,
      yMm: (far * (wave(RATES[1], 2) + wave(RATES[2], 3))) / 2,
    }
  }
  get wanders(): boolean {
    return STRAYS * this.nubMm > WANDERS_MM
  }
}
