import type { Caution, Step } from '../../ask/question'
import { FAMILIES, FAMILY_IDS, type Fusion, type FamilyId } from '../families.table'
import { caution } from '../../safety/cautions.table'
import type { Evidence } from './evidence'
import { likelihoodOf, outcomeTable, type ByFamily } from './likelihood'
import { readMark } from './read-mark'
import { BENCH_TESTS, type TestId } from './tests.table'

export interface FamilyOdds {
  id: FamilyId
  name: string
  probability: number
  examples: readonly string[]
  fusion: Fusion
}
export interface NextTest {
  test: TestId
  bits: number
  minutes: number
  destructive: boolean
}

export interface Identified {
  families: FamilyOdds[]
  entropyBits: number
  next: NextTest[]
  recommended: TestId | null
  verdict: string
  working: Step[]
  cautions: Caution[]
}

/** A test worth fewer bits than this is not worth getting up for: judgement. */
const LEAST_USEFUL_BITS = 0.03
/**
 * A reading this many times likelier under some other family than under what the rest says is called a contradiction:
 * judgement.
 */
const CONTRADICTION_RATIO = 15
/**
 * Chances at which a hazard is named, and from which a verdict counts as sure or probable: judgement, on the safe side
 * for magnesium.
 */
const MAGNESIUM_STOPS_AT = 0.5
const MAGNESIUM_WARNS_AT = 0.05
const ZINC_STOPS_AT = 0.2
const SURE_AT = 0.9
const PROBABLE_AT = 0.6

/**
 * The test with most bits a minute, those that leave no mark first; null when none is worth getting up for. `not` are
 * left out.
 */
export function recommend(next: readonly NextTest[], not: ReadonlySet<TestId> = new Set()): TestId | null {
  return (
    next
      .filter(entry => entry.bits >= LEAST_USEFUL_BITS && !not.has(entry.test))
      .sort((a, b) => Number(a.destructive) - Number(b.destructive) || b.bits / b.minutes - a.bits / a.minutes)[0]
      ?.test ?? null
  )
}

const normalise = (weights: ByFamily): ByFamily => {
  const sum = weights.reduce((total, value) => total + value, 0)
  return weights.map(value => value / sum)
}

/** Shannon entropy in bits. */
export function entropyBits(p: ByFamily): number {
  return Math.max(0, -p.reduce((sum, value) => (value > 0 ? sum + value * Math.log2(value) : sum), 0))
}

const PRIOR: ByFamily = normalise(FAMILIES.map(family => family.prior))

function posterior(likelihoods: readonly ByFamily[]): ByFamily {
  const logs = PRIOR.map((prior, family) =>
    likelihoods.reduce((sum, row) => sum + Math.log(row[family]!), Math.log(prior)),
  )
  const top = Math.max(...logs)
  return normalise(logs.map(value => Math.exp(value - top)))
}

/** Bits a test is expected to give: entropy now less the mean entropy after each of its outcomes. */
export function expectedBits(p: ByFamily, test: TestId): number {
  const now = entropyBits(p)
  const after = outcomeTable(test).reduce((sum, outcome) => {
    const joint = p.map((value, family) => value * outcome[family]!)
    const chance = joint.reduce((total, value) => total + value, 0)
    return chance > 0 ? sum + chance * entropyBits(joint.map(value => value / chance)) : sum
  }, 0)
  return Math.max(0, now - after)
}

/**
 * Which family a part belongs to, from what was seen and measured: Bayes' rule over the families with independent
 * evidence.
 *
 * Likelihoods: tables beside this file (judgement where they say so), alloy data for density, conductivity and
 * hardness.
 * The next test is weighed by expected information (Shannon), the recommended one by bits a minute, those that leave no
 * mark first.
 * Accuracy: docs/method.md gives the confusion over alloys drawn from the table.
 */
