import { isHeldReading, saidOf, type Plain } from './held'
import { machineStep } from './mend-steps'
import type { StoredMend } from './mend.schema'
import { newMend } from './new-mend'

/** Readings of a thread that stood at Rebuild, and what its mend calls them. */
const THREAD = {
  thread: 'thread',
  threadDeepMm: 'deepMm',
  bossMm: 'bossMm',
  torqueNm: 'torqueNm',
  beneathMm: 'beneathMm',
  way: 'way',
} as const
/** Of its slug; the same there and here. */
const SLUG = ['slugAlloy', 'slugMm', 'interferenceMm', 'clearanceMm', 'cold', 'hubC', 'chamferMm', 'facedMm'] as const
const BEND = { bentMm: 'bentMm', bentOverMm: 'overMm' } as const
/** What a slug's readings began with in version 3. */
const BEGUN: Readonly<Record<string, string>> = {
  slugAlloy: '6061',
  clearanceMm: '0.02 mm',
  cold: 'freezer',
  chamferMm: '2.5 mm',
  facedMm: '0.5 mm',
}

/** Fields that left Rebuild in version 4. */
export const LEFT_REBUILD = [...Object.keys(THREAD), ...SLUG, ...Object.keys(BEND), 'listDone']

/** The thread and the bend that stood at Rebuild, as mends. */
export function rebuiltToMends(rebuild: Plain): StoredMend[] {
  const thread = saidOf(rebuild, THREAD)
  const slug = saidOf(rebuild, Object.fromEntries(SLUG.map(name => [name, name])), BEGUN)
  const done = Array.isArray(rebuild.listDone) ? rebuild.listDone.filter(id => typeof id === 'string') : []
  const bend = saidOf(rebuild, BEND)
  // What a slug is cooled in makes no thread; a reading of one does.
  const isNamed = 'thread' in thread || Object.values({ ...thread, ...slug }).some(isHeldReading)
  return [
    ...(isNamed || done.length
      ? [{ ...newMend('rebuilt-thread', 'thread'), readings: { ...thread, ...slug }, done: done.map(machineStep) }]
      : []),
    ...(Object.keys(bend).length ? [{ ...newMend('rebuilt-bend', 'bent'), readings: bend }] : []),
  ]
}
