import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { stopwatch } from '../ask/stopwatch'
import { percent, positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { caution } from '../safety/cautions.table'
import { conductivityWmK } from '../metal/conductivity'
import { finish, march } from './field/march'
import { fitLump, fitPart, isOneFlame } from './fit-source'
import { preheat, STILL_AIR } from './lumped'
import { movingSource } from './moving-source'
import { cutPart, setUp, simulated, simulationWorking } from './simulate'
import { lossesSchema, probeSchema, simulateInput, sourceSchema } from './simulate.schema'
import { shapeSchema } from '../solid/shape.schema'
import * as answers from './answers'
import { roughCells } from '../solid/rough-cells'

/** Specific heat where no alloy is named: J/(kg·K), the middle of the table. */
const USUAL_SPECIFIC_HEAT_JKGK = 900

export const preheatInput = z
  .strictObject({
    massKg: positive('kg', { max: 5000 }).optional(),
    volumeMm3: positive('mm3').optional(),
    alloy: alloyName.optional(),
    areaMm2: positive('mm2'),
    startC: quantity('c', { min: -100, max: 700 }).default(20),
    targetC: quantity('c', { min: -100, max: 700 }),
    ambientC: quantity('c', { min: -60, max: 100 }).default(20),
    sourceW: quantity('w', { min: 0 }),
    efficiencyPct: percent().default(35),
    filmWm2K: quantity('wm2K', { min: 0, max: 5000 }).default(STILL_AIR.filmWm2K),
    emissivity: z.number().min(0).max(1).default(STILL_AIR.emissivity),
  })
  .superRefine((input, context) => {
    if (input.massKg === undefined && input.volumeMm3 === undefined)
      context.addIssue({ code: 'custom', path: ['massKg'], message: 'give massKg, or volumeMm3 with an alloy' })
    if (input.massKg === undefined && input.volumeMm3 !== undefined && !input.alloy)
      context.addIssue({ code: 'custom', path: ['alloy'], message: 'volumeMm3 needs an alloy for its density' })
    const limitC = input.alloy?.solidusC
    if (limitC !== undefined && input.targetC >= limitC)
      context.addIssue({
        code: 'custom',
        path: ['targetC'],
        message: `${input.alloy!.name} begins to melt at ${limitC} °C; the target must lie below`,
      })
  })

export const heatPreheat = question({
  name: 'heat.preheat',
  purpose: 'Minutes to preheat a part, where it would settle, and its heating curve',
  input: preheatInput,
  output: answers.heatPreheat,
  example: { massKg: '1.6 kg', areaMm2: 150000, targetC: '250 F', sourceW: '2 kW', efficiencyPct: 35 },
  solve: input => {
    const massKg = input.massKg ?? input.volumeMm3! * input.alloy!.densityGcm3 * 1e-6
    const { working, ...answer } = preheat(
      {
        massKg,
        specificHeatJkgK: input.alloy?.specificHeatJkgK ?? USUAL_SPECIFIC_HEAT_JKGK,
        areaMm2: input.areaMm2,
        ambientC: input.ambientC,
        absorbedW: (input.sourceW * input.efficiencyPct) / 100,
        filmWm2K: input.filmWm2K,
        emissivity: input.emissivity,
      },
      input.startC,
      input.targetC,
    )
    return {
      answer,
      working,
      cautions: [caution('hot-no-glow'), caution('torch-fire'), caution('closed-hollow'), caution('seal-acid')],
    }
  },
})

export const heatArcPoint = question({
  name: 'heat.arcPoint',
  purpose: 'Temperature beside a steadily moving arc, in a thick part or a plate',
  input: z.strictObject({
    powerW: positive('w'),
    travelMmS: quantity('mmS', { min: 0, max: 1000 }),
    alloy: alloyName,
    startC: quantity('c', { min: -100, max: 600 }).default(20),
    xMm: quantity('mm', { min: -1e5, max: 1e5 }),
    yMm: quantity('mm', { min: -1e5, max: 1e5 }),
    zMm: quantity('mm', { min: 0, max: 1e5 }).default(0),
    wallMm: positive('mm', { max: 1000 }).optional(),
  }),
  output: answers.heatArcPoint,
  example: { powerW: 2200, travelMmS: 3, alloy: '6061', startC: 20, xMm: -10, yMm: 8, zMm: 0 },
  solve: ({ alloy, ...source }) => {
    const conductivity = conductivityWmK(alloy)
    const { temperatureC, working } = movingSource({
      ...source,
      conductivityWmK: conductivity,
      diffusivityM2s: conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK),
    })
    return {
      answer: { temperatureC },
      working,
      cautions:
        temperatureC > alloy.solidusC
          ? [
              {
                code: 'in-the-puddle',
                level: 'note' as const,
                text: `Above ${alloy.solidusC} °C the metal is melting: the formula does not know the puddle, and overstates it here.`,
              },
            ]
          : [],
    }
  },
})

