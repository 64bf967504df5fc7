import { normalShare } from '../../quantity/erf'
import type { Alloy } from '../alloys.table'
import { alloysOf } from '../alloys-of'
import { FAMILIES, FAMILY_IDS, type FamilyId } from '../families.table'
import { compositionFit } from './composition-fit'
import type { Evidence } from './evidence'
import {
  INSTRUMENTS,
  MARK_READABLE_SHARE,
  MARK_TRUE_SHARE,
  WRONG_READING_SHARE,
  seenCount,
  seenLikelihood,
  type MeasuringTest,
} from './likelihoods.table'
import { readMark } from './read-mark'
import { SEEN, TEST_IDS, type SeenTest, type TestId } from './tests.table'
import { USES, useByPart } from './uses.table'

/** One value a family, in the order of FAMILY_IDS. */
export type ByFamily = number[]

const N = FAMILY_IDS.length
const ALLOYS_OF: Record<FamilyId, Alloy[]> = Object.fromEntries(FAMILY_IDS.map(id => [id, alloysOf(id)])) as Record<
  FamilyId,
  Alloy[]
>

export const isSeenTest = (test: TestId): test is SeenTest => test in SEEN
export const isMeasuring = (test: TestId): test is MeasuringTest => test in INSTRUMENTS

/** Table value of an alloy for a measuring test, and the standard deviation of parts about it. */
function centre(alloy: Alloy, test: MeasuringTest): [mean: number, deviation: number] {
  const { scatter } = INSTRUMENTS[test]
  if (test === 'density') return [alloy.densityGcm3, scatter]
  const [low, high] = test === 'conductivity' ? alloy.iacsPct : alloy.hardnessHb
  return [(low + high) / 2, Math.hypot((high - low) / Math.sqrt(12), scatter)]
}

/**
 * Density of a reading for each family: the mean over its alloys, with a share of readings spread evenly over the
 * instrument's span.
 */
function measuredDensity(test: MeasuringTest, value: number, uncertainty: number): ByFamily {
  const { least, most } = INSTRUMENTS[test]
  return FAMILY_IDS.map(id => {
    const alloys = ALLOYS_OF[id]
    const mixture =
      alloys.reduce((sum, alloy) => {
        const [mean, deviation] = centre(alloy, test)
        const s = Math.hypot(deviation, uncertainty)
        return sum + Math.exp(-0.5 * ((value - mean) / s) ** 2) / (s * Math.sqrt(2 * Math.PI))
      }, 0) / alloys.length
    return (1 - WRONG_READING_SHARE) * mixture + WRONG_READING_SHARE / (most - least)
  })
}

function useWeights(part: string): ByFamily {
  const row = useByPart(part)
  return FAMILY_IDS.map(id => row?.weights[id] ?? 1)
}

/** P(part named | family), by turning the weights round over the whole list. */
const USE_TOTALS: ByFamily = FAMILY_IDS.map(id => USES.reduce((sum, row) => sum + (row.weights[id] ?? 1), 0))

/** Likelihood of one piece of evidence under each family (to a common factor). */
export function likelihoodOf(evidence: Evidence): ByFamily {
  switch (evidence.test) {
    case 'density':
      return measuredDensity('density', evidence.gcm3, evidence.uncertaintyGcm3 ?? INSTRUMENTS.density.uncertainty)
    case 'conductivity':
      return measuredDensity(
        'conductivity',
        evidence.iacsPct,
        evidence.uncertaintyPct ?? INSTRUMENTS.conductivity.uncertainty,
      )
    case 'hardness':
      return measuredDensity('hardness', evidence.hb, INSTRUMENTS.hardness.uncertainty)
    case 'mark': {
      const named = readMark(evidence.text).map(entry => entry.family)
      if (named.length === 0) return new Array<number>(N).fill(1)
      return FAMILY_IDS.map(id =>
        named.includes(id) ? MARK_TRUE_SHARE / named.length : (1 - MARK_TRUE_SHARE) / (N - named.length),
      )
    }
    case 'composition':
      return FAMILY_IDS.map(
        id =>
          Math.max(...ALLOYS_OF[id].map(alloy => compositionFit(evidence.pct, alloy)), 0) * (1 - WRONG_READING_SHARE) +
          WRONG_READING_SHARE,
      )
    case 'use':
      return useWeights(evidence.part).map((weight, index) => weight / USE_TOTALS[index]!)
    default: {
      const seen = (SEEN[evidence.test] as readonly string[]).indexOf(evidence.seen)
      return FAMILY_IDS.map(id => seenLikelihood(evidence.test, id, seen))
    }
  }
}

const BINS = 48

/** P(outcome | family) over all outcomes a test may have; rows are outcomes. Used to weigh a test before it is done. */
export function outcomesOf(test: TestId): ByFamily[] {
  if (isSeenTest(test))
    return Array.from({ length: seenCount(test) }, (_, seen) => FAMILY_IDS.map(id => seenLikelihood(test, id, seen)))
  if (isMeasuring(test)) {
    const { least, most, uncertainty } = INSTRUMENTS[test]
    // Density is binned finely where aluminium lies; the two look-alikes fall in the end bins.
    const [from, to] = test === 'density' ? [2.5, 2.95] : [least, most]
    const edges = [
      -Infinity,
      ...Array.from({ length: BINS - 1 }, (_, i) => from + ((to - from) * (i + 0.5)) / (BINS - 1)),
      Infinity,
    ]
    return Array.from({ length: BINS }, (_, bin) =>
      FAMILY_IDS.map(id => {
        const alloys = ALLOYS_OF[id]
        const mixture =
          alloys.reduce((sum, alloy) => {
            const [mean, deviation] = centre(alloy, test)
            const s = Math.hypot(deviation, uncertainty)
            return sum + normalShare((edges[bin + 1]! - mean) / s) - normalShare((edges[bin]! - mean) / s)
          }, 0) / alloys.length
        return (1 - WRONG_READING_SHARE) * mixture + WRONG_READING_SHARE / BINS
      }),
    )
  }
  if (test === 'use') return USES.map(row => FAMILY_IDS.map((id, index) => (row.weights[id] ?? 1) / USE_TOTALS[index]!))
  const share = test === 'mark' ? MARK_READABLE_SHARE : 1
  const right = test === 'mark' ? MARK_TRUE_SHARE : 0.97
  const named = FAMILIES.map((_, reads) =>
    FAMILY_IDS.map((_id, truth) => share * (reads === truth ? right : (1 - right) / (N - 1))),
  )
  return share < 1 ? [...named, new Array<number>(N).fill(1 - share)] : named
}

/** Outcome tables of all tests, made once: they do not depend on the evidence. */
let outcomeTables: Map<TestId, ByFamily[]> | undefined
export function outcomeTable(test: TestId): ByFamily[] {
  outcomeTables ??= new Map(TEST_IDS.map(id => [id, outcomesOf(id)]))
  return outcomeTables.get(test)!
}
