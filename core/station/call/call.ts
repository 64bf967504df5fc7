import { USUAL_ARC } from '../../process/registry'
import type { Step } from '../../ask/question'
import { judge, type Judged, type JudgeInput } from '../../call/judge'
import type { RankedFiller } from '../../call/filler'
import type { RankedProcess } from '../../call/process'
import type { Job, Kit } from '../../job/job.schema'
import { rodOf } from '../../job-plan/decide/filler'
import type { Asked, JobPlanned, PlannedMend } from '../../job-plan/job-planned'
import { caution } from '../../safety/cautions.table'
import type { KnowData } from '../know/know'
import { capital, count, figure, words, type Sentence, type StationPlan, type Working, wantsCall } from '../parts'
import { money } from '../hand-over/hand-over'
import { named } from '../decision-words'
import { dilutionOf } from '../mends/at-hand'
import { kindOf } from '../../mend/registry'
import { wayName } from '../../mend/way-name'
import { becauseWords } from '../mends/mend-words'
import { isAgainstOdds, verdictWords } from '../verdict-words'

export interface CallData {
  fillers: readonly RankedFiller[]
  filler: string
  /** The filler as an alloy of the table, for its density and chemistry. */
  fillerAlloy: string
  processes: readonly RankedProcess[]
  process: RankedProcess['process']
  judged: Judged | null
  price: number | null
  /** What the crack map is asked for. */
  map: { base: { pct: Readonly<Record<string, number>> }; filler: string; dilutionPct: number; passes: number }
}

/** The mend that a call goes by: the least sure of those that are mended, else of all, and what it was chosen by. */
function leastSure(planned: JobPlanned): { mend: PlannedMend; asked: Asked } | null {
  const mended = planned.mends.filter(({ decision }) => decision === 'repair' || decision === 'repair-with-limits')
  const rows = (mended.length ? mended : planned.mends).flatMap(mend => {
    const asked = planned.asked.get(mend.id)
    return asked ? [{ mend, asked }] : []
  })
  const laid = rows.filter(({ mend }) => mend.process !== null)
  return (laid.length ? laid : rows).toSorted((a, b) => a.mend.chancePct - b.mend.chancePct)[0] ?? null
}

/** What was chosen for the part: as the plan has it; before anything can be planned, as for a usual mend. */
export function choicesOf(job: Job, planned: JobPlanned | null) {
  const found = planned && leastSure(planned)
  const filler = found?.mend.filler ?? (found ? rodOf(found.asked.filler)?.name : undefined)
  const picked = job.call.filler ? rodOf(job.call.filler)?.name : undefined
  return {
    found,
    fillers: found?.asked.fillers ?? [],
    processes: found?.asked.processes ?? [],
    filler:
      found?.asked.fillers.find(row => rodOf(row.filler)?.name === (picked ?? filler))?.filler ?? filler ?? '4043',
    fillerAlloy: picked ?? filler ?? '4043',
    process:
      found?.mend.process ??
      job.call.process ??
      found?.asked.processes.find(row => row.verdict !== 'never')?.process ??
      USUAL_ARC,
  } as const
}

/** Places of a part that are not mended though others are. */
const refusedMends = (planned: JobPlanned | null): number =>
  planned?.mends.filter(({ decision }) => decision === 'decline').length ?? 0

const working = (key: string, title: string, steps: readonly Step[] | undefined): Record<string, Working> =>
  steps?.length ? { [key]: { title, steps: [...steps] } } : {}

/** A no that a better kit would turn. */
const KIT_TROUBLES: ReadonlySet<string> = new Set([
  'no-machine',
  'nothing-reaches',
  'does-not-melt-in',
  'never-melts-rod',
  'no-torch',
])

/** The chance with what raised and lowered it, under the decision that the plan has made of the part. */
function judgedFor(input: JudgeInput, { decision, mends, decisions }: JobPlanned): Judged {
  const found = judge(input)
  const dear = decisions[0]?.because.some(({ code }) => code === 'too-dear')
  const chancePct = Math.min(...mends.map(mend => (mend.decision === 'decline' && !dear ? Infinity : mend.chancePct)))
  return {
    ...found,
    verdict: decision,
    chancePct: Number.isFinite(chancePct) ? chancePct : found.chancePct,
    because: dear ? 'it comes too near the price of a new one' : found.because,
  }
}

/** The mend that holds the chance of a part down, where another of it is surer by a point. */
function leastOfSeveral({ mends }: JobPlanned, chancePct: number): string | null {
  const mended = mends.filter(({ decision }) => decision !== 'decline')
  const isSurer = mended.some(mend => mend.chancePct >= chancePct + 1)
  return isSurer ? (mended.find(mend => mend.chancePct <= chancePct)?.id ?? null) : null
}

/** What stands in the way of the process that is nearest to going, for a shop where none goes. */
function nearest(processes: readonly RankedProcess[]): string {
  const own = processes.filter(row => row.inKit)
  const row = own.find(({ process }) => process === USUAL_ARC) ?? own[0] ?? processes[0]!
  return `${row.name}: ${row.reasons[0] ?? 'it does not suit'}`
}