export const heatSimulate = question({
  name: 'heat.simulate',
  purpose: 'Heat in a part over time: torch, arc, oven or hot air against air, bench and backing, at probes',
  input: simulateInput,
  output: answers.heatSimulate,
  // Explicit steps grow with the square of how fine the cells are.
  costMs: ({ shape, cellMm, durationS }) => 20 + (roughCells(shape, cellMm) * durationS) / (400 * cellMm ** 2),
  example: {
    shape: { kind: 'plate', lengthMm: 120, widthMm: 80, thickMm: 8 },
    cellMm: 4,
    alloy: '6061',
    durationS: '2 min',
    sources: [{ kind: 'torch', powerW: 2000, efficiencyPct: 35, atMm: [60, 40, 8], radiusMm: 15 }],
    losses: { benchWm2K: 20 },
    probes: [
      { name: 'weld zone', xMm: 60, yMm: 40, zMm: 8 },
      { name: 'corner', xMm: 0, yMm: 0, zMm: 0 },
    ],
  },
  solve: input => {
    const sinceMs = stopwatch()
    const setup = setUp(input, cutPart(input))
    const run = finish(march(setup))
    const melts = run.peakC >= input.alloy.solidusC
    return {
      answer: { ...simulated(input, setup, run), wallMs: sinceMs() },
      working: simulationWorking(input, setup, run),
      cautions: [
        caution('hot-no-glow'),
        ...(melts
          ? [
              {
                code: 'melting',
                level: 'caution' as const,
                title: 'It would melt',
                text: `The hottest place passes ${input.alloy.solidusC} °C, where ${input.alloy.name} begins to melt; from there on the figures overstate it.`,
              },
            ]
          : []),
      ],
    }
  },
})

const readingSchema = z.strictObject({
  s: quantity('s', { min: 0, max: 86_400 }),
  C: quantity('c', { min: -100, max: 1000 }),
})

