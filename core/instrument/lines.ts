import Papa from 'papaparse'
import { read } from '../quantity/read'
import { KEY_UNITS } from '../quantity/units.table'
import { READING_UNITS, type ReadingUnit } from './kinds.table'
import { readingLineSchema, type ReadingLine } from './reading.schema'

/** The columns of the CSV form, in order. */
export const CSV_COLUMNS = ['at', 'n', 'instrument', 'channel', 'value', 'unit'] as const
/** More lines than this are not read from one file: an hour at twenty a second, and some. */
const MOST_LINES = 100_000
/** A file larger than this is not read. */
export const LARGEST_READINGS_BYTES = 32 * 1024 * 1024
/** Issues told; a file that is wrong throughout is wrong after these. */
const MOST_ISSUES = 5

export type ReadLines =
  | { ok: true; readings: ReadingLine[] }
  | { ok: false; issues: { line: number; message: string }[] }

/** One reading as a line of JSON, with no line end. */
export const toJsonLine = ({ at, n, instrument, channel, value, unit }: ReadingLine): string =>
  JSON.stringify({ at, n, instrument, channel, value, unit })

/** Readings as CSV with its header. */
export const toCsv = (readings: readonly ReadingLine[]): string =>
  `${[CSV_COLUMNS.join(','), ...readings.map(reading => Papa.unparse([CSV_COLUMNS.map(column => reading[column])]))].join('\n')}\n`

/** A value in any spelling of any unit that an instrument gives, in the unit it is kept in. */
function inKeptUnit(value: unknown, unit: unknown): { value: number; unit: ReadingUnit } | null {
  if (typeof unit !== 'string' || !(typeof value === 'number' || typeof value === 'string')) return null
  const kept = READING_UNITS.find(key => key === unit.trim())
  const [number, spelling] = [String(value).trim(), kept ? KEY_UNITS[kept].symbol : unit.trim()]
  if (number === '' || !Number.isFinite(Number(number))) return null
  for (const key of kept ? [kept] : READING_UNITS) {
    const understood = read(`${number} ${spelling}`, key)
    if (understood.ok) return { value: understood.value, unit: key }
  }
  return null
}

function oneReading(entry: Record<string, unknown>): { reading: ReadingLine } | { message: string } {
  const amount = inKeptUnit(entry.value, entry.unit)
  if (!amount)
    return {
      message: `value ${JSON.stringify(entry.value ?? null)} with unit ${JSON.stringify(entry.unit ?? null)} is not a reading`,
    }
  const parsed = readingLineSchema.safeParse({
    ...entry,
    n: typeof entry.n === 'string' ? Number(entry.n) : entry.n,
    ...amount,
  })
  if (parsed.success) return { reading: parsed.data }
  const issue = parsed.error.issues[0]!
  return { message: `${issue.path.join('.')}: ${issue.message}` }
}

function jsonEntries(text: string): { line: number; entry: Record<string, unknown> | null }[] {
  return text.split(/\r?\n/).flatMap((written, index) => {
    if (written.trim() === '') return []
    try {
      const entry: unknown = JSON.parse(written)
      return [
        {
          line: index + 1,
          entry:
            entry !== null && typeof entry === 'object' && !Array.isArray(entry)
              ? (entry as Record<string, unknown>)
              : null,
        },
      ]
    } catch {
      return [{ line: index + 1, entry: null }]
    }
  })
}

function csvEntries(text: string): { line: number; entry: Record<string, unknown> | null }[] {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: true })
  const header = (data[0] ?? []).map(column => column.trim().toLowerCase())
  return data
    .slice(1)
    .map((cells, index) => ({
      line: index + 2,
      entry: cells.length >= header.length ? Object.fromEntries(header.map((column, n) => [column, cells[n]!])) : null,
    }))
}

/**
 * Readings out of a file: lines of JSON, or CSV with a header naming the columns (docs/formats.md). `n` may be left
 * out, then lines are counted; a value may stand in any unit of its kind and is kept in the one of `READING_UNITS`.
 * All of it or nothing: the issues name the line.
 */
export function readLines(text: string): ReadLines {
  const refuse = (message: string, line = 0): ReadLines => ({ ok: false, issues: [{ line, message }] })
  const plain = text.replace(/^\uFEFF/, '')
  if (plain.trim() === '') return refuse('the file is empty')
  const entries = plain.trimStart().startsWith('{') ? jsonEntries(plain) : csvEntries(plain)
  if (!entries.length) return refuse('there is no reading in it')
  if (entries.length > MOST_LINES)
    return refuse(`more than ${MOST_LINES.toLocaleString('en')} readings: cut it into pieces`)
  const issues: { line: number; message: string }[] = []
  const readings: ReadingLine[] = []
  for (const [index, { line, entry }] of entries.entries()) {
    const one = entry
      ? oneReading({ n: index, ...entry })
      : { message: 'not a reading: it wants at, instrument, value and unit' }
    if ('reading' in one) readings.push(one.reading)
    else if (issues.push({ line, message: one.message }) >= MOST_ISSUES) break
  }
  return issues.length ? { ok: false, issues } : { ok: true, readings }
}
