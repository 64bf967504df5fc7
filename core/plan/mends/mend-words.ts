import { wayName } from '../../mend/way-name'
import { capital, count, figure, type Part, type Sentence, type StationPlan } from '../parts'
import { minutesOf, type MendRow, type MendsData } from './mend-row'

type Shown = 'open' | 'weld' | 'rebuild'

/** What a station has to do for one mend, after its name. */
function partsOf(row: MendRow, station: Shown): Part[] {
  const name = capital(row.name)
  /** Named, or the rest of a sentence that is. */
  const named = name && `${name}: `
  if (row.wants.length) return [`${name} wants ${row.wants.join(' and ')}`]
  const { planned, reason } = row
  if (!planned) return [`${name}: ${reason ?? 'not worked out'}`]
  if (station === 'weld') {
    if (planned.startA === null)
      return [
        planned.passes
          ? `${named}${count(planned.passes, 'pass', 'passes')} with rod and flame`
          : `${name}: nothing to lay`,
      ]
    const eased =
      Math.round(planned.startA) - Math.round(planned.easedA!) >= 5
        ? [', eased to ', figure(Math.round(planned.easedA!), 'a')]
        : []
    return [
      `${name} from `,
      figure(Math.round(planned.startA), 'a'),
      ...eased,
      `, ${count(planned.passes, 'pass', 'passes')}`,
    ]
  }
  const steps = station === 'open' ? planned.opening : planned.rebuild
  return [`${name}: ${steps.length ? count(steps.length, 'step') : 'nothing to do'}`]
}

const VERDICT_WORDS = {
  repair: 'mend it',
  'repair-with-limits': 'mend it, with limits',
  refer: 'send it on',
  decline: 'say no',
} as const

/** The headline of one mend at a station: what to do, with its numbers. */
export function mendCall(row: MendRow, station: Shown): Sentence {
  const { planned } = row
  if (!planned) return [...partsOf(row, station), '.']
  const name = capital(row.name)
  if (planned.decision === 'decline' || planned.decision === 'refer')
    return [`${name}: ${VERDICT_WORDS[planned.decision]}.`]
  const way = planned.way ? `${wayName(row.kind, planned.way)}; ` : ''
  const taken = planned.ways?.ranked.find(each => each.way === planned.way && each.why === null)
  if (station === 'rebuild' && taken)
    return [
      `${name}: ${way}it holds `,
      figure(taken.factor, 'number'),
      ' times what the bolt is tightened to; ',
      figure(minutesOf(planned), 'min'),
      ' in all.',
    ]
  if (station === 'weld' || !planned.depositG)
    return [
      `${name}: ${way}`,
      ...(planned.depositG
        ? partsOf({ ...row, name: '' }, 'weld')
            .slice(0)
            .map((part, n) => (n === 0 && typeof part === 'string' ? part.trimStart() : part))
        : [`${count(planned.rebuild.length, 'step')} at the bench`]),
      '.',
    ]
  return [
    `${name}: ${way}`,
    figure(planned.depositG, 'g'),
    ` in ${count(planned.passes, 'pass', 'passes')}, `,
    figure(minutesOf(planned), 'min'),
    ' in all.',
  ]
}

/** What the call says of each mend: one may be mended and another refused. */
export const mendVerdicts = ({ rows }: MendsData): Sentence[] =>
  rows.flatMap((row): Sentence[] =>
    row.planned
      ? [
          [
            `${capital(row.name)}: ${VERDICT_WORDS[row.planned.decision]}, `,
            figure(Math.round(row.planned.chancePct), 'pct'),
            ` likely to last${row.planned.way ? `, ${wayName(row.kind, row.planned.way)}` : ''}.`,
          ],
        ]
      : [],
  )

/** A station of a job that has nothing but mends: its call goes from one to the next. */
export function stationOfMends<Data>(plan: StationPlan<Data>, { rows }: MendsData, station: Shown): StationPlan<Data> {
  const call: Sentence = rows.length
    ? rows.flatMap((row, n): Part[] => [...(n ? ['; '] : []), ...partsOf(row, station)]).concat('.')
    : ['Say what is broken: add a mend above.']
  return {
    ...plan,
    call,
    short: rows.length ? count(rows.length, 'mend') : 'wants a mend',
    wants: rows.length ? rows.flatMap(row => row.wants.map(want => `${row.name}: ${want}`)) : ['a mend'],
    why: [],
    change: [],
  }
}
