import { kept, MENDS, mendsBasis } from './mends-as-six'
import { crackToMend, landBeside, LEFT, OPENING, READINGS, STEPS } from './crack-to-mend'
import { isPlain } from './entry-key'
import { isHeldReading, type Plain } from './held'
import type { StoredMend } from './mend.schema'
import { asFour } from './to-four'
import { lastOf, named, without } from './migrating'

/** What the stations that show mends remember in other words than version 4 had for them. */
const SAID_OTHERWISE = [
  'the call',
  'cautions',
  'what they take',
  'work',
  'crack',
  'passes',
  'filler',
  'proud',
  'machined',
]
const SHOWN = ['open', 'weld', 'rebuild'] as const
const isShown = (station: string): station is (typeof SHOWN)[number] => SHOWN.some(id => id === station)
/** What these stations remember has the price in it, or is it. */
const PRICED: Readonly<Record<string, readonly string[]>> = { call: ['the call'], 'hand-over': ['the call', 'price'] }
/** Minutes that were noted of the crack's own phases, which are its mend's now. */
const OWN_PHASES = ['weld', 'rebuild']

const plainOf = (held: unknown): Plain => (isPlain(held) ? held : {})

/** The mends as they stood when a station was settled: with the length that its crack had then. */
function asSettled(basis: Plain, crack: StoredMend | null, mends: readonly StoredMend[]): readonly StoredMend[] {
  const was = basis.crack
  const now = crack?.readings.lengthMm
  if (!crack || typeof was !== 'string' || !isHeldReading(now) || was === now.typed) return mends
  const before = { ...crack, readings: { ...crack.readings, lengthMm: { ...now, typed: was } } }
  return mends.map(mend => (mend.id === crack.id ? before : mend))
}

/**
 * What stands settled rests on the same as before, said otherwise: a station that knew its crack or its mends knows
 * them as they were, and a price that was settled is not asked again because it is reckoned otherwise.
 */
function settledAs(
  job: Plain,
  crack: StoredMend | null,
  before: readonly StoredMend[],
  after: readonly StoredMend[],
): Plain {
  return Object.fromEntries(
    Object.entries(plainOf(job.settled)).map(([station, entry]) => {
      if (!isPlain(entry) || !isPlain(entry.basis)) return [station, entry]
      const { basis } = entry
      if (station in PRICED) return [station, { ...entry, basis: without(basis, PRICED[station]!) }]
      if (!isShown(station)) return [station, entry]
      const said = without(basis, SAID_OTHERWISE)
      const knew = after.length > 0 && (basis[MENDS] ?? '') === (before.length ? asFour(before) : '')
      return [
        station,
        {
          ...entry,
          basis: knew ? { ...said, [MENDS]: kept(mendsBasis(asSettled(basis, crack, after), station)) } : said,
        },
      ]
    }),
  )
}

/** Minutes noted of welding and rebuilding the crack, as minutes of its mend. */
function minutesMoved(handOver: Plain, crack: StoredMend): Plain {
  const noted = plainOf(handOver.actualMin)
  const own = OWN_PHASES.map(phase => noted[phase]).filter(minutes => typeof minutes === 'number')
  return own.length
    ? {
        ...handOver,
        actualMin: {
          ...without(noted, OWN_PHASES),
          [`mend-${crack.id}`]: own.reduce((sum, minutes) => sum + minutes, 0),
        },
      }
    : handOver
}

/** What hung on the opening hangs on its mend: its steps, what was seen in the puddle, where it lies on the part. */
function renamed(job: Plain, crack: StoredMend): Plain {
  const [open, weld, shape] = [plainOf(job.open), plainOf(job.weld), plainOf(job.shape)]
  const { log, marks, done } = { log: weld.log, marks: shape.marks, done: open.done }
  return {
    ...job,
    ...(Array.isArray(done)
      ? { open: { ...open, done: done.filter(step => typeof step !== 'string' || !(step in STEPS)) } }
      : {}),
    ...(Array.isArray(log)
      ? {
          weld: {
            ...weld,
            log: log.map(entry => (isPlain(entry) && entry.mend === undefined ? { ...entry, mend: crack.id } : entry)),
          },
        }
      : {}),
    ...(Array.isArray(marks)
      ? {
          shape: {
            ...shape,
            marks: marks.map(mark => (isPlain(mark) && mark.mend === OPENING ? { ...mark, mend: crack.id } : mark)),
          },
        }
      : {}),
    ...(isPlain(job.handOver) ? { handOver: minutesMoved(job.handOver, crack) } : {}),
  }
}

/** The process and filler that were picked for the crack stay its own, where other mends would now go by them too. */
function withPick(crack: StoredMend, { process, filler }: Plain): StoredMend {
  const picked = { process: process ?? null, filler: typeof filler === 'string' ? filler : '' }
  return picked.process || picked.filler
    ? { ...crack, lays: [{ id: 'lay-1', ...picked, upTo: 'cap' } as StoredMend['lays'][number]] }
    : crack
}

/** When each reading of the crack was last changed, by its mend's own name for it. */
const timesMoved = (stamps: Plain, crack: string): Plain =>
  Object.fromEntries(
    Object.entries(READINGS).flatMap(([field, name]) =>
      stamps[field] === undefined ? [] : [[`mends.#${crack}.readings.${name}`, stamps[field]]],
    ),
  )

/**
 * Version 5 has nothing but mends: the crack that stood at Open, first among a part's places, is one of them. Nothing
 * that was said is lost; what stood settled stays so where only its words are others.
 */
export function toFive(job: Plain): Plain {
  const before = Array.isArray(job.mends) ? (job.mends as StoredMend[]) : []
  const found = crackToMend(job)
  const crack = found && named(before.length ? withPick(found, plainOf(job.call)) : found, before)
  const mends = crack ? [crack, ...before] : before
  const moved: Plain = crack ? renamed(job, crack) : job
  const left = Object.fromEntries(
    Object.entries(LEFT).flatMap(([section, fields]) =>
      isPlain(moved[section]) ? [[section, without(moved[section], fields)]] : [],
    ),
  )
  const land = crack && landBeside(job)
  const overruled = Array.isArray(job.overruled) ? job.overruled : []
  const stamps = plainOf(job.stamps)
  const fields = Object.entries(LEFT).flatMap(([section, names]) => names.map(name => `${section}.${name}`))
  const at = crack ? lastOf(stamps, ['mends', ...fields]) : undefined
  const own = crack ? timesMoved(stamps, crack.id) : {}
  return {
    ...moved,
    ...left,
    mends,
    ...(land ? { overruled: [...overruled, land] } : {}),
    ...(isPlain(job.settled) ? { settled: settledAs(job, crack, before, mends) } : {}),
    ...(at === undefined ? {} : { stamps: { ...stamps, ...own, mends: at } }),
    version: 5,
  }
}