export const heatFitSource = question({
  name: 'heat.fitSource',
  purpose: 'Source power and film coefficient from a series of thermometer readings, with standard errors',
  input: z
    .strictObject({
      readings: z.array(readingSchema).min(4).max(2000),
      massKg: positive('kg', { max: 5000 }).optional(),
      volumeMm3: positive('mm3').optional(),
      areaMm2: positive('mm2').optional(),
      alloy: alloyName.optional(),
      shape: shapeSchema.optional(),
      cellMm: positive('mm', { max: 200 }).optional(),
      sources: z.array(sourceSchema).max(20).optional(),
      losses: lossesSchema.optional(),
      probe: probeSchema.optional(),
      startC: quantity('c', { min: -100, max: 700 }).optional(),
      ambientC: quantity('c', { min: -60, max: 100 }).default(20),
      emissivity: z.number().min(0).max(1).default(0.2),
      efficiencyPct: percent({ min: 1 }).default(100),
      /** When the source was taken away; left out, it stayed on. */
      offS: quantity('s', { min: 0, max: 86_400 }).optional(),
    })
    .superRefine((input, context) => {
      const need = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
      const times = input.readings.map(reading => reading.s)
      if (times.some((s, n) => n > 0 && s <= times[n - 1]!)) need('readings', 'times must rise from reading to reading')
      if (input.shape) {
        if (input.cellMm === undefined) need('cellMm', 'a shape needs cellMm')
        if (!input.alloy) need('alloy', 'a shape needs its alloy')
        if (!input.probe) need('probe', 'say where the readings were taken: probe with xMm, yMm, zMm')
        if (!input.sources?.length || !('powerW' in input.sources[0]!))
          need('sources', 'say how it was heated: the first of sources is the one that is fitted, and has a power')
        return
      }
      if (input.massKg === undefined && (input.volumeMm3 === undefined || !input.alloy))
        need('massKg', 'give massKg, or volumeMm3 with an alloy, or a shape')
      if (input.areaMm2 === undefined) need('areaMm2', 'the skin that loses heat: areaMm2, or a shape')
    }),
  output: answers.heatFitSource,
  costMs: ({ shape, cellMm = 1, readings }) =>
    shape ? 500 + (roughCells(shape, cellMm) * readings.at(-1)!.s) / (40 * cellMm ** 2) : readings.length / 10,
  example: {
    massKg: 1.6,
    areaMm2: 150000,
    offS: 240,
    readings: [
      { s: 0, C: 20 },
      { s: 60, C: 45.5 },
      { s: 120, C: 70.2 },
      { s: 180, C: 93.6 },
      { s: 240, C: 116.1 },
      { s: 360, C: 106.6 },
      { s: 480, C: 98.1 },
      { s: 600, C: 90.5 },
    ],
  },
  solve: input => {
    const { readings, emissivity, ambientC } = input
    const startC = input.startC ?? (readings[0]!.s === 0 ? readings[0]!.C : ambientC)
    const lastS = readings.at(-1)!.s
    if (lastS <= 0) throw new NoAnswer('all readings are at the beginning')
    const fit = input.shape
      ? fitPart(
          {
            shape: input.shape,
            cellMm: input.cellMm!,
            alloy: input.alloy!,
            startC,
            durationS: lastS,
            readings: 2,
            probes: [input.probe!],
            sources: input.sources!.map((source, _, all) =>
              isOneFlame(source, all[0]!) ? { ...source, endS: input.offS ?? source.endS } : source,
            ),
            losses: {
              ...(input.losses ?? lossesSchema.parse({})),
              emissivity: input.losses?.emissivity ?? emissivity,
              ambientC: input.losses?.ambientC ?? ambientC,
            },
          },
          readings,
        )
      : fitLump(
          {
            massKg: input.massKg ?? input.volumeMm3! * input.alloy!.densityGcm3 * 1e-6,
            specificHeatJkgK: input.alloy?.specificHeatJkgK ?? USUAL_SPECIFIC_HEAT_JKGK,
            areaMm2: input.areaMm2!,
            ambientC,
            emissivity,
          },
          startC,
          readings,
          input.offS ?? Infinity,
        )
    const share = input.efficiencyPct / 100
    const [absorbedW, filmWm2K] = fit.values as [number, number]
    const [absorbedErrorW, filmErrorWm2K] = fit.standardErrors as [number, number]
    const vague = filmErrorWm2K > Math.max(3, 0.5 * filmWm2K)
    return {
      answer: {
        sourceW: absorbedW / share,
        sourceErrorW: absorbedErrorW / share,
        filmWm2K,
        filmErrorWm2K,
        absorbedW,
        residualC: fit.residual,
        correlation: fit.correlation,
      },
      working: [
        {
          label: 'Into the metal',
          formula: 'least squares on the readings',
          value: absorbedW,
          unit: 'W',
          source: 'Levenberg–Marquardt: Press et al., Numerical Recipes 15.5',
        },
        {
          label: 'Its standard error',
          formula: '√ of the diagonal of s² (JᵀJ)⁻¹',
          value: absorbedErrorW,
          unit: 'W',
          source: 'Numerical Recipes 15.6',
        },
        {
          label: 'Source',
          formula: 'into the metal ÷ share absorbed',
          value: absorbedW / share,
          unit: 'W',
          source: 'energy balance',
        },
        {
          label: 'Film',
          formula: 'least squares on the readings',
          value: filmWm2K,
          unit: 'W/m²K',
          source: 'Newton; emissivity held',
        },
        {
          label: 'Left over',
          formula: '√(Σ residual² ÷ (readings − 2))',
          value: fit.residual,
          unit: '°C',
          source: 'common practice',
        },
      ],
      cautions: vague
        ? [
            {
              code: 'film-vague',
              level: 'note' as const,
              title: 'The film is vague',
              text: 'These readings hardly tell the film from the power. Go on reading for as long again after the torch is off.',
            },
          ]
        : [],
    }
  },
})
