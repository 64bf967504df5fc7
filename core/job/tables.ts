import { mendNamed } from './mend-named'
import Papa from 'papaparse'
import { STATION_IDS } from './stations.table'
import { CAUSES, SEEN_IN_PUDDLE } from './words.table'
import type { Job } from './job.schema'

/** What a spreadsheet takes for the beginning of a formula, whatever follows. */
const FORMULA = /^[=+\-@\t\r]/

/** Rows as CSV; a cell that a spreadsheet would run as a formula is made plain text by a leading apostrophe. */
const csv = (rows: readonly Record<string, unknown>[], columns: readonly string[]): string =>
  `${Papa.unparse({ fields: [...columns], data: rows.map(row => columns.map(column => row[column] ?? '')) }, { escapeFormulae: FORMULA, newline: '\n' })}\n`

const JOB_COLUMNS = [
  'id',
  'title',
  'customer',
  'taken_in',
  'due',
  'handed_over',
  'settled',
  'does',
  'soak',
  'cause',
  'damage',
  'alloy',
  'process',
  'filler',
  'wall_mm',
  'crack_mm',
  'new_price',
  'minutes_taken',
  'rods_used',
  'gas_used_l',
  'comeback_of',
  'limits',
] as const

/** The cracks of a part, end to end, mm; null where it has none of known length. */
function cracksMm({ mends }: Job): number | null {
  const long = mends.flatMap(({ kind, readings: { lengthMm } }) =>
    kind === 'crack' && typeof lengthMm === 'object' && 'value' in lengthMm ? (lengthMm.value ?? []) : [],
  )
  return long.length ? long.reduce((sum, mm) => sum + mm, 0) : null
}

/** One row for each job: what a spreadsheet needs to count with. Columns: docs/formats.md. */
export const jobsCsv = (jobs: readonly Job[]): string =>
  csv(
    jobs.map(job => ({
      id: job.id,
      title: job.title,
      customer: job.customer,
      taken_in: job.takenInAt,
      due: job.takeIn.dueAt,
      handed_over: job.handOver.handedAt,
      settled: STATION_IDS.filter(id => job.settled[id]).length,
      does: job.takeIn.does,
      soak: job.takeIn.soak,
      cause: CAUSES[job.takeIn.cause],
      damage: job.takeIn.damage,
      alloy: job.know.alloy,
      process: job.call.process,
      filler: job.call.filler,
      wall_mm: job.takeIn.wallMm.value,
      crack_mm: cracksMm(job),
      new_price: job.takeIn.newPrice,
      minutes_taken: Object.values(job.handOver.actualMin).reduce((sum, minutes) => sum + minutes, 0) || null,
      rods_used: job.handOver.usedRods,
      gas_used_l: job.handOver.usedGasL,
      comeback_of: job.takeIn.comebackOf,
      limits: job.handOver.limits,
    })),
    JOB_COLUMNS,
  )

const LOG_COLUMNS = ['job', 'title', 'at', 'mend', 'pass', 'saw', 'temperature_c', 'settings', 'note'] as const

/** One row for each thing seen in a puddle, of all jobs. */
export const logCsv = (jobs: readonly Job[]): string =>
  csv(
    jobs.flatMap(job =>
      job.weld.log.map(entry => ({
        job: job.id,
        title: job.title,
        at: entry.at,
        mend: mendNamed(job, entry.mend),
        pass: entry.pass,
        saw: SEEN_IN_PUDDLE[entry.saw].name,
        temperature_c: entry.temperatureC,
        settings: entry.settings,
        note: entry.note,
      })),
    ),
    LOG_COLUMNS,
  )
