import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { percent } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { pctMap } from '../metal/identify/evidence'
import { passChemistry } from './chemistry'
import { crackIndex } from './crack-index'
import { crackMap } from './crack-map'
import * as answers from './answers'

/** Past this the liquidus slopes and phase surfaces say nothing. */
const MOST_ALLOYED_PCT = 40

const base = z.union([z.strictObject({ alloy: alloyName }), z.strictObject({ pct: pctMap })], {
  error: 'either { alloy } or { pct }',
})

export const weldChemistry = question({
  name: 'weld.chemistry',
  purpose: 'Composition of a bead, or of each pass, from base, filler and dilution',
  input: z.strictObject({
    base,
    filler: alloyName,
    dilutionPct: percent(),
    passes: z.number().int().min(1).max(200).default(1),
  }),
  output: answers.weldChemistry,
  example: { base: { alloy: '6061-T6' }, filler: 'ER4043', dilutionPct: 30, passes: 3 },
  solve: ({ base, filler, dilutionPct, passes }) => {
    const basePct = 'alloy' in base ? base.alloy.pct : base.pct
    const beads = passChemistry(basePct, filler.pct, dilutionPct, passes)
    const last = beads.at(-1)!
    return {
      answer: { pct: last, ...(passes > 1 ? { byPass: beads.map(pct => ({ pct })) } : {}) },
      working: ['Si', 'Mg', 'Cu', 'Zn']
        .filter(element => (last[element] ?? 0) > 0)
        .map(element => ({
          label: `${element} in ${passes > 1 ? `pass ${passes}` : 'the bead'}`,
          formula: `${dilutionPct} % × ${passes > 1 ? 'pass below' : (basePct[element] ?? 0)} + ${100 - dilutionPct} % × ${filler.pct[element] ?? 0}`,
          value: last[element]!,
          unit: '%',
          source: 'mass balance; nominal compositions, Aluminum Association, recalled from memory',
        })),
      cautions: [],
    }
  },
})

export const weldCrackMap = question({
  name: 'weld.crackMap',
  purpose: 'Crack index over silicon and magnesium, with base, filler and every pass on it',
  input: z.strictObject({
    base,
    filler: z.union(
      [alloyName.transform(alloy => alloy.pct), z.strictObject({ pct: pctMap }).transform(entry => entry.pct)],
      { error: 'a filler name, or { pct }' },
    ),
    dilutionPct: percent().default(30),
    passes: z.number().int().min(1).max(12).default(1),
    points: z.number().int().min(5).max(120).default(60),
  }),
  output: answers.weldCrackMap,
  costMs: ({ points }) => points ** 2 / 20,
  example: { base: { alloy: '6061' }, filler: '4043', dilutionPct: 30, passes: 2, points: 9 },
  solve: ({ base: from, filler, dilutionPct, passes, points }) => {
    const answer = crackMap('alloy' in from ? from.alloy.pct : from.pct, filler, dilutionPct, passes, points)
    return {
      answer,
      working: answer.beads.map(bead => ({
        label: `Pass ${bead.pass}`,
        formula: `${dilutionPct} % of what lies under it, the rest filler: ${bead.siPct.toFixed(2)} % Si, ${bead.mgPct.toFixed(2)} % Mg`,
        value: bead.index,
        unit: '',
        source: 'weld.chemistry and weld.crackIndex',
      })),
      cautions: [],
    }
  },
})

export const weldCrackIndex = question({
  name: 'weld.crackIndex',
  purpose: 'How readily a weld metal cracks as it freezes, from its own freezing path',
  input: z.strictObject({ pct: pctMap }),
  output: answers.weldCrackIndex,
  example: { pct: { Si: 0.6, Cu: 0.28, Mg: 1.0 } },
  solve: ({ pct }) => {
    const others = Object.entries(pct)
      .filter(([element]) => element !== 'Al')
      .reduce((sum, [, value]) => sum + value, 0)
    if (others > MOST_ALLOYED_PCT)
      throw new NoAnswer(
        `with ${others.toFixed(0)} % of other elements this is no aluminium weld metal; the freezing path holds to about ${MOST_ALLOYED_PCT} %`,
      )
    const { index, rating, lateDropK, persistentDropK, restrictionK, path } = crackIndex(pct)
    const source = 'Scheil with back-diffusion; Easton and StJohn (1999) data recalled from memory'
    return {
      answer: {
        index,
        rating,
        liquidusC: path.liquidusC,
        solidusC: path.solidusC,
        freezingRangeC: path.liquidusC - path.solidusC,
        curve: path.curve,
        eutecticFraction: path.eutecticFraction,
        growthRestrictionK: restrictionK,
      },
      working: [
        {
          label: 'Begins to freeze',
          formula: 'melting point of aluminium + Σ slope × content',
          value: path.liquidusC,
          unit: '°C',
          source,
        },
        {
          label: 'Last liquid freezes',
          formula: 'the path followed to the last half per cent of liquid',
          value: path.solidusC,
          unit: '°C',
          source,
        },
        {
          label: 'Fall while only films are left, above 560 °C',
          formula: 'from 85 % solid on',
          value: lateDropK,
          unit: 'K',
          source,
        },
        { label: 'The same, below 560 °C', formula: 'from 85 % solid on', value: persistentDropK, unit: 'K', source },
        {
          label: 'Growth restriction',
          formula: 'Σ slope × (k − 1) × content',
          value: restrictionK,
          unit: 'K',
          source: 'Easton and StJohn (1999)',
        },
        {
          label: 'Eutectic liquid that can refill',
          formula: 'liquid left when the first second phase forms',
          value: path.eutecticFraction,
          unit: '',
          source,
        },
        {
          label: 'Crack index',
          formula: 'late fall ÷ grain refinement + persistent fall × unhealed share, over bare 6061',
          value: index,
          unit: '',
          source: 'criterion of this application: judgement, set to published crack-curve peaks',
        },
      ],
      cautions:
        rating === 'severe' || rating === 'high'
          ? [
              {
                code: 'cracks-hot',
                level: 'caution' as const,
                text: `This metal cracks readily as it freezes (${rating}). Another filler, or less base melted in, before any load is put on it.`,
              },
            ]
          : [],
    }
  },
})
