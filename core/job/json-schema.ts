import { z } from 'zod'
import { jobSchema, shopFileSchema } from './job.schema'

export const FILE_SCHEMAS = { job: jobSchema, shop: shopFileSchema } as const
export type FileKind = keyof typeof FILE_SCHEMAS

/** JSON Schema (draft 2020-12) of an exported file, made from the very schema that reads it. */
export function jsonSchemaOf(kind: FileKind): object {
  return {
    title: `Wild Sparrow ${kind} file`,
    ...z.toJSONSchema(FILE_SCHEMAS[kind], { io: 'input', target: 'draft-2020-12' }),
  }
}
