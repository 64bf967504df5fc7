import { kindOf } from '../mend/registry'
import { read } from '../quantity/read'
import type { UnitKey } from '../quantity/units.table'
import { isPlain } from './entry-key'
import type { Plain } from './held'
import type { BasisValue } from './job.schema'
import { mendPath, sameFigure } from './rests-on'

/** Readings that a settled station remembered as they were typed, by the names it had for them. */
const TYPED: Readonly<Record<string, readonly [path: string, unit: UnitKey]>> = {
  wall: ['takeIn.wallMm', 'mm'],
  target: ['warm.targetC', 'c'],
  balance: ['weld.enPct', 'pct'],
  frequency: ['weld.frequencyHz', 'hz'],
}
/** Picks that it remembered by their ids. */
const PICKED: Readonly<Record<string, string>> = {
  soak: 'takeIn.soak',
  'what it does': 'takeIn.does',
  coating: 'takeIn.coating',
  'earlier repair': 'takeIn.earlierRepair',
  safety: 'takeIn.safetyCritical',
}
/** Where a text was too long to keep. */
const CUT_OFF = '…'

function typed(text: string, unit: UnitKey): BasisValue | undefined {
  if (!text.trim()) return null
  const found = read(text, unit)
  return found.ok ? sameFigure(found.value) : undefined
}

/** Readings of the mends as a station remembered them in one text: `name: key typed, key typed; …`. */
function ofMends(text: string, mends: readonly unknown[]): Record<string, BasisValue> {
  const found: Record<string, BasisValue> = {}
  for (const part of text.split('; ')) {
    const colon = part.indexOf(': ')
    const named = part.slice(0, colon)
    const mend = mends.find(one => isPlain(one) && (one.name || one.kind) === named)
    if (colon < 0 || !isPlain(mend) || typeof mend.id !== 'string' || typeof mend.kind !== 'string') continue
    const { fields } = kindOf(mend.kind)
    for (const item of part.slice(colon + 2).split(', ')) {
      const space = item.indexOf(' ')
      const [key, said] = [item.slice(0, space), item.slice(space + 1)]
      const field = fields[key]
      if (space < 0 || !field || said.includes(CUT_OFF)) continue
      const value = field.unit
        ? typed(said, field.unit)
        : said === 'true' || said === 'false'
          ? said === 'true'
          : said.split(',').toSorted().join(' ')
      if (value !== undefined) found[mendPath(mend.id, `readings.${key}`)] = value
    }
  }
  return found
}

function basisAsSeven(basis: Plain, mends: readonly unknown[]): Record<string, BasisValue> {
  const found: Record<string, BasisValue> = {}
  for (const [what, text] of Object.entries(basis)) {
    if (typeof text !== 'string') continue
    const reading = TYPED[what]
    const value = reading && typed(text, reading[1])
    if (reading && value !== undefined) found[reading[0]] = value
    const picked = PICKED[what]
    if (picked) found[picked] = text || null
  }
  return { ...found, ...(typeof basis.mends === 'string' ? ofMends(basis.mends, mends) : {}) }
}

/**
 * Version 7 remembers of a settled station values and no sentences: its readings by their fields, in their units; what
 * was decided and its cautions by their codes. Of what stood settled, readings are carried over; what was reckoned and
 * said is not held against it. A mend on a part whose face is a seat says if it lies on it: those that were dressed
 * as a seat stay so.
 */
export function toSeven(job: Plain): Plain {
  const mends = Array.isArray(job.mends) ? job.mends : []
  const settled = isPlain(job.settled)
    ? Object.fromEntries(
        Object.entries(job.settled).map(([station, entry]) => [
          station,
          isPlain(entry) && isPlain(entry.basis) ? { ...entry, basis: basisAsSeven(entry.basis, mends) } : entry,
        ]),
      )
    : job.settled
  return { ...job, ...(job.settled === undefined ? {} : { settled }), mends: onSeats(job, mends), version: 7 }
}

/** Faces that every mend of a part was dressed to size on. */
const SEATS = ['locating-diameter', 'gasket-face']
/** Kinds whose hand dressing went by them. */
const DRESSED: ReadonlySet<unknown> = new Set(['crack', 'break', 'hole', 'window'])

function onSeats({ takeIn }: Plain, mends: readonly unknown[]): unknown[] {
  const seats =
    isPlain(takeIn) && Array.isArray(takeIn.mustNotMove)
      ? SEATS.filter(id => (takeIn.mustNotMove as unknown[]).includes(id))
      : []
  return mends.map(mend =>
    seats.length && isPlain(mend) && DRESSED.has(mend.kind) && isPlain(mend.readings) && mend.readings.machined !== true
      ? { ...mend, readings: { ...mend.readings, on: seats } }
      : mend,
  )
}
