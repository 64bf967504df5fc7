import { NoAnswer, type Step } from '../ask/question'
import { MM_PER_INCH } from '../quantity/constants'
import {
  BALANCE_SCHOOLS,
  FREQUENCY_SCHOOLS,
  GAS_L_MIN,
  POSITION_SHARE,
  ROD_BY_CURRENT,
  TUNGSTENS,
  type BalanceSchool,
  type FrequencySchool,
  type Position,
} from './setup.table'

/**
 * Post-flow: 15 s with 2.4 mm tungsten at full output, 5 s at 70 A, a straight line between. Common practice, no
 * source.
 */
export const postflowS = (a: number) => Math.min(20, Math.max(5, 5 + ((a - 70) * 10) / 130))

/** Over this the fine end of a ground tungsten would not stand on AC and rounds itself: common practice, no source. */
const ROUNDED_ABOVE_A = 120
/** Of those that stand the current, the one nearest to this is taken: common practice, no source. */
const ALL_ROUND_MM = 2.4
const INCH_SIXTEENTH_MM = MM_PER_INCH / 16
const middle = (low: number, high: number) => (low + high) / 2

export interface TigSetup {
  a: number
  tungstenMm: number
  tungstens: { mm: number; lowA: number; highA: number }[]
  tip: string
  cup: number
  cupMm: number
  gasLMin: number
  postflowS: number
  fillerMm: number
  enPct: number
  frequencyHz: number
  schools: { frequency: typeof FREQUENCY_SCHOOLS; balance: typeof BALANCE_SCHOOLS }
  working: Step[]
}

/**
 * A TIG machine set for a current on aluminium: tungsten, tip, cup, gas, post-flow, rod, balance and frequency with
 * each school's range.
 *
 * Valid on AC from 10 to 450 A. Tungsten ranges: AWS A5.12, from memory; the rest common practice, marked in the
 * working.
 * @throws NoAnswer past what any tungsten stands
 */
export function tigSetup(given: {
  a: number
  fillerMm?: number | undefined
  position: Position
  school: FrequencySchool
  metal: BalanceSchool
}): TigSetup {
  const a = given.a * POSITION_SHARE[given.position]
  const fits = TUNGSTENS.filter(entry => a >= entry.lowA && a <= entry.highA)
  const tungsten =
    fits.toSorted((x, y) => Math.abs(x.mm - ALL_ROUND_MM) - Math.abs(y.mm - ALL_ROUND_MM))[0] ??
    (a < TUNGSTENS[0].lowA ? TUNGSTENS[0] : null)
  if (!tungsten)
    throw new NoAnswer(`${Math.round(a)} A on AC is past what a ${TUNGSTENS.at(-1)!.mm} mm tungsten stands: use MIG`)
  const frequency = FREQUENCY_SCHOOLS[given.school]
  const balance = BALANCE_SCHOOLS[given.metal]
  const fillerMm = given.fillerMm ?? ROD_BY_CURRENT.find(entry => a <= entry.toA)!.mm
  const gasLMin = GAS_L_MIN[tungsten.cup]!
  const tip =
    a > ROUNDED_ABOVE_A ? 'ground, the end blunted to a small round' : 'ground to a point, the very end blunted'
  const common = 'common practice, no source'
  return {
    a,
    tungstenMm: tungsten.mm,
    tungstens: fits.map(({ mm, lowA, highA }) => ({ mm, lowA, highA })),
    tip,
    cup: tungsten.cup,
    cupMm: tungsten.cup * INCH_SIXTEENTH_MM,
    gasLMin,
    postflowS: postflowS(a),
    fillerMm,
    enPct: middle(balance.lowPct, balance.highPct),
    frequencyHz: middle(frequency.lowHz, frequency.highHz),
    schools: { frequency: FREQUENCY_SCHOOLS, balance: BALANCE_SCHOOLS },
    working: [
      {
        label: 'Current in this position',
        formula: `${given.a} A × ${POSITION_SHARE[given.position]} (${given.position})`,
        value: a,
        unit: 'A',
        source: common,
      },
      {
        label: 'Tungsten',
        formula: `stands ${tungsten.lowA} to ${tungsten.highA} A on AC`,
        value: tungsten.mm,
        unit: 'mm',
        source: 'AWS A5.12, from memory, eased to common practice',
      },
      {
        label: 'Cup and gas',
        formula: `No. ${tungsten.cup} for that tungsten`,
        value: gasLMin,
        unit: 'L/min',
        source: common,
      },
      { label: 'Post-flow', formula: '5 s at 70 A to 15 s at 200 A', value: postflowS(a), unit: 's', source: common },
      {
        label: 'Electrode negative',
        formula: `${given.metal} metal: ${balance.lowPct} to ${balance.highPct} %`,
        value: middle(balance.lowPct, balance.highPct),
        unit: '%',
        source: common,
      },
      {
        label: 'Frequency',
        formula: `${given.school} school: ${frequency.lowHz} to ${frequency.highHz} Hz`,
        value: middle(frequency.lowHz, frequency.highHz),
        unit: 'Hz',
        source: common,
      },
    ],
  }
}
