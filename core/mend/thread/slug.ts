import { remembered } from '../../ask/remembered'
import { NoAnswer } from '../../ask/question'
import type { ValuesOf } from '../../field/field'
import { planSlug, type SlugInput, type SlugPlan } from '../../fit/slug'
import type { Alloy } from '../../metal/alloys.table'
import type { fields } from './fields'
import { bossOf } from './ways'

export type Slug = { readonly plan: SlugPlan } | { readonly reason: string }

const slugPlanned = remembered(500, (input: SlugInput): Slug => {
  try {
    return { plan: planSlug(input) }
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    return { reason: error.message }
  }
})

/** What a slug is asked for by a thread's readings: the one input that the plan, the bench and the clock go by. */
export const slugAsked = (values: ValuesOf<typeof fields>, body: Alloy, serviceC: number): SlugInput => ({
  threadMajorMm: values.thread.majorMm,
  bossMm: bossOf(values.thread, values.bossMm),
  depthMm: values.deepMm,
  ...(values.beneathMm === undefined ? {} : { beneathMm: values.beneathMm }),
  body,
  slug: values.slugAlloy,
  ...(values.slugMm === undefined ? {} : { slugMm: values.slugMm }),
  ...(values.interferenceMm === undefined ? {} : { interferenceMm: values.interferenceMm }),
  clearanceMm: values.clearanceMm,
  cold: values.cold,
  ...(values.hubC === undefined ? {} : { hubC: values.hubC }),
  serviceC,
  chamferMm: values.chamferMm,
  facedMm: values.facedMm,
})

/** The slug that a thread's readings ask for; the reason where there can be none. */
export const slugOf = (values: ValuesOf<typeof fields>, body: Alloy, serviceC: number): Slug =>
  slugPlanned(slugAsked(values, body, serviceC))
