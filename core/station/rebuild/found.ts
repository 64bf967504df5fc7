import type { AskedForPlan } from '../ask-core'
import type { Working } from '../parts'

/** An answer with its working, or in words why there is none; null where nothing was asked. */
export type Found<T> = { answer: T; working: Working } | { reason: string } | null

export const found = <T>(asked: AskedForPlan<T>): NonNullable<Found<T>> =>
  asked.ok ? { answer: asked.answer, working: asked.working } : { reason: asked.reason }
