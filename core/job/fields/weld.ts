import { z } from 'zod'
import { MIG_MODE_WORDS } from '../../arc/mig-modes.table'
import { BRUSH_SCHOOLS, CLAMP_SCHOOLS, PEEN_SCHOOLS, TUNGSTEN_SCHOOLS } from '../../arc/schools.table'
import { idText, moment, name, text } from '../text'
import { SEEN_IN_PUDDLE } from '../words.table'
import { list, maybePick, pick, reading, words } from './declared'
import { namesOf } from '../../field/names-of'

const passNumber = z.number().int().min(1).max(1000)
const placeMm = z.number().min(-1e5).max(1e5)

export const logEntrySchema = z.strictObject({
  id: idText,
  at: moment,
  /** The mend it was seen in, by its id. */
  mend: z.string().max(64).optional(),
  pass: passNumber,
  saw: z.enum(Object.keys(SEEN_IN_PUDDLE) as [keyof typeof SEEN_IN_PUDDLE, ...(keyof typeof SEEN_IN_PUDDLE)[]]),
  note: text(),
  settings: text(120),
  /** What the thermometer read at the press, where one was running. */
  temperatureC: z.number().min(-273).max(3000).optional(),
  /** A picture taken with it, by its id. */
  picture: z.string().max(64).optional(),
})
export type LogEntry = z.output<typeof logEntrySchema>

const foretoldSchema = z.strictObject({
  id: idText,
  name: name(80),
  mm: z.number().min(0).max(1000),
  /** Of a face: where on it, and how high it is foretold to lie there, mm. */
  points: z
    .array(z.tuple([placeMm, placeMm, z.number().min(-1e3).max(1e3)]))
    .max(100)
    .default([]),
})

/** How the machine is set, how it is laid, and what came of it. */
export const weld = {
  machine: words('Machine', 64),
  frequencySchool: pick('Frequency school', { low: '50–80', middle: '100–120', high: '130–150' }, 'middle', {
    help: 'Low soaks in and floats dirt; high gives a tight arc into a root or bore.',
  }),
  enPct: reading('pct', 'Electrode negative', {
    usual: 68,
    min: 1,
    max: 99,
    help: '60 to 70 on dirt, 70 to 73 once clean',
  }),
  frequencyHz: reading('hz', 'Frequency', { usual: 100, above: 0, max: 1000 }),
  flowLMin: reading('lMin', 'Argon', { usual: 7, above: 0, max: 100, help: 'about 15 cfh' }),
  /** Average current as set by hand; empty, it is worked out. */
  currentA: reading('a', 'Current by hand', { above: 0, max: 2000, help: 'empty: worked out' }),
  /** Electrode-positive current of a machine that sets the halves apart; empty, both are the same. */
  epA: reading('a', 'Positive current', { above: 0, max: 2000, help: 'empty: the same as negative' }),
  /** A balance number copied from another machine. */
  copiedDial: reading('number', 'Balance copied from elsewhere', { help: 'a bare number; the call names the trap' }),
  interpassC: reading('c', 'Next pass under', { min: 0, max: 600, help: 'empty: by the metal' }),
  clamp: pick('While it is welded', namesOf(CLAMP_SCHOOLS), 'free'),
  peen: pick('Between beads', namesOf(PEEN_SCHOOLS), 'leave'),
  brush: pick('Brush before the arc', namesOf(BRUSH_SCHOOLS), 'stainless'),
  tungsten: pick('Tungsten', namesOf(TUNGSTEN_SCHOOLS), 'blunted'),
  migMode: maybePick('The gun is run', MIG_MODE_WORDS),
  wireMm: reading('mm', 'Wire', { usual: 0.9, above: 0, max: 5 }),
  log: list('What was seen, pass by pass', 5000, logEntrySchema, { knownBy: 'itself', order: 'time' }),
  /** What the pull bench foretold of what may not move, mm: kept to stand beside what is measured. */
  foretold: list('What the pull bench foretold', 30, foretoldSchema, { knownBy: 'itself', order: 'as-put-in' }),
  /** When the arc burned, by the bench clock. */
  arcSpans: list('When the arc burned', 5000, z.strictObject({ from: moment, to: moment }), {
    knownBy: 'itself',
    order: 'time',
  }),
}