export function identify(evidence: readonly Evidence[]): Identified {
  const likelihoods = evidence.map(likelihoodOf)
  const p = posterior(likelihoods)
  const families = FAMILIES.map(({ id, name, examples, fusion }, index) => ({
    id,
    name,
    probability: p[index]!,
    examples,
    fusion,
  })).sort((a, b) => b.probability - a.probability)
  const done = new Set<TestId>(evidence.map(entry => entry.test))
  const next = BENCH_TESTS.filter(({ test }) => !done.has(test))
    .map(({ test, minutes, destructive }) => ({ test, bits: expectedBits(p, test), minutes, destructive }))
    .sort((a, b) => b.bits - a.bits)
  const first = families[0]!
  const second = families[1]!
  const percentText = (value: number) => (value > 0.995 ? 'over 99 %' : `${Math.round(value * 100)} %`)
  const verdict =
    first.probability >= SURE_AT
      ? `${first.name}, ${percentText(first.probability)} sure`
      : first.probability >= PROBABLE_AT
        ? `probably ${first.name} (${percentText(first.probability)}), else ${second.name}`
        : `not settled: ${first.name} (${percentText(first.probability)}), ${second.name} (${percentText(second.probability)})`
  return {
    families,
    entropyBits: entropyBits(p),
    next,
    recommended: recommend(next),
    verdict,
    working: [
      {
        label: 'Before anything was seen',
        formula: 'share of parts over a general bench',
        value: PRIOR[FAMILY_IDS.indexOf(first.id)]!,
        unit: `for ${first.name}`,
        source: 'judgement',
      },
      ...evidence.map((entry, index): Step => ({
        label: BENCH_TESTS.find(test => test.test === entry.test)!.name,
        formula: `likelihood of this under ${first.name} ÷ under ${second.name}`,
        value: likelihoods[index]![FAMILY_IDS.indexOf(first.id)]! / likelihoods[index]![FAMILY_IDS.indexOf(second.id)]!,
        unit: 'times',
        source:
          entry.test === 'density' ||
          entry.test === 'conductivity' ||
          entry.test === 'hardness' ||
          entry.test === 'composition'
            ? 'alloy table (ASM Handbook vol. 2, Aluminum Association, recalled from memory)'
            : entry.test === 'mark'
              ? 'designation standards, recalled from memory'
              : 'judgement, from common practice',
      })),
      {
        label: `Probability of ${first.name}`,
        formula: 'prior × likelihoods, over the sum for all families',
        value: first.probability,
        unit: '',
        source: 'Bayes',
      },
    ],
    cautions: [...contradictions(evidence, likelihoods), ...hazards(families, evidence)],
  }
}

function contradictions(evidence: readonly Evidence[], likelihoods: readonly ByFamily[]): Caution[] {
  if (evidence.length < 2) return []
  return evidence.flatMap((entry, index): Caution[] => {
    const rest = posterior(likelihoods.filter((_, other) => other !== index))
    const row = likelihoods[index]!
    const expected = rest.reduce((sum, value, family) => sum + value * row[family]!, 0)
    const best = Math.max(...row)
    if (best / expected < CONTRADICTION_RATIO) return []
    const leading = FAMILIES[rest.indexOf(Math.max(...rest))]!
    const test = BENCH_TESTS.find(candidate => candidate.test === entry.test)!
    return [
      {
        code: 'evidence-contradicts',
        level: 'caution',
        text: `${test.name} does not fit the rest, which says ${leading.name}: it would fit ${FAMILIES[row.indexOf(best)]!.name}. Look again before going on.`,
      },
    ]
  })
}

/** What a metal does to whoever grinds, heats or trusts it: by the odds of its family, best first. */
export function metalHazards(families: readonly { id: FamilyId; probability: number }[]): Caution[] {
  const chance = (id: FamilyId) => families.find(family => family.id === id)?.probability ?? 0
  const found: Caution[] = []
  if (chance('magnesium') >= MAGNESIUM_STOPS_AT) found.push(caution('magnesium'))
  else if (chance('magnesium') >= MAGNESIUM_WARNS_AT) found.push(caution('magnesium-possible'))
  if (chance('zinc-alloy') >= ZINC_STOPS_AT) found.push(caution('zinc-fume'))
  if (families[0]?.id === 'wrought-7xxx-copper' || families[0]?.id === 'wrought-2xxx')
    found.push(caution('strong-alloy'))
  return found
}

function hazards(families: readonly FamilyOdds[], evidence: readonly Evidence[]): Caution[] {
  const found = metalHazards(families)
  for (const entry of evidence) {
    if (entry.test === 'mark' && readMark(entry.text).length === 0) {
      found.push({
        code: 'mark-not-known',
        level: 'note',
        text: `"${entry.text}" is no designation known here; it counts for nothing, but stays in the record.`,
      })
    }
    const code = BENCH_TESTS.find(test => test.test === entry.test)?.caution
    if (code) found.push(caution(code))
  }
  return found
}
