import { z } from 'zod'
import { question } from '../ask/question'
import { alloyName } from '../metal/find-alloy'
import { percent, positive, quantity } from '../quantity/schema'
import { caution } from '../safety/cautions.table'
import { planBraze } from './plan'
import { BRAZE_ROD_IDS } from './rods.table'
import * as answers from './answers'

export const brazePlan = question({
  name: 'braze.plan',
  purpose: 'Whether a rod brazes this part, and whether this flame brings it to working heat',
  input: z.strictObject({
    baseAlloy: alloyName,
    rod: z.enum(BRAZE_ROD_IDS, { error: `one of ${BRAZE_ROD_IDS.join(', ')}` }),
    massKg: positive('kg', { max: 1000 }),
    areaMm2: positive('mm2'),
    sourceW: quantity('w', { min: 0 }),
    efficiencyPct: percent({ min: 1 }).default(35),
    ambientC: quantity('c', { min: -40, max: 100 }).default(20),
    serviceC: quantity('c', { min: -100, max: 600 }).default(40),
  }),
  output: answers.brazePlan,
  example: {
    baseAlloy: '356',
    rod: 'zinc-al',
    massKg: '0.6 kg',
    areaMm2: 60000,
    sourceW: '3 kW',
    efficiencyPct: 35,
    serviceC: '60 °C',
  },
  solve: ({ baseAlloy, ...input }) => {
    const { working, cautions, ...answer } = planBraze({ base: baseAlloy, ...input })
    return {
      answer: { ...answer, cautions },
      working,
      cautions: [...cautions, caution('torch-fire'), caution('hot-no-glow')],
    }
  },
})
