import { z } from 'zod'
import { EARLIER_WORDS, SAFETY_WORDS } from '../call/judge.table'
import { SOAK_WORDS } from '../call/process.table'
import { choice, choices, flag, many, maybe, usually, type Field } from '../field/field'
import { DOES, MINDS, MOVES, STAKES } from './words.table'

const names = (label: string): Field<readonly string[]> => ({
  kind: 'choices',
  label,
  usual: [],
  required: false,
  schema: z.array(z.string().min(1).max(60)).max(30).default([]) as unknown as z.ZodType<readonly string[], unknown>,
})
const name = (label: string): Field<string | undefined> => ({
  kind: 'text',
  label,
  usual: undefined,
  required: false,
  schema: z.string().max(400).optional(),
})

/** What is asked of the part as a whole. */
export const fields = {
  does: choice('What it does', DOES, 'static'),
  moves: choice('How it moves', MOVES, 'still'),
  soak: choice('Oil in the metal', SOAK_WORDS, 'handled'),
  earlierRepair: choice('Earlier repair', EARLIER_WORDS, 'none'),
  coating: name('What is on it'),
  cause: name('Why it broke'),
  safetyCritical: choice('Is it one of these', SAFETY_WORDS, 'none'),
  stakes: choice('Who is hurt', STAKES, 'nothing'),
  minds: choices('Mind: it is', MINDS, []),
  alike: many('Parts alike', 1, 1000),
  pressureMPa: maybe('mPa', 'Pressure at work', { min: 0, max: 100 }),
  hotC: usually('c', 'Runs as hot as', 40, { min: -60, max: 500 }),
  saltWater: flag('In salt water', false),
  mustNotMove: names('What may not move'),
  protect: names('What must be kept from harm'),
  finishAfter: name('Finished afterwards'),
  lengthMm: maybe('mm', 'Length over all', { above: 0, max: 20_000 }),
  widthMm: maybe('mm', 'Width', { above: 0, max: 20_000 }),
  heightMm: maybe('mm', 'Height', { above: 0, max: 20_000 }),
  massG: maybe('g', 'Weighs', { above: 0, max: 1e8 }),
} as const
