import { grooveSection } from '../groove/section'
import { isPlain } from './entry-key'
import { isHeldReading, saidOf, type Plain } from './held'
import { MOST_DONE, passStep } from './mend-steps'
import type { StoredMend } from './mend.schema'
import { newMend } from './new-mend'
import type { StoredReading } from './reading.schema'

/** What version 3 could open beside a crack: the kind of mend that it is, and what its readings are called there. */
const WORKS: Readonly<Record<string, { kind: StoredMend['kind']; names: Readonly<Record<string, string>> }>> = {
  patch: {
    kind: 'window',
    names: {
      patchWideMm: 'wideMm',
      patchHighMm: 'highMm',
      patchCornerMm: 'cornerMm',
      includedDeg: 'includedDeg',
      rootRadiusMm: 'rootRadiusMm',
      capMm: 'capMm',
    },
  },
  'build-up': {
    kind: 'edge',
    names: { edgeLongMm: 'longMm', edgeWideMm: 'wideMm', edgeHighMm: 'highMm', edgeProudMm: 'proudMm' },
  },
  turned: { kind: 'turned', names: { turnedMm: 'turnedMm' } },
}
/** Fields that left the opening in version 4. */
export const LEFT_OPEN = [
  'patchWideMm',
  'patchHighMm',
  'patchCornerMm',
  'turnedMm',
  'edgeLongMm',
  'edgeWideMm',
  'edgeHighMm',
  'edgeProudMm',
]

/** Steps of the opening that its mend has too, by what it calls them. */
const STEPS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  window: { patch: 'cut-window', groove: 'bevel-window', wipe: 'wipe' },
  edge: { face: 'square-edge', wipe: 'wipe' },
  turned: { groove: 'scrub', wipe: 'wipe' },
}

const valueOf = (held: unknown): number | null => (isHeldReading(held) ? held.value : null)
const texts = (list: unknown): string[] => (Array.isArray(list) ? list.filter(each => typeof each === 'string') : [])
const reading = (mm: number): StoredReading => {
  const value = Math.round(mm * 10) / 10
  return { typed: `${value} mm`, value }
}

/** How wide and deep the groove round a turned part was, which version 3 took from the wall and the angle. */
function sectionOf(open: Plain, takeIn: Plain): StoredMend['readings'] {
  const wallMm = valueOf(takeIn.wallMm)
  if (!wallMm) return {}
  const landMm = open.keepBreak === false ? 0 : (valueOf(open.landMm) ?? 2)
  const depthMm = wallMm - landMm
  if (depthMm <= 0) return {}
  const { topWidthMm } = grooveSection({
    depthMm,
    includedDeg: valueOf(open.includedDeg) ?? 70,
    rootRadiusMm: valueOf(open.rootRadiusMm) ?? 2,
  })
  return { wideMm: reading(topWidthMm), deepMm: reading(depthMm) }
}

/**
 * The opening of a job of version 3 as a mend, where it is no crack: a patch let in, an edge built up, a groove round a
 * turned part, with its steps, passes and filler. Null where it is a crack or none.
 */
export function openingToMend({ open, takeIn, call, weld }: Plain): StoredMend | null {
  const was = isPlain(open) ? WORKS[String(open.work)] : undefined
  if (!was || !isPlain(open)) return null
  const { kind, names } = was
  const wanted = isPlain(call) ? call : {}
  const [process, filler] = [wanted.process ?? null, typeof wanted.filler === 'string' ? wanted.filler : '']
  const steps = STEPS[kind]!
  const passes = isPlain(weld) && Array.isArray(weld.passesDone) ? weld.passesDone : []
  return {
    ...newMend('first-opening', kind),
    readings: { ...saidOf(open, names), ...(kind === 'turned' ? sectionOf(open, isPlain(takeIn) ? takeIn : {}) : {}) },
    lays:
      process || filler
        ? [{ id: 'lay-1', process: process as StoredMend['lays'][number]['process'], filler, upTo: 'cap' }]
        : [],
    done: [
      ...texts(open.done).flatMap(id => steps[id] ?? []),
      ...passes.filter(pass => typeof pass === 'number').map(passStep),
    ].slice(0, MOST_DONE),
  }
}

/** What hung on the opening hangs on the mend: what was seen in the puddle, and where it lies on the part. */
export function openingRenamed({ weld, shape, ...job }: Plain, mend: string): Plain {
  const log = isPlain(weld) && Array.isArray(weld.log) ? weld.log : []
  const marks = isPlain(shape) && Array.isArray(shape.marks) ? shape.marks : []
  return {
    ...job,
    ...(isPlain(weld)
      ? {
          weld: {
            ...weld,
            passesDone: [],
            log: log.map(entry => (isPlain(entry) && entry.mend === undefined ? { ...entry, mend } : entry)),
          },
        }
      : {}),
    ...(isPlain(shape)
      ? {
          shape: {
            ...shape,
            marks: marks.map(mark => (isPlain(mark) && mark.mend === 'opening' ? { ...mark, mend } : mark)),
          },
        }
      : {}),
  }
}
