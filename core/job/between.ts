import '../quantity/zod-config'
import { z } from 'zod'

/** A number with limits that say themselves in plain words. */
export const between = (min: number, max: number) =>
  z
    .number({ error: 'a number' })
    .min(min, { error: `must be at least ${min}` })
    .max(max, { error: `must be at most ${max}` })
