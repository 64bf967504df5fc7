import { z } from 'zod'
import { BRAZE_ROD_IDS } from '../braze/rods.table'
import { PROCESS_IDS } from '../process/registry'
import { positive, quantity } from '../quantity/schema'
import { shapeOf } from '../field/field'
import { shapeSchema } from '../solid/shape.schema'
import { ORDERS, type Order } from '../lay/lays'
import { UP_TO, type UpTo } from '../lay/process.table'
import { kinds, wrongTogether, type KindId } from '../mend/registry'
import { alloyName } from '../metal/find-alloy'
import { evidenceSchema } from '../metal/identify/evidence'
import { fields as partFields } from '../part/fields'
import type { MendGiven } from './job-given'
import { ringOf } from './decide/order'

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w-]+$/, { error: 'letters, figures, - and _ only' })
const keysOf = <T extends string>(table: Readonly<Record<T, unknown>>) => Object.keys(table) as [T, ...T[]]

const body = z.strictObject({
  id,
  alloy: alloyName.optional(),
  evidence: z.array(evidenceSchema).max(40).optional(),
  wallMm: positive('mm', { max: 500 }),
  strengthTemper: z.string().max(20).optional(),
})
const keptOn = z.strictObject({
  id: z.string().min(1).max(64),
  limitC: quantity('c', { min: -60, max: 500 }),
  atMm: z.array(quantity('mm')).min(2).max(3).optional(),
})
const part = z.strictObject({
  ...shapeOf(partFields),
  keptOn: z.array(keptOn).max(20).default([]),
  shape: shapeSchema.optional(),
  newPrice: z.number().min(0).max(1e7).optional(),
  bodies: z
    .array(body)
    .min(1)
    .max(12)
    .refine(list => new Set(list.map(each => each.id)).size === list.length, { error: 'two bodies have the same id' }),
})
/** A filler's name, or a brazing rod's own that is no alloy of the table. */
const fillerName = z.union([z.enum(BRAZE_ROD_IDS), alloyName.transform(alloy => alloy.name)], {
  error: 'a filler such as 4043, or zinc-al',
})
const lay = z.strictObject({
  process: z.enum(PROCESS_IDS, { error: `one of ${PROCESS_IDS.join(', ')}` }).optional(),
  filler: fillerName.optional(),
  upTo: z.enum(keysOf(UP_TO), { error: `one of ${keysOf(UP_TO).join(', ')}` }).default('cap' as UpTo as never),
})
const common = {
  id,
  bodies: z.array(id).min(1).max(2).optional(),
  opened: z.boolean().default(false),
  order: z
    .enum(keysOf(ORDERS), { error: `one of ${keysOf(ORDERS).join(', ')}` })
    .default('alternate' as Order as never),
  lays: z.array(lay).min(1).max(8).optional(),
  atMm: z.array(quantity('mm')).min(2).max(3).optional(),
}
const mendSchemas = kinds().map(kind =>
  z.strictObject({ kind: z.literal(kind.id), ...common, ...shapeOf(kind.fields) }).superRefine((given, context) => {
    const values: Record<string, unknown> = given
    for (const { reading, message } of wrongTogether(kind, values))
      context.addIssue({ code: 'custom', path: [reading], message })
  }),
)
const COMMON = new Set([...Object.keys(common), 'kind'])
const mend = z
  .discriminatedUnion('kind', mendSchemas as unknown as [(typeof mendSchemas)[number], ...typeof mendSchemas], {
    error: `a mend with a "kind": ${kinds()
      .map(kind => kind.id)
      .join(', ')}`,
  })
  .transform((given): MendGiven => {
    const all = given as unknown as Record<string, unknown>
    const values = Object.fromEntries(Object.entries(all).filter(([key]) => !COMMON.has(key)))
    return {
      id: all.id as string,
      kind: all.kind as KindId,
      bodies: all.bodies as string[] | undefined,
      opened: all.opened as boolean,
      order: all.order as Order,
      lays: all.lays as MendGiven['lays'],
      atMm: all.atMm as number[] | undefined,
      values,
    }
  })

/** What `job.plan` takes of a part, its warming and its mends. */
export const givenFields = {
  part,
  warm: z
    .union(
      [
        z.enum(['auto', 'none']),
        z.strictObject({ toC: quantity('c', { min: 0, max: 500 }), torch: z.string().max(64).optional() }),
      ],
      { error: 'auto, none, or { toC, torch }' },
    )
    .default('auto'),
  mends: z
    .array(mend)
    .min(1)
    .max(60)
    .refine(list => new Set(list.map(each => each.id)).size === list.length, { error: 'two mends have the same id' })
    .superRefine((list, context) => {
      // One that is wrong by itself has no readings yet, and says so itself.
      const waits = (list as Partial<MendGiven>[]).map(({ id = '', values: { after } = {} }) => ({
        id,
        after: Array.isArray(after) ? after.filter((one): one is string => typeof one === 'string') : [],
      }))
      waits.forEach((one, n) => {
        const unknown = one.after.find(id => !list.some(other => other.id === id))
        if (unknown !== undefined)
          context.addIssue({ code: 'custom', path: [n, 'after'], message: `there is no mend ${unknown} to wait for` })
      })
      const ring = ringOf(waits)
      if (ring)
        context.addIssue({
          code: 'custom',
          path: [waits.findIndex(({ id }) => id === ring[0]), 'after'],
          message: `the mends wait for one another: ${ring.join(' after ')}`,
        })
    }),
}
