import { z } from 'zod'
import { question } from '../ask/question'
import { positive, quantity } from '../quantity/schema'
import { ALLOYS } from './alloys.table'
import { alloyName } from './find-alloy'
import { weighDensity } from './density'
import { evidenceSchema } from './identify/evidence'
import { identify } from './identify/identify'
import { useByPart, USES } from './identify/uses.table'
import * as answers from './answers'

export const alloyList = question({
  name: 'alloy.list',
  purpose: 'Every alloy and filler known here: composition, melting range, density, conductivity',
  input: z.strictObject({ name: alloyName.optional() }),
  output: answers.alloyList,
  example: {},
  solve: ({ name: only }) => ({
    answer: {
      alloys: ALLOYS.filter(alloy => !only || alloy === only).map(
        ({
          name,
          family,
          form,
          pct,
          limits,
          solidusC,
          liquidusC,
          densityGcm3,
          iacsPct,
          hardnessHb,
          specificHeatJkgK,
        }) => ({
          name,
          family,
          form,
          pct,
          limits,
          solidusC,
          liquidusC,
          densityGcm3,
          iacsPct: (iacsPct[0] + iacsPct[1]) / 2,
          iacsRangePct: iacsPct,
          hardnessHb,
          specificHeatJkgK,
        }),
      ),
    },
    working: [
      {
        label: 'Alloys',
        formula: 'read from the table',
        value: only ? 1 : ALLOYS.length,
        unit: '',
        source: 'Aluminum Association; ASM Handbook vol. 2; recalled from memory',
      },
    ],
    cautions: [],
  }),
})

export const alloyDensity = question({
  name: 'alloy.density',
  purpose: 'Density of a part weighed dry and hung under water',
  input: z.strictObject({
    dryG: positive('g'),
    submergedG: quantity('g'),
    waterC: quantity('c', { min: 0, max: 99 }).default(20),
    hangerG: quantity('g', { min: 0 }).default(0),
    scaleG: positive('g', { max: 1000 }).default(0.1),
  }),
  output: answers.alloyDensity,
  example: { dryG: 1250, submergedG: 784.6, waterC: 20, scaleG: 0.1 },
  solve: ({ dryG, submergedG, waterC, hangerG, scaleG }) => {
    const { working, ...answer } = weighDensity(dryG, submergedG, waterC, hangerG, scaleG)
    return { answer, working, cautions: [] }
  },
})

export const alloyIdentify = question({
  name: 'alloy.identify',
  purpose: 'Which alloy family a part belongs to, how sure, and which test to do next',
  input: z.strictObject({
    evidence: z.array(evidenceSchema).max(60).default([]),
    use: z
      .string()
      .max(120)
      .refine(part => useByPart(part) !== undefined, { error: `one of: ${USES.map(row => row.part).join('; ')}` })
      .optional(),
  }),
  output: answers.alloyIdentify,
  example: {
    evidence: [
      { test: 'form', seen: 'casting' },
      { test: 'surface', seen: 'sand-grain' },
      { test: 'density', gcm3: 2.69 },
    ],
  },
  solve: ({ evidence, use }) => {
    const all =
      use && !evidence.some(entry => entry.test === 'use')
        ? [...evidence, { test: 'use' as const, part: use }]
        : evidence
    const { working, cautions, ...answer } = identify(all)
    return { answer, working, cautions }
  },
})
