import { isPlain } from './entry-key'
import { isHeldReading, saidOf, type Plain } from './held'
import { MOST_DONE, passStep } from './mend-steps'
import type { StoredMend } from './mend.schema'
import { newMend } from './new-mend'

/** What the marks of version 4 called the opening, and what its mend is called by. */
export const OPENING = 'opening'

/** Readings of the crack that stood at Open, and what its mend calls them. */
const AT_OPEN: Readonly<Record<string, string>> = {
  crackMm: 'lengthMm',
  startsIn: 'startsIn',
  endsIn: 'endsIn',
  includedDeg: 'includedDeg',
  rootRadiusMm: 'rootRadiusMm',
  capMm: 'capMm',
  stopHoleMm: 'stopHoleMm',
  pastTipMm: 'pastTipMm',
  fillerMm: 'rodMm',
}
/** What was machined of it afterwards stood at Rebuild. */
const AT_REBUILD: Readonly<Record<string, string>> = { proudMm: 'proudMm', faceWidthMm: 'faceWideMm' }
/** What these began with by themselves in version 4. */
const BEGUN: Readonly<Record<string, string>> = {
  startsIn: 'tip',
  endsIn: 'tip',
  includedDeg: '70 °',
  rootRadiusMm: '2 mm',
  capMm: '1.5 mm',
  stopHoleMm: '3.2 mm',
  pastTipMm: '4.8 mm',
  landMm: '2 mm',
  fillerMm: '2.4 mm',
  proudMm: '1.5 mm',
}

const USUAL_ROD = { typed: '2.4 mm', value: 2.4 }

/** Fields that left these stations in version 5. */
export const LEFT = {
  open: ['work', 'sides', 'closed', 'keepBreak', 'landMm', ...Object.keys(AT_OPEN)],
  weld: ['passesDone'],
  rebuild: ['machined', ...Object.keys(AT_REBUILD)],
} as const

/** Readings of the crack by the fields they stood in, and what its mend calls them. */
export const READINGS: Readonly<Record<string, string>> = Object.fromEntries([
  ...Object.entries(AT_OPEN).map(([was, is]) => [`open.${was}`, is]),
  ...['sides', 'closed', 'keepBreak', 'landMm'].map(name => [`open.${name}`, name]),
  ...Object.entries(AT_REBUILD).map(([was, is]) => [`rebuild.${was}`, is]),
  ['rebuild.machined', 'machined'],
])

/** Steps of the opening that are its mend's, by what that calls them; all the others are the whole part's. */
export const STEPS: Readonly<Record<string, string>> = {
  uncoat: 'uncoat',
  ends: 'find-ends',
  'stop-holes': 'stop-holes',
  groove: 'groove',
  wipe: 'wipe',
}

const section = (job: Plain, name: string): Plain => (isPlain(job[name]) ? job[name] : {})
const listOf = (held: unknown): unknown[] => (Array.isArray(held) ? held : [])

/** Whether anybody said or did anything about the crack that every job of version 4 had room for. */
function isSaid(job: Plain): boolean {
  const [open, weld, shape] = [section(job, 'open'), section(job, 'weld'), section(job, 'shape')]
  return (
    Object.keys(saidOf(open, AT_OPEN, BEGUN)).length > 0 ||
    listOf(weld.passesDone).length > 0 ||
    listOf(weld.log).some(entry => isPlain(entry) && entry.mend === undefined) ||
    listOf(open.done).some(step => typeof step === 'string' && step !== 'uncoat' && step in STEPS) ||
    listOf(shape.marks).some(mark => isPlain(mark) && mark.mend === OPENING)
  )
}

/**
 * A root face that was typed for a break cut right through, which left none: as a mend it would be left, so its words
 * are kept beside. Null where there was none.
 */
export function landBeside(job: Plain): { field: string; words: string } | null {
  const open = section(job, 'open')
  const said = saidOf(open, { landMm: 'landMm' }, BEGUN).landMm
  return open.keepBreak === false && isHeldReading(said) ? { field: 'open.landMm', words: said.typed } : null
}

/**
 * The crack that stood at Open in version 4 as a mend, with its steps, its passes and what was machined of it. Null
 * where the job had none, or nobody had said anything of it.
 */
export function crackToMend(job: Plain): StoredMend | null {
  const open = section(job, 'open')
  if (open.work === 'none' || !isSaid(job)) return null
  const { keepBreak = true, closed = false, sides = 1 } = open
  const rebuild = section(job, 'rebuild')
  return {
    ...newMend(OPENING, 'crack'),
    readings: {
      ...saidOf(open, AT_OPEN, BEGUN),
      // By itself a mend takes the rod that suits the wall; this one was planned with its own.
      ...saidOf({ fillerMm: USUAL_ROD, ...open }, { fillerMm: 'rodMm' }),
      // A break that was cut right through left no root face, whatever had been typed for one.
      ...(keepBreak === true ? { keepBreak: true, ...saidOf(open, { landMm: 'landMm' }, BEGUN) } : {}),
      ...(closed === true ? { closed: true } : {}),
      ...(sides === 2 ? { sides: '2' } : {}),
      ...(rebuild.machined === false ? {} : { machined: true }),
      ...saidOf(rebuild, AT_REBUILD, BEGUN),
    },
    done: [
      ...listOf(open.done).flatMap(step => (typeof step === 'string' ? (STEPS[step] ?? []) : [])),
      ...listOf(section(job, 'weld').passesDone).flatMap(pass => (typeof pass === 'number' ? passStep(pass) : [])),
    ].slice(0, MOST_DONE),
  }
}
