import { z } from 'zod'
import { EARLIER_POINTS, SAFETY_CRITICAL } from '../call/judge.table'
import { SOAKS } from '../call/process.table'
import { choice, flag, maybe, type Field } from '../field/field'
import { DOES, MOVES } from './words.table'

const same = <T extends string>(ids: readonly T[]) =>
  Object.fromEntries(ids.map(id => [id, id.replaceAll('-', ' ')])) as Record<T, string>
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
  soak: choice('Oil in it', same(SOAKS), 'handled'),
  earlierRepair: choice('Mended before', same(Object.keys(EARLIER_POINTS) as (keyof typeof EARLIER_POINTS)[]), 'none'),
  coating: name('What is on it'),
  cause: name('Why it broke'),
  safetyCritical: choice('Carries lives', same(SAFETY_CRITICAL), 'none'),
  hotC: maybe('c', 'Runs at', { min: -60, max: 500 }),
  saltWater: flag('In salt water', false),
  mustNotMove: names('What may not move'),
  protect: names('What must be kept from harm'),
  finishAfter: name('Finished afterwards'),
  lengthMm: maybe('mm', 'Long', { above: 0, max: 20_000 }),
  widthMm: maybe('mm', 'Wide', { above: 0, max: 20_000 }),
  heightMm: maybe('mm', 'High', { above: 0, max: 20_000 }),
  massG: maybe('g', 'Weighs', { above: 0, max: 1e8 }),
} as const
