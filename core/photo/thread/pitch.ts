import { Matrix, solve } from 'ml-matrix'

export interface Period {
  /** Px. */
  period: number
  /** One standard deviation, px, from what the waves leave. */
  error: number
  /** Share of the variation that the waves explain. */
  explained: number
  /** Where the first wave's crest stands, px, and how high it is. */
  phase: number
  amplitude: number
}

/** Waves fitted: the first and its overtones, as a thread's corners want. */
const WAVES = 3
/** Periods tried are this share apart, finer than a wave's width in the spectrum for any length used here. */
const STEP = 0.004
const LEAST_PERIOD_PX = 4
const LEAST_TURNS = 3

/** Waves of a period, and a line, fitted by least squares; what they leave. */
function fit(t: Float64Array, y: Float64Array, period: number, waves: number): { left: number; of: number[] } {
  const columns = 2 + 2 * waves
  const square = Array.from({ length: columns }, () => new Array<number>(columns).fill(0))
  const right = new Array<number>(columns).fill(0)
  const middle = t[Math.floor(t.length / 2)]!
  const row = new Array<number>(columns).fill(0)
  let total = 0
  for (let i = 0; i < t.length; i++) {
    row[0] = 1
    row[1] = (t[i]! - middle) / t.length
    for (let k = 1; k <= waves; k++) {
      const angle = (2 * Math.PI * k * t[i]!) / period
      row[2 * k] = Math.cos(angle)
      row[2 * k + 1] = Math.sin(angle)
    }
    for (let a = 0; a < columns; a++) {
      right[a]! += row[a]! * y[i]!
      for (let b = 0; b <= a; b++) square[a]![b]! += row[a]! * row[b]!
    }
    total += y[i]! * y[i]!
  }
  for (let a = 0; a < columns; a++) {
    square[a]![a]! += 1e-9 * t.length
    for (let b = 0; b < a; b++) square[b]![a] = square[a]![b]!
  }
  const of = solve(new Matrix(square), Matrix.columnVector(right)).to1DArray()
  return { left: Math.max(0, total - of.reduce((sum, value, n) => sum + value * right[n]!, 0)), of }
}

/** Spread about the best straight line. */
function aboutLine(t: Float64Array, y: Float64Array): number {
  return fit(t, y, 1e12, 0).left
}

/**
 * The period of a curve: waves of every period from a few pixels to a third of its length are fitted and the one that
 * leaves least is refined. The first wave decides, overtones only sharpen it.
 * @param t places, px, at about one apart @returns null where the curve is too short
 */
export function periodOf(t: Float64Array, y: Float64Array): Period | null {
  const long = t.at(-1)! - t[0]!
  const most = long / LEAST_TURNS
  if (t.length < 16 || most < LEAST_PERIOD_PX) return null
  const spread = aboutLine(t, y)
  if (spread <= 0) return null
  let best = { period: 0, left: Infinity }
  for (let period = LEAST_PERIOD_PX; period <= most; period *= 1 + Math.min(STEP, (0.15 * period) / long)) {
    const { left } = fit(t, y, period, 1)
    if (left < best.left) best = { period, left }
  }
  // Refined with its overtones, by thirds of an ever smaller bracket.
  let [low, high] = [best.period * (1 - (0.5 * best.period) / long), best.period * (1 + (0.5 * best.period) / long)]
  for (let round = 0; round < 40; round++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3]
    if (fit(t, y, a, WAVES).left < fit(t, y, b, WAVES).left) high = b
    else low = a
  }
  const period = (low + high) / 2
  const { left, of } = fit(t, y, period, WAVES)
  const amplitude = Math.hypot(of[2]!, of[3]!)
  // Cramér and Rao for a wave's frequency in noise: σ_f = √6 σ / (π A N^1.5); neighbouring points are not independent.
  const noise = Math.sqrt(left / Math.max(1, t.length - 2 * WAVES - 3))
  const independent = t.length / Math.max(2, period / 4)
  const error = (period ** 2 / long) * ((Math.sqrt(6) * noise) / (Math.PI * amplitude * Math.sqrt(independent)))
  return {
    period,
    error,
    explained: 1 - left / spread,
    phase: (Math.atan2(of[3]!, of[2]!) / (2 * Math.PI)) * period,
    amplitude,
  }
}
