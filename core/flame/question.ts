import { z } from 'zod'
import { question } from '../ask/question'
import { alloyName } from '../metal/find-alloy'
import { percent, positive, quantity } from '../quantity/schema'
import { caution } from '../safety/cautions.table'
import { planFlame } from './plan'
import * as answers from './answers'

export const flamePlan = question({
  name: 'flame.plan',
  purpose: 'Whether a flame makes a puddle on this wall, from what heat and how soon: welding with oxygen and fuel gas',
  input: z.strictObject({
    baseAlloy: alloyName,
    /** Such as oxy-acetylene or propylene: what has no oxygen in its name draws its own air. */
    gas: z.string().max(60).default('oxy-acetylene'),
    wallMm: positive('mm', { max: 300 }),
    massKg: positive('kg', { max: 1000 }),
    areaMm2: positive('mm2'),
    sourceW: positive('w', { max: 1e6 }),
    efficiencyPct: percent({ min: 1 }).default(35),
    ambientC: quantity('c', { min: -40, max: 100 }).default(20),
    startC: quantity('c', { min: -40, max: 500 }).default(20),
    layMin: quantity('min', { min: 0, max: 10_000 }).default(0),
  }),
  output: answers.flamePlan,
  example: {
    baseAlloy: '356',
    gas: 'oxy-acetylene',
    wallMm: 6,
    massKg: '1.2 kg',
    areaMm2: 90_000,
    sourceW: '7 kW',
    startC: '200 °C',
    layMin: 12,
  },
  solve: ({ baseAlloy, ...input }) => {
    const { working, cautions, ...answer } = planFlame({ base: baseAlloy, ...input })
    return {
      answer: { ...answer, cautions },
      working,
      cautions: [...cautions, caution('torch-fire'), caution('hot-no-glow')],
    }
  },
})
