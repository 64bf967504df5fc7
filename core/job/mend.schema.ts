import '../quantity/zod-config'
import { z } from 'zod'
import { ORDERS, type Order } from '../lay/lays'
import { UP_TO, type UpTo } from '../lay/process.table'
import { PROCESS_IDS } from '../process/registry'
import { KIND_IDS, kindOf } from '../mend/registry'
import { MOST_DONE } from './mend-steps'
import { storedReading } from './reading.schema'
import { idText as id, text } from './text'

const keysOf = <T extends string>(table: Readonly<Record<T, unknown>>) => Object.keys(table) as [T, ...T[]]
const key = z.string().min(1).max(40).regex(/^\w+$/)

/** What is stored of one field: a reading as typed, a pick, a list of picks, a yes or no. */
const held = z.union([
  storedReading,
  z.string().max(400),
  z.boolean(),
  z.number().int().min(0).max(1e6),
  z.array(z.string().max(64)).max(60),
])

/** One place being mended, as it is stored: its kind, and its readings by the names that its kind gives them. */
export const mendSchema = z
  .strictObject({
    id,
    kind: z.enum(KIND_IDS),
    name: text(80),
    /** Open already, or laid over as it is: nothing is cut. */
    opened: z.boolean().default(false),
    order: z.enum(keysOf<Order>(ORDERS)).default('alternate'),
    /** Lays chosen by hand; none, as the plan has them. */
    lays: z
      .array(
        z.strictObject({
          id,
          process: z.enum(PROCESS_IDS).nullable().default(null),
          filler: text(40),
          upTo: z.enum(keysOf<UpTo>(UP_TO)).default('cap'),
        }),
      )
      .max(8)
      .default([]),
    /** The other piece, where two are joined. */
    other: z.strictObject({ alloy: text(40), wallMm: storedReading.default({ typed: '', value: null }) }).prefault({}),
    readings: z.record(key, held).default({}),
    done: z.array(id).max(MOST_DONE).default([]),
  })
  .superRefine((mend, context) => {
    const { fields } = kindOf(mend.kind)
    for (const name of Object.keys(mend.readings))
      if (!Object.hasOwn(fields, name))
        context.addIssue({
          code: 'custom',
          path: ['readings', name],
          message: `a ${kindOf(mend.kind).name} has no ${name}`,
        })
  })
export type StoredMend = z.output<typeof mendSchema>
