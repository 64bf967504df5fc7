import { alloyDensity } from '../../metal/question'
import { alloyIdentify } from '../../metal/question'
import { said } from '../../job/fields/said'
import type { Job } from '../../job/job.schema'
import { ALLOYS, type Alloy } from '../../metal/alloys.table'
import { familyById, type FamilyId } from '../../metal/families.table'
import type { AnswerTo, Caution } from '../../ask/question'
import { findAlloy } from '../../metal/find-alloy'
import { metalHazards } from '../../metal/identify/identify'
import { compositionMatches, type CompositionMatch } from '../../metal/identify/composition-matches'
import { densityResolves, type DensityResolves } from '../../metal/identify/density-resolves'
import { BENCH_TESTS } from '../../metal/identify/tests.table'
import { leftOpenPct } from '../../metal/identify/left-open'
import { readMark } from '../../metal/identify/read-mark'
import { askFor } from '../ask-core'
import { evidenceOf, type JobEvidence } from './evidence-of'
import { capital, figure, list, type Sentence, type StationPlan } from '../parts'

export interface KnowData extends JobEvidence {
  identified: AnswerTo<typeof alloyIdentify> | null
  /**
   * What it is taken for, best first: the family of an alloy that was named, else what the evidence says, else the
   * commonest casting.
   */
  families: { id: FamilyId; name: string; probability: number }[]
  /** Whether anything says what it is. */
  known: boolean
  /** What this metal does to whoever grinds, heats or trusts it: it stands at every step where that is done. */
  hazards: Caution[]
  /** Stands for the metal where one composition is needed. */
  alloy: Alloy
  alloySource: 'named' | 'analyser' | 'mark' | 'family'
  /** What the weighing can and cannot tell apart; null without one. */
  resolves: DensityResolves | null
  /** Alloys whose limits the analyser's reading fits, best first. */
  matches: CompositionMatch[]
}

/** A reading fits an alloy well enough to stand for it: judgement. */
const FITS = 0.5
/** A name is doubted where the evidence gives another family this much: judgement. */
const DOUBTED_AT = 0.5
/** Cautions that go by what the metal is, and not by how it was looked at. */
const METAL_CODES: readonly string[] = ['magnesium', 'magnesium-possible', 'zinc-fume', 'strong-alloy']

/** What the scale leaves standing. */
function scaleWords({ cannotTell, rulesOut }: DensityResolves): string {
  if (!cannotTell.length)
    return 'No metal here weighs that: look for trapped air, a hollow, steel left in, or a slip in the figures, and weigh again.'
  const names = list(cannotTell.map(id => familyById(id)!.name))
  return cannotTell.length === 1
    ? `Only ${names} weighs that.`
    : `The scale cannot tell apart ${names}${rulesOut.length ? '; it rules out the rest' : ''}.`
}

