import type { fitSlug } from '../../fit/question'
import type { AnswerTo } from '../../ask/question'
import { BRIGHT_MM, CAST_WIDE_MM } from '../../mend/thread/sizes.table'
import { castDeepMm } from '../../thread/cast-depth'
import type { BossMethod } from '../../thread/methods.table'
import type { Thread } from '../../thread/thread'
import { threadInsert } from '../../thread/insert'

export interface NewMetal {
  acrossMm: number
  deepMm: number
}

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
      return { acrossMm: thread.majorMm + 2 * CAST_WIDE_MM, deepMm: castDeepMm(thread.majorMm, depthMm) }
    case 'weld-and-tap':
      return { acrossMm: thread.majorMm + 2 * BRIGHT_MM, deepMm: depthMm }
  }
}
