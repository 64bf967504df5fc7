import { STITCHED } from '../process/registry'
import { NoAnswer, type Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { ampsNeed } from './amps'

/**
 * Aluminium wire melted a minute for each ampere, g: burn-off of 0.8–1.6 mm wire in argon lies on a straight line
 * through nought; common practice, and a spool gun's 344 in/min at 3 mm plate bears it out.
 */
const MELTED_G_MIN_A = 0.155
/** Magnesium wires melt faster for the same current, as they conduct worse: common practice, no source. */
const MAGNESIUM_SHARE = 1.08
const MAGNESIUM_PCT = 2

/**
 * Arc voltage = start + slope × current, by mode; share of the current a flat joint wants. Common practice, no source;
 * the cold line is set by 17 V at 3 mm plate.
 */
const MODES = {
  spray: { startV: 17.6, slopeVA: 0.029, share: 1.05 },
  pulse: { startV: 17.2, slopeVA: 0.025, share: 1 },
  'double-pulse': { startV: 17.0, slopeVA: 0.025, share: 0.95 },
  cold: { startV: 14.1, slopeVA: 0.03, share: 1 },
} as const
export type MigMode = keyof typeof MODES
export const MIG_MODES = Object.keys(MODES) as [MigMode, ...MigMode[]]

/**
 * Least current at which drops go over as a spray in argon, A, by wire, mm. AWS Welding Handbook vol. 2, from memory.
 */
const SPRAY_FROM_A: readonly (readonly [mm: number, a: number])[] = [
  [0.8, 90],
  [1.0, 100],
  [1.2, 135],
  [1.6, 180],
  [2.4, 240],
]
/** What a wire stands at most, A for each mm² of its section, before it burns back: judgement. */
const MOST_A_MM2 = 260

/** Between the rows by the straight line; beyond them the end rows. */
function sprayFromA(wireMm: number): number {
  const [first, last] = [SPRAY_FROM_A[0]!, SPRAY_FROM_A.at(-1)!]
  if (wireMm <= first[0]) return first[1]
  if (wireMm >= last[0]) return last[1]
  const n = SPRAY_FROM_A.findIndex(([mm]) => mm >= wireMm)
  const [[m0, a0], [m1, a1]] = [SPRAY_FROM_A[n - 1]!, SPRAY_FROM_A[n]!]
  return a0 + ((a1 - a0) * (wireMm - m0)) / (m1 - m0)
}

export interface MigSetup {
  a: number
  wireMMin: number
  v: number
  depositGMin: number
  sprayFromA: number
  sprays: boolean
  /** The wire carries no more: it runs at its most, in more beads. */
  heldByWire: boolean
  working: Step[]
}

/**
 * Wire feed, voltage and deposit of a MIG gun on aluminium for a wall.
 *
 * Current from the wall (`amps.need`, spool gun), melted wire in proportion to current, feed = melted ÷ (density ×
 * section).
 * Valid for 0.8–2.4 mm wire, walls 1–20 mm. Accuracy: feed to a tenth, voltage to 2 V; trim by sound and by the bead.
 * Thin wire on a thick wall runs at the most it carries, as long as that melts in (common practice: several beads).
 * @throws NoAnswer where even that does not melt in
 */
export function migSetup({
  wireMm,
  filler,
  wallMm,
  mode,
  startC = 20,
}: {
  wireMm: number
  filler: Alloy
  wallMm: number
  mode: MigMode
  startC?: number
}): MigSetup {
  const { startV, slopeVA, share } = MODES[mode]
  const need = ampsNeed(wallMm, startC, STITCHED, 'flat')
  const sectionMm2 = (Math.PI / 4) * wireMm ** 2
  const mostA = MOST_A_MM2 * sectionMm2
  const leastA = need.lowA * share
  if (leastA > mostA)
    throw new NoAnswer(
      `this wall wants ${Math.round(leastA)} A at least, more than ${wireMm} mm wire carries before it burns back (about ${Math.round(mostA)} A): take thicker wire, or warm the part`,
    )
  // Thin wire on a thick wall runs at its most, in more beads, as long as that still melts in.
  const heldByWire = need.a * share > mostA
  const a = heldByWire ? mostA : need.a * share
  const depositGMin = MELTED_G_MIN_A * a * ((filler.pct.Mg ?? 0) > MAGNESIUM_PCT ? MAGNESIUM_SHARE : 1)
  const wireMMin = depositGMin / (filler.densityGcm3 * sectionMm2)
  const v = startV + slopeVA * a
  const from = sprayFromA(wireMm)
  const common = 'common practice, no source'
  return {
    a,
    wireMMin,
    v,
    depositGMin,
    sprayFromA: from,
    // Run cold it is stitched short of any spray, whatever its current.
    sprays: mode !== 'cold' && a >= from,
    heldByWire,
    working: [
      {
        label: 'Current for this wall',
        formula: `amps.need, spool gun, at ${Math.round(startC)} °C, × ${share} for ${mode}${heldByWire ? `, held to ${MOST_A_MM2} A/mm² of wire` : ''}`,
        value: a,
        unit: 'A',
        source: common,
      },
      {
        label: 'Wire melted',
        formula: `${MELTED_G_MIN_A} g/min a A${depositGMin > MELTED_G_MIN_A * a ? ` × ${MAGNESIUM_SHARE} for magnesium wire` : ''}`,
        value: depositGMin,
        unit: 'g/min',
        source: common,
      },
      {
        label: 'Wire feed',
        formula: `melted ÷ (${filler.densityGcm3} g/cm³ × ${sectionMm2.toFixed(3)} mm²)`,
        value: wireMMin,
        unit: 'm/min',
        source: 'conservation of metal',
      },
      { label: 'Voltage', formula: `${startV} + ${slopeVA} V/A × current`, value: v, unit: 'V', source: common },
      {
        label: 'Spray from',
        formula: `${wireMm} mm wire in argon`,
        value: from,
        unit: 'A',
        source: 'AWS Welding Handbook vol. 2, from memory',
      },
    ],
  }
}