/** Know the metal: evidence, families with probabilities, the next best test. */
export function planKnow(job: Job): StationPlan<KnowData> {
  const found = evidenceOf(job)
  const asked = askFor(alloyIdentify, 'Which metal it is', { evidence: found.evidence })
  const identified = asked.ok ? asked.answer : null
  const best = identified?.families[0]
  const marked = job.know.markText ? readMark(job.know.markText)[0]?.alloy : undefined
  const named = findAlloy(job.know.alloy)
  const family = familyById(best?.id ?? 'cast-al-si-mg')!
  const measured = found.evidence.find(entry => entry.test === 'composition')?.pct as Record<string, number> | undefined
  const matches = measured ? compositionMatches(measured) : []
  const analysed = matches[0] && matches[0].fit >= FITS ? findAlloy(matches[0].alloy) : undefined
  const resolves = found.density ? densityResolves(found.density.densityGcm3, found.density.uncertaintyGcm3) : null
  const alloy =
    named ??
    analysed ??
    (marked ? findAlloy(marked) : undefined) ??
    ALLOYS.find(row => row.name === family.sampleAlloy)!
  const namedFamily = named ? familyById(named.family) : undefined
  const families = namedFamily
    ? [{ id: namedFamily.id, name: namedFamily.name, probability: 1 }]
    : (identified?.families.map(({ id, name, probability }) => ({ id, name, probability })) ?? [
        { id: family.id, name: family.name, probability: 1 },
      ])
  const known = namedFamily !== undefined || (found.evidence.length > 0 && best !== undefined)
  const hazards = namedFamily || identified ? metalHazards(families) : []
  const next = identified?.next.find(test => test.test === identified.recommended)
  const nextTest = BENCH_TESTS.find(test => test.test === next?.test)
  const welds = (fusion: string) =>
    fusion === 'good'
      ? '; it welds well.'
      : fusion === 'never'
        ? '; it is not fusion welded.'
        : `; it welds ${fusion}ly.`
  const call: Sentence = namedFamily
    ? [`${named!.name}, as you named it: ${namedFamily.name}${welds(namedFamily.fusion)}`]
    : found.evidence.length === 0 || !best
      ? ['Nothing seen yet. Begin with the cheapest: what it was made from, the skin on its hidden side, the break.']
      : [
          capital(best.name),
          ', ',
          figure(Math.min(99, Math.round(best.probability * 100)), 'pct', 'identify'),
          best.probability >= 0.9 ? ' sure' : ' likely',
          welds(best.fusion),
        ]
  const why: Sentence[] = found.refused.map(reason => [reason, '. What was entered stays; it counts for nothing.'])
  if (namedFamily && best && found.evidence.length && best.id !== namedFamily.id && best.probability >= DOUBTED_AT)
    why.push([
      `What was seen speaks for ${best.name}, `,
      figure(Math.round(best.probability * 100), 'pct', 'identify'),
      ' likely: look at the name again.',
    ])
  if (best && found.evidence.length && !namedFamily) {
    const second = identified!.families[1]!
    why.push([
      `After it comes ${second.name} at `,
      figure(Math.round(second.probability * 100), 'pct', 'identify'),
      '.',
    ])
  }
  if (found.density)
    why.push([
      'Weighed at ',
      figure(found.density.densityGcm3, 'gcm3', 'density'),
      ' ± ',
      figure(found.density.uncertaintyGcm3, 'gcm3'),
      `. ${scaleWords(resolves!)}`,
    ])
  if (matches[0])
    why.push([
      `The analyser's reading fits ${matches[0].alloy} best${matches[0].outside.length ? `, but ${list(matches[0].outside.map(each => each.element))} lies outside its limits` : ''}.`,
    ])
  if (nextTest && next)
    why.push([
      `Next: ${nextTest.name.toLowerCase()}: leaves about `,
      figure(leftOpenPct(next.bits), 'pct', 'identify'),
      ' of what is open now, in ',
      figure(next.minutes, 'min'),
      next.destructive ? '; it marks the part.' : '.',
    ])
  const { hangerG, scaleG } = said(job, 'know')
  const densityAsked = found.density
    ? askFor(alloyDensity, 'Density by weighing', {
        dryG: job.know.dryG.value!,
        submergedG: job.know.submergedG.value!,
        hangerG,
        scaleG,
      })
    : null
  return {
    id: 'know',
    short: namedFamily
      ? `${named!.name}, as named`
      : best && found.evidence.length
        ? `${best.name}, ${Math.min(99, Math.round(best.probability * 100))} in 100`
        : 'wants something seen',
    wants: known ? [] : ['something seen or measured'],
    call,
    why,
    change:
      nextTest && next && best && best.probability < 0.95
        ? [[`${nextTest.how}`]]
        : [['The torch is the last test: a light pass without rod on the edge of the damage.']],
    cautions: [...hazards, ...(asked.ok ? asked.cautions.filter(one => !METAL_CODES.includes(one.code)) : [])],
    workings: {
      ...(asked.ok ? { identify: asked.working } : {}),
      ...(densityAsked?.ok ? { density: densityAsked.working } : {}),
    },
    outcomes: { metal: known ? (families[0]?.id ?? null) : null, alloy: named ? named.name : null, known },
    data: {
      ...found,
      identified,
      families,
      known,
      hazards,
      alloy,
      resolves,
      matches,
      alloySource: named ? 'named' : analysed ? 'analyser' : marked ? 'mark' : 'family',
    },
  }
}
