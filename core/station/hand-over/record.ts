import { RESULTS } from '../prove/result-words'
import { mendNamed } from '../../job/mend-named'
import { PICTURE_STAGES } from '../../job/picture.schema'
import type { StationId } from '../../job/stations.table'
import type { LogEntry } from '../../job/fields/weld'
import type { Job, Kit } from '../../job/job.schema'
import { CAUSES, COATINGS, COMEBACKS, MUST_NOT_MOVE, PROTECTS, SEEN_IN_PUDDLE } from '../../job/words.table'
import { unitOfKey } from '../../ask/fields'
import { BENCH_TESTS } from '../../metal/identify/tests.table'
import { figures, showText, type ReadingSystem } from '../../quantity/show'
import { KEY_UNITS, type UnitKey } from '../../quantity/units.table'
import { caution, CAUTION_CODES } from '../../safety/cautions.table'
import { billed } from './billed'
import { money } from './hand-over'
import { mendCall } from '../mends/mend-words'
import { capital, list, type Sentence } from '../parts'
import type { JobPlan } from '../plan-job'
import { DOES_WORDS } from '../take-in/take-in'
import { settingsLine } from '../weld/weld-data'

export interface RecordLine {
  label: string
  text: string
  /** In somebody's own words: not to be said in another language. */
  own?: boolean
}
export interface JobRecord {
  sections: { title: string; lines: RecordLine[] }[]
  log: (Omit<LogEntry, 'saw' | 'mend'> & { saw: string; mend: string })[]
  acknowledged: { code: string; name: string; at: string; text: string }[]
}

/** A sentence as plain text in the reader's units. */
export function sentenceText(sentence: Sentence, system: ReadingSystem): string {
  return sentence
    .map(part =>
      typeof part === 'string' ? part : 'words' in part ? part.words : showText(part.figure, part.unit, system),
    )
    .join('')
}

/** A piece of evidence in words: the test, and what was seen or measured. */
function evidenceText({ test, ...seen }: Record<string, unknown>): string {
  const name = BENCH_TESTS.find(entry => entry.test === test)?.name ?? String(test)
  const values = Object.entries(seen)
    .filter(([key]) => !key.startsWith('uncertainty'))
    .map(([key, value]) => {
      const { unit } = unitOfKey(key)
      return typeof value === 'number'
        ? `${figures(value, 3)}${unit ? ` ${KEY_UNITS[unit].symbol}` : key === 'gcm3' ? ' g/cm³' : ''}`
        : String(value).replaceAll('-', ' ')
    })
  return `${name.toLowerCase()}: ${values.join(', ')}`
}

/**
 * The record of a job as it is printed: what came in, what was found, what was done, how it was proved. Empty lines are
 * left out.
 */