/** Call: mend or not, process, filler, price; all of it as the plan has decided it. */
export function planCall(
  job: Job,
  kit: Kit,
  know: KnowData,
  planned: JobPlanned | null,
  price: number | null,
): StationPlan<CallData> {
  const { takeIn, call } = job
  const wants = [
    ...(know.known ? [] : ['the metal']),
    ...(takeIn.soak ? [] : ['how oily it is']),
    ...(takeIn.does ? [] : ['what it does']),
    ...(takeIn.wallMm.value ? [] : ['the wall']),
  ]
  const choices = choicesOf(job, planned)
  const chosenFiller = choices.fillers.find(entry => entry.filler === choices.filler)
  const input = choices.found?.asked.judged ?? null
  const said = takeIn.wallMm.value && takeIn.soak && takeIn.does
  const judged = said && input && planned ? judgedFor(input, planned) : null
  const process = choices.processes.find(entry => entry.process === choices.process)
  const filler = chosenFiller
  /** Nothing there does it: the call says so, and what would. */
  const troubled = choices.found?.mend.decision === 'decline' ? (choices.found.mend.because[0] ?? null) : null
  const beaten = troubled !== null && KIT_TROUBLES.has(troubled) && kit.machines.length + kit.torches.length > 0
  const outcome = judged
    ? ({ repair: 'mend', 'repair-with-limits': 'mend', refer: 'refer', decline: 'decline' } as const)[judged.verdict]
    : call.decision
  const first = choices.found?.mend
  /** What it is mended with: what lays the metal, else its way, where none is laid. */
  const laidBy =
    first && !first.process
      ? first.way
        ? wayName(first.kind, first.way)
        : kindOf(first.kind).name
      : `${process?.name ?? choices.process} with ${choices.filler}`
  const sentence: Sentence = !judged
    ? wants.length
      ? wantsCall(wants)
      : ['No call yet.']
    : outcome === 'refer'
      ? [
          `Send it on: ${call.decision === 'refer' && takeIn.safetyCritical === 'none' ? 'by your own decision' : judged.because}.`,
        ]
      : outcome === 'decline'
        ? [
            call.decision === 'decline'
              ? 'Say no: by your own decision.'
              : beaten
                ? `Not with what is in the kit: ${nearest(choices.processes)}.`
                : troubled
                  ? `Say no: ${becauseWords(choices.found!.mend.kind, troubled)}.`
                  : `Say no: ${judged.because}.`,
          ]
        : refusedMends(planned) > 0
          ? [
              `Mend it in part: ${laidBy}; `,
              figure(Math.round(judged.chancePct), 'pct', 'judge'),
              ` that this lasts; ${count(refusedMends(planned), 'place')} not, as said below.`,
            ]
          : [
              `${capital(verdictWords(judged.verdict, judged.chancePct))}: `,
              `${laidBy}; `,
              figure(Math.round(judged.chancePct), 'pct', 'judge'),
              ' that it lasts',
              ...(price !== null ? [', about ', words(money(price, kit.currency), 'judge')] : []),
              '.',
            ]
  const laidShort = first && !first.process ? laidBy : `${process?.name ?? choices.process}, ${choices.filler}`
  const why: Sentence[] = []
  if (judged) why.push([`${judged.because.charAt(0).toUpperCase()}${judged.because.slice(1)}.`])
  const least = judged && planned ? leastOfSeveral(planned, judged.chancePct) : null
  if (least) why.push([`${capital(named(job, least))} is the least sure of its mends: the part is no surer.`])
  if (process) why.push([words(capital(process.name), 'process'), `: ${process.reasons.join('; ')}.`])
  if (filler)
    why.push([
      words(filler.filler, 'filler'),
      `: ${filler.reasons.join('; ') || 'by strength and by how it cracks'}; cracking figure `,
      figure(Number(filler.crackIndex.toFixed(2)), 'number', 'filler'),
      ` (${filler.crackRating}).`,
    ])
  if (filler && (filler.verdict === 'avoid' || filler.verdict === 'never'))
    why.push([`You chose a filler this service says ${filler.verdict} to.`])
  for (const limit of judged?.limits ?? []) why.push([`${limit.charAt(0).toUpperCase()}${limit.slice(1)}.`])
  if (know.alloySource === 'family') why.push([`Reckoned with ${know.alloy.name}, which stands for the family.`])
  const change: Sentence[] = []
  if (judged && input && takeIn.soak !== 'dry') {
    const clean = judge({ ...input, soak: 'dry' })
    if (clean.chancePct > judged.chancePct + 1)
      change.push([
        'Had it never held oil: ',
        figure(Math.round(clean.chancePct), 'pct'),
        '. How well it bakes and boils out is the whole of it.',
      ])
  }
  const second = choices.processes.find(entry => entry.process !== choices.process && entry.verdict !== 'never')
  if (second) change.push([`Next best: ${second.name} (${second.reasons[0]}).`])
  return {
    id: 'call',
    short: !judged
      ? `wants ${wants[0] ?? 'readings'}`
      : outcome === 'mend'
        ? isAgainstOdds(judged.verdict, judged.chancePct)
          ? `against the odds, ${laidShort}`
          : `mend, ${laidShort}`
        : outcome === 'refer'
          ? 'send it on'
          : 'say no',
    wants,
    call: sentence,
    why,
    change,
    cautions: judged && takeIn.safetyCritical !== 'none' ? [caution(`safety-${takeIn.safetyCritical}`)] : [],
    workings: {
      ...working('filler', 'Filler', choices.found?.asked.fillerWorking),
      ...working('process', 'Process', choices.found?.asked.processWorking),
      ...working('judge', 'Mend or not', judged?.working),
    },
    outcomes: {
      metal: know.known ? (know.families[0]?.id ?? null) : null,
      decision: judged?.verdict ?? outcome,
      process: choices.process,
      filler: choices.fillerAlloy,
      price: price === null ? null : Math.round(100 * price) / 100,
      because: judged ? (first?.because[0] ?? null) : null,
    },
    data: {
      fillers: choices.fillers,
      filler: choices.filler,
      fillerAlloy: choices.fillerAlloy,
      processes: choices.processes,
      process: choices.process,
      judged,
      price,
      map: {
        base: { pct: know.alloy.pct },
        filler: choices.fillerAlloy,
        dilutionPct: dilutionOf(job),
        passes: call.passes,
      },
    },
  }
}
