import { z } from 'zod'
import { question } from '../ask/question'
import { percent, positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { caution } from '../safety/cautions.table'
import { conductivityWmK } from '../metal/conductivity'
import { preheat } from './lumped'
import { movingSource } from './moving-source'

/** Specific heat where no alloy is named: J/(kg·K), the middle of the table. */
const USUAL_SPECIFIC_HEAT_JKGK = 900

export const preheatInput = z.object({
  massKg: positive('kg', { max: 5000 }).optional(),
  volumeMm3: positive('mm3').optional(),
  alloy: alloyName.optional(),
  areaMm2: positive('mm2'),
  startC: quantity('c', { min: -100, max: 700 }).default(20),
  targetC: quantity('c', { min: -100, max: 700 }),
  ambientC: quantity('c', { min: -60, max: 100 }).default(20),
  sourceW: quantity('w', { min: 0 }),
  efficiencyPct: percent().default(35),
  filmWm2K: quantity('wm2K', { min: 0, max: 5000 }).default(10),
  emissivity: z.number().min(0).max(1).default(0.2),
}).superRefine((input, context) => {
  if (input.massKg === undefined && input.volumeMm3 === undefined) context.addIssue({ code: 'custom', path: ['massKg'], message: 'give massKg, or volumeMm3 with an alloy' })
  if (input.massKg === undefined && input.volumeMm3 !== undefined && !input.alloy) context.addIssue({ code: 'custom', path: ['alloy'], message: 'volumeMm3 needs an alloy for its density' })
  const limitC = input.alloy?.solidusC
  if (limitC !== undefined && input.targetC >= limitC) context.addIssue({ code: 'custom', path: ['targetC'], message: `${input.alloy!.name} begins to melt at ${limitC} °C; the target must lie below` })
})

export const heatPreheat = question({
  name: 'heat.preheat',
  purpose: 'Minutes to preheat a part, where it would settle, and its heating curve',
  input: preheatInput,
  example: { massKg: '1.6 kg', areaMm2: 150000, targetC: '250 F', sourceW: '2 kW', efficiencyPct: 35 },
  solve: (input) => {
    const massKg = input.massKg ?? input.volumeMm3! * input.alloy!.densityGcm3 * 1e-6
    const { working, ...answer } = preheat({
      massKg, specificHeatJkgK: input.alloy?.specificHeatJkgK ?? USUAL_SPECIFIC_HEAT_JKGK, areaMm2: input.areaMm2, ambientC: input.ambientC,
      absorbedW: input.sourceW * input.efficiencyPct / 100, filmWm2K: input.filmWm2K, emissivity: input.emissivity,
    }, input.startC, input.targetC)
    return { answer, working, cautions: [caution('hot-no-glow'), caution('torch-fire'), caution('closed-hollow'), caution('seal-acid')] }
  },
})

export const heatArcPoint = question({
  name: 'heat.arcPoint',
  purpose: 'Temperature beside a steadily moving arc, in a thick part or a plate',
  input: z.object({
    powerW: positive('w'),
    travelMmS: quantity('mmS', { min: 0, max: 1000 }),
    alloy: alloyName,
    startC: quantity('c', { min: -100, max: 600 }).default(20),
    xMm: quantity('mm', { min: -1e5, max: 1e5 }),
    yMm: quantity('mm', { min: -1e5, max: 1e5 }),
    zMm: quantity('mm', { min: 0, max: 1e5 }).default(0),
    wallMm: positive('mm', { max: 1000 }).optional(),
  }),
  example: { powerW: 2200, travelMmS: 3, alloy: '6061', startC: 20, xMm: -10, yMm: 8, zMm: 0 },
  solve: ({ alloy, ...source }) => {
    const conductivity = conductivityWmK(alloy)
    const { temperatureC, working } = movingSource({ ...source, conductivityWmK: conductivity, diffusivityM2s: conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK) })
    return {
      answer: { temperatureC }, working,
      cautions: temperatureC > alloy.solidusC ? [{ code: 'in-the-puddle', level: 'note' as const, text: `Above ${alloy.solidusC} °C the metal is melting: the formula does not know the puddle, and overstates it here.` }] : [],
    }
  },
})
