import type { z } from 'zod'

interface Inside {
  def: {
    type: string
    innerType?: z.core.$ZodType
    element?: z.core.$ZodType
    valueType?: z.core.$ZodType
    shape?: Record<string, z.core.$ZodType>
    options?: z.core.$ZodType[]
    items?: z.core.$ZodType[]
  }
}
/** What a schema is made of, one step in. */
export const inside = (schema: z.core.$ZodType) => (schema as unknown as { _zod: Inside })._zod.def
