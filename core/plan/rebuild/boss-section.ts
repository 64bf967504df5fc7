import type { fitSlug } from '../../fit/question'
import type { AnswerTo } from '../../ask/question'
import type { BossMethod } from '../../thread/methods.table'
import type { Thread } from '../../thread/thread'
import { threadInsert } from '../../thread/insert'

export interface NewMetal {
  acrossMm: number
  deepMm: number
}

/**
 * How far past the old thread a weld opens it to sound metal, over its major; how deep a thread is cast round a screw
 * at its mouth. Common practice, no source.
 */
const OPENED_OVER_MAJOR = 1.25
const OPENED_PAST_DEPTH = 1.15
const CAST_ROUND_MAJOR = 1.6
const CAST_DEPTH = 0.5

/** What is new metal in a boss rebuilt one way or another, in section: how wide and how deep from the face, mm. */
export function newMetalOf(
  way: BossMethod,
  thread: Thread,
  depthMm: number,
  bossMm: number,
  slug: AnswerTo<typeof fitSlug> | null,
): NewMetal {
  switch (way) {
    case 'pressed-slug':
      return slug ? { acrossMm: slug.slugMm, deepMm: slug.boreDeepMm } : { acrossMm: 0, deepMm: 0 }
    case 'new-boss':
      return { acrossMm: bossMm, deepMm: depthMm }
    case 'wire-insert':
      return { acrossMm: threadInsert(thread, 'wire').outsideMm, deepMm: depthMm }
    case 'solid-insert':
      return { acrossMm: threadInsert(thread, 'solid').outsideMm, deepMm: depthMm }
    case 'cast-on-screw':
      return { acrossMm: thread.majorMm * CAST_ROUND_MAJOR, deepMm: depthMm * CAST_DEPTH }
    case 'weld-and-tap':
      return { acrossMm: thread.majorMm * OPENED_OVER_MAJOR, deepMm: depthMm * OPENED_PAST_DEPTH }
  }
}
