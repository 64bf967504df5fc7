import { judgedPart } from './decide/mend-or-not'
import { judge } from '../call/judge'
import type { Decision } from './decision'
import { mendChecks } from './decide/checks'
import type { Settled } from './settled'
import type { Readied } from './readied'
import { sum } from './sum'

const passesOf = ({ lays }: Readied) => sum(lays.map(({ means }) => means.passes))

/** What else could lay a mend, with minutes and chance by the same tables. */
function otherProcesses({ job }: Settled, one: Readied): Decision['others'] {
  const part = judgedPart(job)
  return one.process.ranked
    .filter(({ process }) => process !== one.process.took)
    .map(({ process, minutes, verdict, codes }) => ({
      took: process,
      minutes,
      ...(verdict === 'never'
        ? {}
        : {
            chancePct: judge({
              ...part,
              families: one.bodies[0].families,
              wallMm: Math.max(0.5, one.work.wallMm),
              process,
            }).chancePct,
          }),
      because: [...new Set(codes)],
    }))
}

/** Which side of a mend is welded first, where it has two and one of them must end flush. */
const sidesOf = ({ lays, common }: Readied): Omit<Decision, 'of' | 'near'>[] =>
  new Set(lays.map(({ lay }) => lay.side)).size > 1 && common.on.length > 0
    ? [{ about: 'order', took: 'flush-side', others: [], because: [{ code: 'flush-first' }] }]
    : []

/** Every decision about one mend. */
function ofMend(settled: Settled, one: Readied): Decision[] {
  const { id } = one.given
  const found = settled.decided.get(id)
  if (!found) return []
  const mended = settled.steps.some(({ mend, stage }) => mend === id && stage !== undefined)
  const about = (decision: Omit<Decision, 'of' | 'near'>): Decision => ({ ...decision, of: id, near: [] })
  const { work, process, filler, lays, finish } = one
  const mend = about({
    about: 'mend',
    took: settled.decision === 'decline' && found.took !== 'refer' ? 'decline' : found.took,
    others: [],
    because: [...(settled.turnedBy ? [settled.turnedBy] : []), ...found.because],
  })
  if (!mended) return [mend]
  const laid = lays.length > 0
  return [
    mend,
    ...(laid && process.took
      ? [
          about({
            about: 'process',
            took: process.took,
            others: otherProcesses(settled, one),
            because: [
              { code: process.because },
              ...(process.ranked.find(row => row.process === process.took)?.codes ?? []).map(code => ({ code })),
            ],
          }),
          about({
            about: 'filler',
            took: lays[0]?.lay.filler ?? filler.took,
            others: filler.ranked
              .filter(row => row.filler !== filler.took)
              .map(row => ({ took: row.filler, because: [`filler-${row.verdict}`] })),
            because: [{ code: filler.because }],
          }),
        ]
      : []),
    ...(work.way
      ? [
          about({
            about: 'way',
            took: work.way,
            others: [
              ...(work.ways?.ranked ?? [])
                .filter(row => row.way !== work.way)
                .map(row => ({ took: row.way as string, minutes: row.minutes, because: row.why ? [row.why] : [] })),
            ],
            because: [],
          }),
        ]
      : []),
    ...sidesOf(one).map(about),
    about({ about: 'finish', took: finish.took, others: [], because: [{ code: finish.because }] }),
    ...(laid ? [about({ about: 'passes', took: String(passesOf(one)), others: [], because: [] })] : []),
    about({ about: 'checks', took: mendChecks(one, settled.job).join(' '), others: [], because: [] }),
  ]
}

/** Everything that was settled of a job, the part first, then each mend. */
export function decisionsOf(settled: Settled): Decision[] {
  const { warm, order, decision, turnedBy, decided, mends } = settled
  const worst = [...decided.values()].find(({ took }) => took === decision)
  const part: Decision[] = [
    { about: 'mend', took: decision, others: [], because: turnedBy ? [turnedBy] : (worst?.because ?? []), near: [] },
  ]
  if (decision === 'repair' || decision === 'repair-with-limits')
    part.push(
      { about: 'warmth', took: warm.need, others: [], because: warm.why.map(code => ({ code })), near: [] },
      {
        about: 'order',
        took: order.map(({ id }) => id).join(' '),
        others: [],
        because: [...new Set(order.map(({ why }) => why))].map(code => ({ code })),
        near: [],
      },
      { about: 'checks', took: settled.checks.map(({ code }) => code).join(' '), others: [], because: [], near: [] },
    )
  return [...part, ...mends.flatMap(one => ofMend(settled, one))]
}
