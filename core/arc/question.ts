import { ARC_IDS, USUAL_ARC, isTig } from '../process/registry'
import { z } from 'zod'
import { NoAnswer, question } from '../ask/question'
import { percent, positive, quantity } from '../quantity/schema'
import { alloyName } from '../metal/find-alloy'
import { caution } from '../safety/cautions.table'
import { ampsNeed, JOINT_SHARE, type Joint } from './amps'
import { DIAL_READINGS, readBalance } from './balance'
import { dutyAt } from './duty'
import { gasUse } from './gas'
import { MIG_MODES, migSetup } from './mig'
import { tigSetup } from './setup'
import {
  BALANCE_SCHOOLS,
  FREQUENCY_SCHOOLS,
  POSITION_SHARE,
  type BalanceSchool,
  type FrequencySchool,
  type Position,
} from './setup.table'
import { acWave } from './wave'
import * as answers from './answers'

const arcCautions = () => [caution('earth-before-arc'), caution('ozone-uv')]

export const ampsNeedQuestion = question({
  name: 'amps.need',
  purpose: 'Average current for a wall, process and joint, with the preheat worked in',
  input: z.strictObject({
    wallMm: positive('mm', { min: 0.3, max: 60 }),
    startC: quantity('c', { min: -60, max: 500 }).default(20),
    process: z.enum(ARC_IDS, { error: `one of ${ARC_IDS.join(', ')}` }).default(USUAL_ARC),
    joint: z
      .enum(Object.keys(JOINT_SHARE) as [Joint, ...Joint[]], { error: `one of ${Object.keys(JOINT_SHARE).join(', ')}` })
      .default('flat'),
  }),
  output: answers.ampsNeed,
  example: { wallMm: '0.315 in', startC: '200 F', process: USUAL_ARC, joint: 'flat' },
  solve: ({ wallMm, startC, process, joint }) => {
    const { working, ...answer } = ampsNeed(wallMm, startC, process, joint)
    return { answer, working, cautions: arcCautions() }
  },
})

export const machineAc = question({
  name: 'machine.ac',
  purpose: 'Average and root-mean-square current and half-wave times of an AC setting',
  input: z.strictObject({
    enA: quantity('a', { min: 0, max: 2000 }),
    epA: quantity('a', { min: 0, max: 2000 }).optional(),
    enPct: percent(),
    frequencyHz: positive('hz', { min: 0.1, max: 100000 }),
  }),
  output: answers.machineAc,
  example: { enA: 350, epA: 225, enPct: 60, frequencyHz: 100 },
  solve: ({ enA, epA, enPct, frequencyHz }) => {
    const { working, ...answer } = acWave(enA, epA ?? enA, enPct, frequencyHz)
    return { answer, working, cautions: arcCautions() }
  },
})

export const machineBalance = question({
  name: 'machine.balance',
  purpose: 'What the number on a balance dial means: electrode-negative and -positive share',
  input: z
    .strictObject({
      value: quantity('number'),
      reads: z.enum(DIAL_READINGS, { error: `one of ${DIAL_READINGS.join(', ')}` }),
    })
    .superRefine(({ value, reads }, context) => {
      const least = reads === 'ep-minus-en' ? -100 : 0
      if (value < least || value > 100)
        context.addIssue({
          code: 'custom',
          path: ['value'],
          message: `a dial that reads ${reads} goes from ${least} to 100, not ${value}`,
        })
    }),
  output: answers.machineBalance,
  example: { value: 40, reads: 'cleaning-share' },
  solve: ({ value, reads }) => {
    const { working, ...answer } = readBalance(value, reads)
    return {
      answer,
      working,
      cautions:
        answer.epPct > 50
          ? [
              {
                code: 'cleaning-heavy',
                level: 'note' as const,
                text: 'More than half the time positive overheats the tungsten: check that the dial is read the right way round.',
              },
            ]
          : [],
    }
  },
})

export const machineDuty = question({
  name: 'machine.duty',
  purpose: 'How long a machine may weld at a current, and how long it must rest',
  input: z.strictObject({
    ratedA: positive('a', { max: 2000 }),
    ratedPct: percent({ above: 0 }),
    a: positive('a', { max: 2000 }),
    windowMin: positive('min', { max: 1440 }).default(10),
  }),
  output: answers.machineDuty,
  example: { ratedA: 200, ratedPct: 25, a: 140 },
  solve: ({ ratedA, ratedPct, a, windowMin }) => {
    const { working, ...answer } = dutyAt(ratedA, ratedPct, a, windowMin)
    return {
      answer,
      working,
      cautions:
        a > ratedA
          ? [
              {
                code: 'above-rating',
                level: 'caution' as const,
                text: 'Above the rated current the maker promises nothing: the figure is for heating only, not for what the machine or the torch can give.',
              },
            ]
          : [],
    }
  },
})

