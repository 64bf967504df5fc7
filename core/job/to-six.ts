import { isPlain } from './entry-key'
import { isHeldReading, saidOf, type Plain } from './held'
import type { StoredMend } from './mend.schema'
import { lastOf, named, without } from './migrating'
import { newMend } from './new-mend'

/** What its mend is called by. */
const ARM_PLATE = 'arm-plate'
/** Readings of a plate over a weak arm that stood at Open, and what its mend calls them. */
const READINGS = { plateMm: 'plateMm', armWideMm: 'armWideMm', armHighMm: 'armHighMm', armLongMm: 'armLongMm' } as const
const ARM = Object.keys(READINGS).filter(name => name !== 'plateMm')
/** Fields that left Open in version 6. */
const LEFT = [...Object.keys(READINGS), 'plateSides']

/** The plate that stood at Open as a mend, as wide as its arm, which it was taken for; null where there was none. */
function plateToMend(open: Plain): StoredMend | null {
  const said = saidOf(open, READINGS)
  if (!('plateMm' in said)) return null
  return {
    ...newMend(ARM_PLATE, 'plate'),
    readings: { ...saidOf(open, { armWideMm: 'wideMm' }), ...said, ...(open.plateSides === 2 ? { sides: '2' } : {}) },
  }
}

/** The sizes of an arm that nobody plated: their words, to be kept beside. */
const armBeside = (open: Plain) =>
  ARM.flatMap(name => {
    const held = saidOf(open, { [name]: name })[name]
    return isHeldReading(held) ? [{ field: `open.${name}`, words: held.typed }] : []
  })

/**
 * Version 6 has the plate over a weak arm, which stood at Open beside the mends, among them: it is drawn, laid, timed
 * and priced like any other once it is told how long it is.
 */
export function toSix(job: Plain): Plain {
  const { open } = job
  if (!isPlain(open)) return { ...job, version: 6 }
  const mends = Array.isArray(job.mends) ? (job.mends as StoredMend[]) : []
  const found = plateToMend(open)
  const plate = found && named(found, mends)
  const beside = plate ? [] : armBeside(open)
  const stamps = isPlain(job.stamps) ? job.stamps : {}
  const at = plate ? lastOf(stamps, ['mends', ...LEFT.map(name => `open.${name}`)]) : undefined
  const own = Object.entries({ ...READINGS, plateSides: 'sides' }).flatMap(([was, is]) =>
    plate && stamps[`open.${was}`] !== undefined
      ? [[`mends.#${plate.id}.readings.${is}`, stamps[`open.${was}`]] as const]
      : [],
  )
  return {
    ...job,
    open: without(open, LEFT),
    ...(plate ? { mends: [...mends, plate] } : {}),
    ...(beside.length ? { overruled: [...(Array.isArray(job.overruled) ? job.overruled : []), ...beside] } : {}),
    ...(at === undefined ? {} : { stamps: { ...stamps, ...Object.fromEntries(own), mends: at } }),
    version: 6,
  }
}
