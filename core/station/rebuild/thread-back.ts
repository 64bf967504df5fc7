import type { AnswerTo } from '../../ask/question'
import type { Cold } from '../../fit/cold.table'
import { fitSlug } from '../../fit/question'
import type { Alloy } from '../../metal/alloys.table'
import { kitDrills } from '../../thread/kit-drills'
import { tapFor } from '../../thread/kit-taps'
import type { BossMethod } from '../../thread/methods.table'
import { BOSS_METHODS } from '../../thread/methods.table'
import type { Thread } from '../../thread/thread'
import { askFor } from '../ask-core'
import { newMetalOf, type NewMetal } from './boss-section'
import { found, type Found } from './found'
import { machiningList, type MachiningList } from './machining'

/** How a slug is made and put in; what is null is worked out. */
export interface SlugWanted {
  alloy: Alloy
  slugMm: number | null
  interferenceMm: number | null
  clearanceMm: number
  cold: Cold
  hubC: number | null
  chamferMm: number
  facedMm: number
  serviceC: number
}

/** A thread that is to be given back in a boss, by one way or another. */
export interface ThreadWanted {
  thread: Thread
  deepMm: number
  bossMm: number
  /** Down to what a drill must stay off; null where nothing is near. */ beneathMm: number | null
  way: BossMethod | null
  slug: SlugWanted
  /** Faced with it: how proud it was built, and in which cuts. */
  proudMm: number
  cutsMm: readonly number[]
}

/** What giving a thread back comes to at the bench: its slug, new metal in section, taps, the list at the machine. */
export interface ThreadBack extends Pick<ThreadWanted, 'thread' | 'deepMm' | 'bossMm' | 'beneathMm' | 'way'> {
  slug: Found<AnswerTo<typeof fitSlug>>
  newMetal: NewMetal | null
  cold: Cold
  chamferMm: number
  /** The tap each way needs, and whether the kit has it; none where no taps are listed. */
  taps: Partial<Record<BossMethod, { name: string; inKit: boolean }>>
  list: MachiningList | null
}

/** A chamfer keeps a tenth of its weld, however far it is faced. */
const MOST_FACED_SHARE = 0.9

/** The slug that this boss takes. */
function slugFor({ thread, bossMm, deepMm, beneathMm, slug }: ThreadWanted, body: Alloy) {
  const { alloy, slugMm, interferenceMm, hubC, clearanceMm, facedMm, ...rest } = slug
  const or = <T>(key: string, value: T | null) => (value === null ? {} : { [key]: value })
  return found(
    askFor(fitSlug, 'The slug', {
      ...rest,
      threadMajorMm: thread.majorMm,
      bossMm,
      depthMm: deepMm,
      bodyAlloy: body.name,
      slugAlloy: alloy.name,
      clearanceMm: Math.max(0, clearanceMm),
      facedMm: Math.max(0, facedMm),
      ...or('beneathMm', beneathMm),
      ...or('slugMm', slugMm),
      ...or('interferenceMm', interferenceMm),
      ...or('hubC', hubC),
    }),
  )
}

/** An insert has a straight thread of sixty degrees outside. */
const takesInsert = (way: BossMethod, { flankDeg, taperDeg }: Thread) =>
  !(way === 'wire-insert' || way === 'solid-insert') || (flankDeg === 60 && taperDeg === 0)

/** What a thread and its boss ask for at the bench, whether they are a mend or stand at Rebuild by themselves. */
export function threadBack(
  wanted: ThreadWanted,
  body: Alloy,
  { taps, drills }: { taps: string; drills: string },
): ThreadBack {
  const { thread, deepMm, bossMm, beneathMm, way, slug: made, proudMm, cutsMm } = wanted
  const slug = slugFor(wanted, body)
  const answer = slug && 'answer' in slug ? slug.answer : null
  const listed = way && (way !== 'pressed-slug' || answer) && takesInsert(way, thread)
  return {
    thread,
    deepMm,
    bossMm,
    beneathMm,
    way,
    slug,
    cold: made.cold,
    chamferMm: made.chamferMm,
    newMetal: way && newMetalOf(way, thread, deepMm, bossMm, answer),
    taps: Object.fromEntries(
      BOSS_METHODS.flatMap(method => {
        const tap = tapFor(method, thread, taps)
        return tap ? [[method, tap]] : []
      }),
    ),
    list: listed
      ? machiningList({
          way,
          thread,
          depthMm: Math.max(0.5, deepMm),
          beneathMm,
          proudMm,
          cutsMm,
          slug: answer,
          chamferMm: made.chamferMm,
          facedMm: Math.min(Math.max(0, made.facedMm), made.chamferMm * MOST_FACED_SHARE),
          body,
          slugAlloy: made.alloy,
          drills: kitDrills(drills).drills,
        })
      : null,
  }
}