export function recordOf(job: Job, plan: JobPlan, kit: Kit, system: ReadingSystem): JobRecord {
  const { takeIn, weld, handOver } = job
  const text = (value: number | null | undefined, unit: UnitKey) => (value == null ? '' : showText(value, unit, system))
  const { rows } = plan.mends
  const passes = rows.flatMap(row => row.log.passes)
  const said = (id: StationId) => sentenceText(plan[id].call, system)
  const { quote } = plan['hand-over'].data
  const hottest = job.readings.filter(reading => reading.unit === 'c').toSorted((a, b) => b.value - a.value)[0] ?? null
  const arcMin = weld.arcSpans.reduce((sum, span) => sum + Date.parse(span.to) - Date.parse(span.from), 0) / 60_000
  const sections: JobRecord['sections'] = [
    {
      title: 'What came in',
      lines: [
        { label: 'What it does', text: takeIn.does ? DOES_WORDS[takeIn.does] : '' },
        { label: 'Damage', text: takeIn.damage, own: true },
        {
          label: 'Came back',
          text: takeIn.comebackOf
            ? `mended before${takeIn.comebackWhy ? `: ${COMEBACKS[takeIn.comebackWhy]}` : ''}`
            : '',
        },
        { label: 'Why it broke', text: takeIn.cause === 'unknown' ? 'not known' : CAUSES[takeIn.cause] },
        { label: 'Done about the cause', text: takeIn.causeCure, own: true },
        { label: 'Coating', text: COATINGS[takeIn.coating] },
        { label: 'May not move', text: list(takeIn.mustNotMove.map(id => MUST_NOT_MOVE[id])) },
        { label: 'Kept from harm', text: list(takeIn.protect.map(id => PROTECTS[id].name)) },
      ],
    },
    {
      title: 'The metal',
      lines: [
        { label: 'Taken for', text: plan.know.data.known ? said('know') : 'not looked into' },
        { label: 'Known by', text: plan.know.data.evidence.map(evidenceText).join('; ') },
      ],
    },
    {
      title: 'What was done',
      lines: [
        { label: 'Call', text: said('call') },
        { label: 'Opened up', text: rows.some(row => row.planned) ? said('open') : '' },
        {
          label: 'In the pictures',
          text: job.pictures
            .flatMap(picture =>
              picture.pins.flatMap((pin, n) =>
                pin.words ? [`${picture.name || PICTURE_STAGES[picture.stage]}, pin ${n + 1}: ${pin.words}`] : [],
              ),
            )
            .join('; '),
        },
        {
          label: 'Metal out, metal in',
          text: rows
            .flatMap(({ name, planned, cutting }) => {
              if (!planned || planned.depositG <= 0) return []
              const laid = text(planned.depositG, 'g')
              const metal =
                cutting && 'answer' in cutting ? `${text(cutting.answer.removedG, 'g')} out, ${laid} in` : `${laid} in`
              return [rows.length > 1 ? `${capital(name)}: ${metal}` : metal]
            })
            .join('; '),
        },
        {
          label: 'Filler',
          text: list([
            ...new Set(
              rows.flatMap(({ planned, rodMm }) =>
                planned?.filler ? [`${planned.filler}${planned.rods ? `, ${text(rodMm, 'mm')}` : ''}`] : [],
              ),
            ),
          ]),
        },
        { label: 'Warmed', text: plan.warm.data.heating ? said('warm') : '' },
        {
          label: 'Settings',
          text: [
            ...new Set(rows.map(row => settingsLine(row, text))),
            ...(plan.weld.data.setUp?.set.machine
              ? [`argon ${text(weld.flowLMin.value, 'lMin')}, ${plan.weld.data.setUp.set.machine.name}`]
              : []),
          ]
            .filter(Boolean)
            .join('; '),
        },
        {
          label: 'Passes laid',
          text: passes.length ? `${passes.filter(pass => pass.done).length} of ${passes.length}` : '',
        },
        { label: 'Rebuilt', text: job.rebuild.dressed || job.settled.rebuild ? said('rebuild') : '' },
        {
          label: 'Highest reading kept',
          text: hottest === null ? '' : `${text(hottest.value, 'c')}, ${hottest.instrument}`,
        },
        { label: 'Arc, by the clock', text: arcMin > 0 ? text(arcMin, 'min') : '' },
      ],
    },
    {
      title: 'Mends',
      lines: plan.mends.rows.map(row => ({
        label: capital(row.name),
        text: sentenceText(mendCall(row, 'open'), system),
      })),
    },
    {
      title: 'How it was proved',
      lines: [
        ...plan.prove.data.checks.map(check => ({
          label: check.name,
          text: check.result ? `${RESULTS[check.result]}${check.note ? `: ${check.note}` : ''}` : 'not done',
        })),
        ...plan.prove.data.compared.flatMap(entry =>
          entry.said ? [{ label: 'Before and after', text: sentenceText(entry.said, system) }] : [],
        ),
        ...[plan.prove.data.runOut, plan.prove.data.leak, plan.prove.data.balance].flatMap(found =>
          found && 'said' in found ? [{ label: 'Measured', text: sentenceText(found.said, system) }] : [],
        ),
      ],
    },
    {
      title: 'Use',
      lines: [
        { label: 'Limits on use', text: handOver.limits, own: true },
        { label: 'What is not perfect', text: handOver.notPerfect, own: true },
        { label: 'Also written', text: job.overruled.map(entry => entry.words).join('; '), own: true },
      ],
    },
    {
      title: 'Price',
      lines: quote
        ? [
            ...billed(quote).map(({ name, amount, price }) => ({
              label: name,
              text: `${amount ? `${amount}, ` : ''}${money(price, kit.currency)}`,
            })),
            { label: 'Work', text: money(quote.labour, kit.currency) },
            { label: 'Materials', text: money(quote.materials, kit.currency) },
            {
              label: 'In all',
              text: `${money(quote.total, kit.currency)}${quote.ofNewPct === undefined ? '' : `, ${Math.round(quote.ofNewPct)} % of a new one`}`,
            },
          ]
        : [],
    },
  ]
  return {
    sections: sections
      .map(section => ({ ...section, lines: section.lines.filter(line => line.text !== '') }))
      .filter(section => section.lines.length),
    log: weld.log.map(entry => ({ ...entry, saw: SEEN_IN_PUDDLE[entry.saw].name, mend: mendNamed(job, entry.mend) })),
    acknowledged: job.acknowledged.map(entry => ({
      ...entry,
      text: (CAUTION_CODES as string[]).includes(entry.code) ? caution(entry.code).text : entry.code,
    })),
  }
}
