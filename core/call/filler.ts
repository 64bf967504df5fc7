import type { Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { notUnderLoad } from '../metal/not-under-load'
import { ALLOYS } from '../metal/alloys.table'
import { familyById } from '../metal/families.table'
import { mix } from '../crack/chemistry'
import { crackIndex, type CrackRating } from '../crack/crack-index'
import { AS_WELDED_UTS_MPA, CHART_FIRST, FILLERS, FILLER_REASONS, POINTS, type FillerRuleId } from './filler.table'

export interface Service {
  maxC: number
  anodised: boolean
  saltWater: boolean
  load: 'seal' | 'static' | 'cyclic'
  heatTreatAfter: boolean
}
export type Verdict = 'first' | 'works' | 'avoid' | 'never'
export interface RankedFiller {
  filler: string
  verdict: Verdict
  reasons: string[]
  crackIndex: number
  crackRating: CrackRating
  uts_MPa: number
  score: number
}

const ORDER: Record<Verdict, number> = { first: 0, works: 1, avoid: 2, never: 3 }
const HOT_SERVICE_C = 65
/**
 * The base's magnesium above which silicon fillers embrittle; 5052 (2.5 %) is the last that is let through: common
 * practice.
 */
const MG2SI_BASE_MG_PCT = 2.5
const MG_FILLER_HOT_PCT = 3
/**
 * Contents from which a filler counts as a magnesium, silicon or copper one, and a casting as a silicon one:
 * composition classes of AWS A5.10.
 */
const MG_FILLER_PCT = 2
const SI_FILLER_PCT = 3
const CU_FILLER_PCT = 1
const CAST_SILICON_PCT = 4

/**
 * Fillers the usual charts give for all the bases, best first: those in every base's row, by their places in the rows
 * together; where two stand alike, the base with less magnesium decides.
 */
function chartedFor(bases: readonly Alloy[]): string[] {
  const rows = [...bases]
    .sort((a, b) => (a.pct.Mg ?? 0) - (b.pct.Mg ?? 0))
    .map(base => CHART_FIRST.find(row => row.bases.includes(base.name))?.fillers ?? [])
  const places = (filler: string) => rows.reduce((sum, fillers) => sum + fillers.indexOf(filler), 0)
  return (rows[0] ?? [])
    .filter(filler => rows.every(fillers => fillers.includes(filler)))
    .sort((a, b) => places(a) - places(b))
}

/**
 * Fillers ranked for a pair of bases and a service.
 *
 * Crack index: of the bead at the dilution, the worse of the two bases. Strength: the weaker of weld metal and base
 * beside it.
 * Every rule adds points or a ceiling with its reason (`filler.table.ts`).
 */
export function chooseFiller(
  baseA: Alloy,
  baseB: Alloy,
  service: Service,
  dilutionPct: number,
): { ranked: RankedFiller[]; working: Step[] } {
  const bases = baseA.name === baseB.name ? [baseA] : [baseA, baseB]
  const families = bases.map(base => familyById(base.family))
  const notFused = families.some(family => family?.id === 'magnesium' || family?.id === 'zinc-alloy')
  const strong = bases.some(notUnderLoad)
  const cast = bases.some(base => base.form === 'cast')
  const castSilicon = bases.some(base => base.form === 'cast' && (base.pct.Si ?? 0) > CAST_SILICON_PCT)
  const baseMg = Math.max(...bases.map(base => base.pct.Mg ?? 0))
  const frame = bases.every(base => base.family === 'wrought-6xxx') && service.load === 'cyclic'
  const ownRod =
    cast && !notFused
      ? [
          {
            name: `${baseA.form === 'cast' ? baseA.name : baseB.name} rod`,
            utsMPa: 190,
            alloy: baseA.form === 'cast' ? baseA : baseB,
          },
        ]
      : []
  const candidates = [
    ...FILLERS.map(row => ({ ...row, alloy: ALLOYS.find(alloy => alloy.name === row.name)! })),
    ...ownRod,
  ]

  const charted = chartedFor(bases)

  const judged = candidates
    .map((candidate): RankedFiller => {
      const { alloy } = candidate
      const beads = bases.map(base => crackIndex(mix(base.pct, alloy.pct, dilutionPct / 100)))
      const worst = beads.reduce((a, b) => (a.index >= b.index ? a : b))
      const uts = Math.min(candidate.utsMPa, ...bases.map(base => AS_WELDED_UTS_MPA[base.family] ?? candidate.utsMPa))
      const reasons: FillerRuleId[] = []
      let score = candidate.utsMPa * POINTS.perUtsMPa
      let ceiling: Verdict = 'first'
      const cap = (verdict: Verdict, reason: FillerRuleId) => {
        if (ORDER[verdict] > ORDER[ceiling]) ceiling = verdict
        reasons.push(reason)
      }
      const add = (points: number, reason: FillerRuleId) => {
        score += points
        reasons.push(reason)
      }
      const mg = alloy.pct.Mg ?? 0
      const silicon = (alloy.pct.Si ?? 0) > SI_FILLER_PCT
      if (notFused) cap('never', 'base-not-fused')
      if (strong) cap('avoid', 'base-strong')
      if (mg > MG_FILLER_HOT_PCT && service.maxC > HOT_SERVICE_C) cap('never', 'hot-service')
      if (silicon && baseMg > MG2SI_BASE_MG_PCT) cap('avoid', 'mg2si-brittle')
      if (service.anodised) {
        if (silicon) cap('avoid', 'anodised-dark')
        else if (mg > MG_FILLER_PCT) add(POINTS.colourMatch, 'anodised-match')
      }
      if (service.saltWater) {
        if ((alloy.pct.Cu ?? 0) > CU_FILLER_PCT) cap('avoid', 'copper-salt')
        else if (mg > MG_FILLER_PCT || silicon) add(POINTS.saltWaterFit, 'salt-fit')
      }
      const place = charted.indexOf(candidate.name)
      if (place === 0) add(POINTS.chartFirst, 'chart-first')
      else if (place > 0) add(POINTS.chartSecond, 'chart-second')
      if (castSilicon && candidate.name === '4043') add(POINTS.castDefault, 'cast-default')
      if (castSilicon && candidate.name === '5356') reasons.push('cast-school-mg')
      if (frame && mg > MG_FILLER_HOT_PCT) add(POINTS.frameStrength, 'frame-strength')
      if (service.heatTreatAfter) {
        if (candidate.name === '4643' || candidate.name === '2319' || candidate.name.endsWith('rod'))
          add(POINTS.heatTreatFit, 'heat-treat-fit')
        else if (mg > MG_FILLER_PCT) cap('avoid', 'heat-treat-none')
      }
      if (worst.rating === 'moderate') add(POINTS.crackModerate, 'crack-moderate')
      if (worst.rating === 'high') {
        score += POINTS.crackHigh
        cap('avoid', 'crack-high')
      }
      if (worst.rating === 'severe') {
        score += POINTS.crackSevere
        cap('never', 'crack-severe')
      }
      return {
        filler: candidate.name,
        verdict: ceiling === 'first' ? 'works' : ceiling,
        reasons: reasons.map(code => FILLER_REASONS[code]),
        crackIndex: worst.index,
        crackRating: worst.rating,
        uts_MPa: uts,
        score,
      }
    })
    .sort((a, b) => ORDER[a.verdict] - ORDER[b.verdict] || b.score - a.score)
  const top = judged[0]
  if (top?.verdict === 'works') top.verdict = 'first'
  return {
    ranked: judged,
    working: judged.slice(0, 4).flatMap((entry): Step[] => [
      {
        label: `${entry.filler}: crack index of the bead`,
        formula: `${dilutionPct} % base melted in`,
        value: entry.crackIndex,
        unit: '',
        source: 'freezing path (weld.crackIndex)',
      },
      {
        label: `${entry.filler}: points`,
        formula: entry.reasons.join('; ') || 'strength alone',
        value: entry.score,
        unit: '',
        source: 'judgement; selection charts recalled from memory',
      },
    ]),
  }
}
