import { ALLOYS, type Alloy } from '../alloys.table'
import { FAMILY_IDS, type FamilyId } from '../families.table'
import type { Evidence } from './evidence'
import { identify, recommend } from './identify'
import {
  INSTRUMENTS,
  MARK_READABLE_SHARE,
  MARK_TRUE_SHARE,
  WRONG_READING_SHARE,
  seenLikelihood,
} from './likelihoods.table'
import { isMeasuring, isSeenTest } from './likelihood'
import { SEEN, type TestId } from './tests.table'
import { USES } from './uses.table'

/** A source of evenly spread numbers in [0, 1). */
export type Random = () => number

/** Small seeded generator (mulberry32), so that a measurement can be repeated. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const gaussian = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

function draw(weights: readonly number[], random: Random): number {
  let left = random() * weights.reduce((sum, value) => sum + value, 0)
  const found = weights.findIndex(weight => (left -= weight) <= 0)
  return found < 0 ? weights.length - 1 : found
}

/**
 * What a test would show on a part of this alloy, with realistic errors; null where it shows nothing (a part without a
 * mark).
 */
export function simulate(test: TestId, alloy: Alloy, random: Random): Evidence | null {
  const family = alloy.family as FamilyId
  if (isSeenTest(test))
    return {
      test,
      seen: SEEN[test][
        draw(
          SEEN[test].map((_, i) => seenLikelihood(test, family, i)),
          random,
        )
      ],
    } as Evidence
  if (isMeasuring(test)) {
    const { least, most, uncertainty, scatter } = INSTRUMENTS[test]
    const wrong = random() < WRONG_READING_SHARE
    const [low, high] =
      test === 'density'
        ? [alloy.densityGcm3, alloy.densityGcm3]
        : test === 'conductivity'
          ? alloy.iacsPct
          : alloy.hardnessHb
    const value = wrong
      ? least + (most - least) * random()
      : low + (high - low) * random() + gaussian(random) * Math.hypot(scatter, uncertainty)
    const kept = Math.min(most, Math.max(least, value))
    return test === 'density'
      ? { test, gcm3: kept }
      : test === 'conductivity'
        ? { test, iacsPct: kept }
        : { test, hb: kept }
  }
  if (test === 'use')
    return {
      test,
      part: USES[
        draw(
          USES.map(row => row.weights[family] ?? 1),
          random,
        )
      ]!.part,
    }
  if (test === 'composition') {
    const noisy = (value: number) => Math.max(0, value + gaussian(random) * Math.max(0.06, 0.08 * value))
    return {
      test,
      pct: Object.fromEntries(
        ['Si', 'Cu', 'Mg', 'Zn', 'Mn'].map(element => [element, Math.min(60, noisy(alloy.pct[element] ?? 0.03))]),
      ),
    }
  }
  if (random() > MARK_READABLE_SHARE) return null
  const named =
    random() < MARK_TRUE_SHARE ? alloy : ALLOYS.filter(row => row.form !== 'filler')[Math.floor(random() * 49)]!
  return { test: 'mark', text: `${named.name}${named.form === 'wrought' ? '-T6' : ''}` }
}

export interface Measured {
  /** Share of parts whose leading family is the true one, after 0, 1, 2 … recommended tests. */
  rightAfter: number[]
  /**
   * Rows: true family; columns: leading family after the last test; in the order of FAMILY_IDS, as shares of the row.
   */
  confusion: number[][]
  parts: number
}

/**
 * How often the leading family is the true one when the recommended tests are done in turn, on alloys drawn evenly from
 * the table.
 * Every alloy counts alike, so rare families weigh more here than at a bench; what is seen follows the likelihood table
 * itself, so this measures the method, not the judgement in that table.
 * @param start what is looked at first on every part, before any recommended test
 */
export function measureIdentification(
  each: number,
  tests: number,
  random: Random,
  start: readonly TestId[] = ['form'],
): Measured {
  const alloys = ALLOYS.filter(alloy => alloy.form !== 'filler')
  const right = new Array<number>(tests + 1).fill(0)
  const confusion = FAMILY_IDS.map(() => new Array<number>(FAMILY_IDS.length).fill(0))
  for (const alloy of alloys) {
    for (let i = 0; i < each; i++) {
      const evidence: Evidence[] = []
      const done = new Set<TestId>()
      const look = (test: TestId) => {
        done.add(test)
        const seen = simulate(test, alloy, random)
        if (seen) evidence.push(seen)
      }
      start.forEach(look)
      let found = identify(evidence)
      if (found.families[0]!.id === alloy.family) right[0]! += 1
      for (let n = 1; n <= tests; n++) {
        const next = recommend(found.next, done)
        if (next) look(next)
        found = identify(evidence)
        if (found.families[0]!.id === alloy.family) right[n]! += 1
      }
      confusion[FAMILY_IDS.indexOf(alloy.family as FamilyId)]![FAMILY_IDS.indexOf(found.families[0]!.id)]! += 1
    }
  }
  const parts = alloys.length * each
  return {
    rightAfter: right.map(count => count / parts),
    confusion: confusion.map(row =>
      row.map(
        count =>
          count /
          Math.max(
            1,
            row.reduce((sum, value) => sum + value, 0),
          ),
      ),
    ),
    parts,
  }
}
