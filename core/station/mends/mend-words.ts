import type { Caution } from '../../ask/question'
import { type KindId } from '../../mend/registry'
import { wayName } from '../../mend/way-name'
import { saidOf } from '../../job-plan/words'
import { capital, count, figure, type Sentence, type StationPlan, wantsCall } from '../parts'
import type { MendRow, MendsData } from './mend-row'
import { verdictWords } from '../verdict-words'
import type { Shown } from './said'
import { weldWants } from './weld-words'

/** The headline of a mend that is not to be worked on, or not yet; null where it is. */
export function refusedCall({ kind, wants, reason, planned }: MendRow): Sentence | null {
  if (wants.length) return wantsCall(wants)
  if (!planned) return [`${capital(reason ?? 'not worked out')}.`]
  const { decision, because, chancePct } = planned
  if (decision !== 'decline' && decision !== 'refer') return null
  const [code] = decision === 'decline' ? because : []
  return code ? [`Say no: ${becauseWords(kind, code)}.`] : [`${capital(verdictWords(decision, chancePct))}.`]
}

/** Why a mend is refused, or what is against it, as words that go on after a colon. */
export const becauseWords = (kind: KindId, code: string): string => lowerFirst(saidOf(kind, code).replace(/\.$/, ''))

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
/** A sentence that stands by itself. */
const raised = ([first = '', ...rest]: Sentence): Sentence =>
  typeof first === 'string' ? [capital(first), ...rest] : [first, ...rest]

/** The headline of one mend at a station, by its name: what to do, with its numbers. */
export const mendCall = (row: MendRow, station: Shown): Sentence => [
  `${capital(row.name)}: `,
  ...raised(row.says[station].call),
]

/** What the call says of each mend: one may be mended and another refused. */
export const mendVerdicts = ({ rows }: MendsData): Sentence[] =>
  rows.flatMap((row): Sentence[] =>
    row.planned
      ? [
          [
            `${capital(row.name)}: ${verdictWords(row.planned.decision, row.planned.chancePct)}, `,
            figure(Math.round(row.planned.chancePct), 'pct'),
            ` likely to last${row.planned.way ? `, ${wayName(row.kind, row.planned.way)}` : ''}.`,
          ],
        ]
      : [],
  )

/** In a few words for the strip. */
function shortOf(row: MendRow, station: Shown): string {
  const [want] = row.wants
  if (want) return `wants ${want}`
  const { planned, log, setUps } = row
  if (!planned) return 'not worked out'
  if (refusedCall(row)) return verdictWords(planned.decision, planned.chancePct)
  const passes = count(planned.passes, 'pass', 'passes')
  if (station === 'weld') {
    const done = log.passes.filter(pass => pass.done).length
    if (done) return `${done} of ${log.passes.length} passes laid`
    const set = setUps[0]?.set
    if (set && !set.machine) return 'wants a machine in the kit'
    return set ? `${Math.round(set.mig?.a ?? set.setA)} A, ${passes}` : planned.passes ? passes : 'nothing to lay'
  }
  const steps = station === 'open' ? planned.opening : planned.rebuild
  return station === 'open' && row.groove && !row.opened
    ? `groove, ${passes}`
    : steps.length
      ? count(steps.length, 'step')
      : 'nothing to do'
}

/** The same in parts, a current as a figure. */
function partsOf(row: MendRow, station: Shown): Sentence {
  const set = station === 'weld' ? row.setUps[0]?.set : undefined
  if (!row.planned || !set?.machine || refusedCall(row) || row.log.passes.some(pass => pass.done))
    return [shortOf(row, station)]
  return [figure(Math.round(set.mig?.a ?? set.setA), 'a'), `, ${count(row.planned.passes, 'pass', 'passes')}`]
}

/** What a mend still wants at a station: its readings, and at Weld what lays it. */
const wantsAt = (row: MendRow, station: Shown): string[] => [
  ...row.wants,
  ...(station === 'weld' ? weldWants(row) : []),
]

/** A station of a part that has nothing broken yet. */
const NOTHING_YET = {
  call: ['Say what is broken: add a mend above.'],
  short: 'wants a mend',
  wants: ['a mend'],
} as const

/**
 * A station by its mends: of one, what it says of that; of several, its call goes from one to the next in a few words,
 * and each says the rest in its own place.
 */
export function stationOfMends<Data>(plan: StationPlan<Data>, { rows }: MendsData, station: Shown): StationPlan<Data> {
  const [only, another] = rows
  const withOf = (cautions: readonly Caution[]) =>
    [...plan.cautions, ...cautions].filter((one, n, all) => all.findIndex(other => other.code === one.code) === n)
  // What the part says of itself, such as its face, comes first; a part that has that to do may do it without a mend.
  const first: Sentence = plan.call.length ? [...plan.call, ' '] : []
  if (!only) return first.length ? plan : { ...plan, ...NOTHING_YET }
  if (another)
    return {
      ...plan,
      call: [
        ...first,
        ...rows.flatMap((row, n) => [n ? `; ${row.name}: ` : `${capital(row.name)}: `, ...partsOf(row, station)]),
        '.',
      ],
      short: plan.short || count(rows.length, 'mend'),
      wants: rows.flatMap(row => wantsAt(row, station).map(want => `${row.name}: ${want}`)),
      cautions: withOf(rows.flatMap(row => row.says[station].cautions)),
    }
  const { call, why, change, clocks, cautions, workings } = only.says[station]
  return {
    ...plan,
    call: [...first, ...raised(call)],
    short: plan.short || shortOf(only, station),
    wants: wantsAt(only, station),
    why: [...why, ...plan.why],
    change: [...change, ...plan.change],
    clocks: [...clocks, ...(plan.clocks ?? []).filter(({ name }) => !clocks.some(one => one.name === name))],
    cautions: withOf(cautions),
    workings: { ...workings, ...plan.workings },
  }
}
