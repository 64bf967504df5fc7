import type { Job } from '../../job/job.schema'
import type { Patch } from '../../job/patch'
import type { MendChoice } from '../../ways/mend-options'
import type { WarmSet } from '../../ways/warm-options'

/** What a way sets: how the part is warmed, and what of each mend, by its id. */
export interface WaySet {
  warm: WarmSet
  set: ReadonlyMap<string, MendChoice>
}

/** How it is warmed, as a stored job says it. */
function warmPatches({ warm: { warm, warmSchool } }: WaySet, job: Job): Patch[] {
  const at = (key: string, value: unknown): Patch => ({ path: ['warm', key], value })
  if (typeof warm === 'object')
    return job.warm.targetC.value === warm.toC ? [] : [at('targetC', { typed: `${warm.toC} °C`, value: warm.toC })]
  return [
    ...(job.warm.targetC.value === null ? [] : [at('targetC', { typed: '', value: null })]),
    ...(warmSchool && warmSchool !== job.warm.school ? [at('school', warmSchool)] : []),
  ]
}

/** What is changed in a stored job to go a way: nothing of what it leaves as it is. */
export function wayPatches(job: Job, way: WaySet): Patch[] {
  const patches = warmPatches(way, job)
  for (const [id, { lays, order, way: by, finish, supplied, leftOut }] of way.set) {
    const at = (path: string[], value: unknown): Patch => ({ path: ['mends', `#${id}`, ...path], value })
    if (leftOut) {
      patches.push(at([], undefined))
      continue
    }
    if (lays)
      patches.push(
        at(
          ['lays'],
          lays.map(({ process, filler = '' }) => ({ id: 'way', process, filler, upTo: 'cap' as const })),
        ),
      )
    if (order) patches.push(at(['order'], order))
    for (const [key, value] of Object.entries({ way: by, finish, supplied }))
      if (value) patches.push(at(['readings', key], value))
  }
  return patches
}