export const machineDial = question({
  name: 'machine.dial',
  purpose: 'Current for a dial that only shows percent of its range',
  input: z.strictObject({
    lowA: quantity('a', { min: 0, max: 2000 }),
    highA: quantity('a', { min: 0, max: 2000 }),
    dialPct: percent(),
  }),
  output: answers.machineDial,
  example: { lowA: 5, highA: 200, dialPct: 65 },
  solve: ({ lowA, highA, dialPct }) => {
    if (highA < lowA) throw new NoAnswer(`the range ends at ${highA} A, below where it begins at ${lowA} A`)
    const a = lowA + ((highA - lowA) * dialPct) / 100
    return {
      answer: { a },
      working: [
        {
          label: 'Current',
          formula: `${lowA} + (${highA} − ${lowA}) × ${dialPct} %`,
          value: a,
          unit: 'A',
          source: 'a linear dial, as most are: common practice, no source',
        },
      ],
      cautions: [],
    }
  },
})

export const gasUseQuestion = question({
  name: 'gas.use',
  purpose: 'Shielding gas used, and what share of the cylinder that is',
  input: z.strictObject({
    flowLMin: quantity('lMin', { min: 0, max: 200 }),
    arcMin: quantity('min', { min: 0, max: 100000 }),
    postflowS: quantity('s', { min: 0, max: 600 }).default(0),
    starts: z.number().int().min(0).max(100000).default(1),
    cylinderL: positive('l').optional(),
  }),
  output: answers.gasUse,
  example: { flowLMin: '15 cfh', arcMin: 8, postflowS: 8, starts: 12, cylinderL: 2000 },
  solve: input => {
    const { working, ...answer } = gasUse(input)
    const cautions =
      answer.cylinderShare !== undefined && answer.cylinderShare > 1
        ? [
            {
              code: 'cylinder-short',
              level: 'caution' as const,
              text: 'One cylinder will not do: have a full one ready before the first arc.',
            },
          ]
        : []
    return { answer, working, cautions }
  },
})

const oneOf = <T extends string>(table: Readonly<Record<T, unknown>>) => {
  const ids = Object.keys(table) as [T, ...T[]]
  return z.enum(ids, { error: `one of ${ids.join(', ')}` })
}

export const machineSetup = question({
  name: 'machine.setup',
  purpose: "Tungsten, tip, cup, gas, post-flow, rod, balance and frequency for a current, with each school's range",
  input: z.strictObject({
    process: z.enum(ARC_IDS, { error: `one of ${ARC_IDS.join(', ')}` }).default(USUAL_ARC),
    a: positive('a', { max: 1000 }),
    fillerMm: positive('mm', { min: 0.5, max: 10 }).optional(),
    position: oneOf<Position>(POSITION_SHARE).default('flat'),
    school: oneOf<FrequencySchool>(FREQUENCY_SCHOOLS).default('middle'),
    metal: oneOf<BalanceSchool>(BALANCE_SCHOOLS).default('dirty'),
  }),
  output: answers.machineSetup,
  example: { process: USUAL_ARC, a: 160, position: 'flat', school: 'middle' },
  solve: ({ process, ...input }) => {
    if (!isTig(process))
      throw new NoAnswer('MIG has no tungsten, balance or frequency: ask mig.setup for wire feed and voltage')
    const { working, ...answer } = tigSetup(input)
    return { answer, working, cautions: arcCautions() }
  },
})

export const migSetupQuestion = question({
  name: 'mig.setup',
  purpose: 'Wire feed, voltage and deposit of a MIG gun for a wall',
  input: z.strictObject({
    wireMm: positive('mm', { min: 0.6, max: 3.2 }),
    filler: alloyName.default(() => alloyName.parse('4043')),
    wallMm: positive('mm', { min: 0.5, max: 40 }),
    mode: z.enum(MIG_MODES, { error: `one of ${MIG_MODES.join(', ')}` }).default('spray'),
    startC: quantity('c', { min: -60, max: 500 }).default(20),
  }),
  output: answers.migSetup,
  example: { wireMm: '0.035 in', filler: '4043', wallMm: 3, mode: 'cold' },
  solve: input => {
    const { working, ...answer } = migSetup(input)
    const globs = input.mode === 'spray' && !answer.sprays
    return {
      answer,
      working,
      cautions: [
        ...arcCautions(),
        ...(globs
          ? [
              {
                code: 'no-spray',
                level: 'note' as const,
                title: 'Does not spray',
                text: `Under about ${Math.round(answer.sprayFromA)} A this wire goes over in drops: take thinner wire, or pulse.`,
              },
            ]
          : []),
      ],
    }
  },
})
