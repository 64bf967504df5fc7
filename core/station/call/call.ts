import type { AnswerTo } from '../../ask/question'
import { repairJudge } from '../../call/question'
import { processChoose } from '../../call/question'
import { fillerChoose } from '../../call/question'
import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import { serviceHeatC } from '../../job/service-heat'
import type { Job, Kit } from '../../job/job.schema'
import type { RankedFiller } from '../../call/filler'
import type { RankedProcess } from '../../call/process'
import { fuelOf } from '../../flame/fuels.table'
import { findAlloy } from '../../metal/find-alloy'
import { askFor } from '../ask-core'
import type { KnowData } from '../know/know'
import { capital, figure, words, type Sentence, type StationPlan, type Working } from '../parts'
import { money } from '../hand-over/hand-over'
import type { Body } from '../take-in/body'
import type { Warmth } from '../../warm/decide'
import { capOf } from '../../warm/heat'
import { mostA } from '../weld/machine'
import { MOST_RUN_MM } from '../../warm/torch-reach'
import type { MendsData } from '../mends/mend-row'
import { torchFirst, warmWish, weighed } from '../warm/warm-decision'

export interface FillerChoice {
  fillers: RankedFiller[]
  filler: string
  /** The filler as an alloy of the table, for its density and chemistry. */
  fillerAlloy: string
  fillerWorking: Working | null
}
export interface ProcessChoice {
  processes: RankedProcess[]
  process: RankedProcess['process']
  processWorking: Working | null
}
export interface CallData extends FillerChoice, ProcessChoice {
  judged: AnswerTo<typeof repairJudge> | null
  price: number | null
  /** What the crack map is asked for. */
  map: { base: { pct: Readonly<Record<string, number>> }; filler: string; dilutionPct: number; passes: number }
}

/** Length and width of the weld face where the groove is not known yet, mm. */
const UNKNOWN_RUN_MM = 80
const FACE_WIDTHS_OF_WALL = 1.4

/** A filler as it is ranked, which may be called by its rod, as an alloy of the table; undefined where it is none. */
export const alloyOfFiller = (filler: string): string | undefined => findAlloy(filler.replace(/ rod$/, ''))?.name

/** Share of the bead that is melted base, kept to what a bead can be. */
export const dilutionOf = (job: Job) => Math.min(100, Math.max(0, said(job, 'call').dilutionPct))

/** The filler: the one picked, else the one that the mends are laid with, else the first by school or in rank. */
export function chooseFillerFor(job: Job, know: KnowData, { rows }: MendsData): FillerChoice {
  const { takeIn, call } = job
  const load = said(job, 'takeIn').does
  const filler = askFor(fillerChoose, 'Filler', {
    baseA: know.alloy.name,
    service: {
      maxC: serviceHeatC(job),
      anodised: takeIn.finishAfter === 'anodised',
      saltWater: takeIn.saltWater,
      load,
    },
    dilutionPct: dilutionOf(job),
  })
  const fillers = filler.ok ? filler.answer.ranked : []
  const laid = rows.find(row => row.planned?.filler)?.planned?.filler
  const bySchool =
    call.school === 'magnesium-first'
      ? fillers.find(entry => entry.filler === '5356' && entry.verdict !== 'never')
      : undefined
  const chosen =
    fillers.find(entry => entry.filler === call.filler) ??
    fillers.find(entry => alloyOfFiller(entry.filler) === laid) ??
    bySchool ??
    fillers[0]
  const name = chosen?.filler ?? '4043'
  return {
    fillers,
    filler: name,
    fillerAlloy: alloyOfFiller(name) ?? '4043',
    fillerWorking: filler.ok ? filler.working : null,
  }
}

/** The process: the one picked, else what the mends are laid by, else the first in rank by what they ask of it. */
export function chooseProcessFor(
  job: Job,
  kit: Kit,
  know: KnowData,
  body: Body | null,
  { rows }: MendsData,
): ProcessChoice {
  const { call } = job
  const laid = rows.flatMap(({ planned }) => (planned?.lays.length ? [planned] : []))
  const arcMin = laid.reduce((sum, mend) => sum + mend.arcMin, 0)
  const faceMm2 = laid.reduce((sum, mend) => sum + mend.faceMm2, 0)
  const runMm = Math.max(0, ...laid.map(({ run }) => run?.longMm ?? 0))
  const { does: load, soak, wallMm } = said(job, 'takeIn')
  const family = know.families[0]!.id
  const capC = capOf(warmWish(job))
  const wall = wallMm ?? ASSUMED_WALL_MM
  const arcs = kit.machines.map(machine => ({
    process: machine.process,
    maxA: mostA(machine),
    ratedA: machine.ratedA,
    dutyPct: machine.ratedPct,
  }))
  const flames = [
    ...(kit.torches.length ? [{ process: 'zinc-rod-braze' as const }] : []),
    ...(kit.torches.length && kit.rods.some(rod => findAlloy(rod.filler)?.name === '4047')
      ? [{ process: 'al-si-braze' as const }]
      : []),
    ...(kit.torches.some(torch => fuelOf(torch.gas).oxygen) ? [{ process: 'oxy-fuel' as const }] : []),
  ]
  const process = askFor(processChoose, 'Process', {
    wallMm: wall,
    family,
    soak,
    load,
    watertight: load === 'seal',
    access: call.access,
    areaMm2: faceMm2 || UNKNOWN_RUN_MM * wall * FACE_WIDTHS_OF_WALL,
    kit: [...arcs, ...flames],
    torches: torchFirst(kit, job).torches.map(({ name, gas, powerW, efficiencyPct, fitted }) => ({
      name,
      gas,
      sourceW: powerW,
      efficiencyPct,
      ...(fitted ? { filmWm2K: fitted.filmWm2K } : {}),
    })),
    ...weighed(body, job, know.alloy),
    base: know.alloy.name,
    serviceC: Math.min(400, serviceHeatC(job)),
    runMm: Math.min(MOST_RUN_MM, runMm),
    ...(Number.isFinite(capC) ? { mostC: capC } : {}),
    ...(arcMin > 0 ? { arcMin } : {}),
  })
  const processes = process.ok ? process.answer.ranked : []
  return {
    processes,
    process: call.process ?? laid.find(mend => mend.process)?.process ?? processes[0]?.process ?? 'ac-tig',
    processWorking: process.ok ? process.working : null,
  }
}

/** What stands in the way of the process that is nearest to going, for a shop where none goes. */
function nearest(processes: readonly RankedProcess[]): string {
  const own = processes.filter(row => row.inKit)
  const row = own.find(({ process }) => process === 'ac-tig') ?? own[0] ?? processes[0]!
  return `${row.name}: ${row.reasons[0] ?? 'it does not suit'}`
}

/** Call: mend or not, process, filler, price. */
export function planCall(
  job: Job,
  kit: Kit,
  know: KnowData,
  choices: FillerChoice & ProcessChoice,
  price: number | null,
  warm: Pick<Warmth, 'need'>,
): StationPlan<CallData> {
  const { takeIn, call } = job
  const wants = [
    ...(know.known ? [] : ['the metal']),
    ...(takeIn.soak ? [] : ['how oily it is']),
    ...(takeIn.does ? [] : ['what it does']),
    ...(takeIn.wallMm.value ? [] : ['the wall']),
  ]
  const chosenFiller = choices.fillers.find(entry => entry.filler === choices.filler)
  const families = know.families.map(({ id, probability }) => ({ id, probability }))
  const asked =
    takeIn.wallMm.value && takeIn.soak && takeIn.does
      ? askFor(repairJudge, 'Mend or not', {
          families,
          soak: takeIn.soak,
          earlierRepair: takeIn.earlierRepair,
          load: takeIn.does,
          safetyCritical: takeIn.safetyCritical,
          wallMm: takeIn.wallMm.value,
          ...(takeIn.newPrice ? { newPrice: takeIn.newPrice } : {}),
          ...(price !== null ? { repairPrice: price } : {}),
          ...(takeIn.newWeeks !== null ? { newWeeks: takeIn.newWeeks } : {}),
          process: choices.process,
          warmed: warm.need,
          ...(chosenFiller ? { fillerVerdict: chosenFiller.verdict } : {}),
          ...(kit.learnt?.odds ? { record: kit.learnt.odds } : {}),
          cause: takeIn.cause === 'unknown' ? 'unknown' : takeIn.causeCure.trim() ? 'put-right' : 'known',
        })
      : null
  const judged = asked?.ok ? asked.answer : null
  const process = choices.processes.find(entry => entry.process === choices.process)
  const filler = chosenFiller
  /** Nothing there does it: the call says so, and what would. */
  const beaten = !call.process && kit.machines.length + kit.torches.length > 0 && process?.verdict === 'never'
  const outcome =
    call.decision ??
    (beaten && judged?.verdict !== 'refer' ? 'decline' : null) ??
    (judged
      ? { repair: 'mend', 'repair-with-limits': 'mend', refer: 'refer', decline: 'decline' }[judged.verdict]
      : null)
  const sentence: Sentence = !judged
    ? [wants.length ? `Wants ${wants.join(', ')}.` : asked && !asked.ok ? `No call: ${asked.reason}.` : 'No call yet.']
    : outcome === 'refer'
      ? [`Send it on: ${judged.verdict === 'refer' ? judged.because : 'by your own decision'}.`]
      : outcome === 'decline'
        ? [
            judged.verdict === 'decline'
              ? `Say no: ${judged.because}.`
              : beaten && call.decision === null
                ? `Not with what is in the kit: ${nearest(choices.processes)}.`
                : 'Say no: by your own decision.',
          ]
        : [
            judged.verdict === 'repair-with-limits'
              ? 'Mend it, with limits: '
              : judged.verdict === 'repair'
                ? 'Mend it: '
                : 'Mend it against the odds: ',
            `${process?.name ?? choices.process} with ${choices.filler}; `,
            figure(Math.round(judged.chancePct), 'pct', 'judge'),
            ' that it lasts',
            ...(price !== null ? [', about ', words(money(price, kit.currency), 'judge')] : []),
            '.',
          ]
  const why: Sentence[] = []
  if (judged) why.push([`${judged.because.charAt(0).toUpperCase()}${judged.because.slice(1)}.`])
  if (process) why.push([words(capital(process.name), 'process'), `: ${process.reasons.join('; ')}.`])
  if (filler)
    why.push([
      words(filler.filler, 'filler'),
      `: ${filler.reasons.join('; ') || 'by strength and crack index'}; crack index `,
      figure(Number(filler.crackIndex.toFixed(2)), 'number', 'filler'),
      ` (${filler.crackRating}).`,
    ])
  if (filler && (filler.verdict === 'avoid' || filler.verdict === 'never'))
    why.push([`You chose a filler this service says ${filler.verdict} to.`])
  for (const limit of judged?.limits ?? []) why.push([`${limit.charAt(0).toUpperCase()}${limit.slice(1)}.`])
  if (know.alloySource === 'family') why.push([`Reckoned with ${know.alloy.name}, which stands for the family.`])
  const change: Sentence[] = []
  if (judged && takeIn.soak && takeIn.soak !== 'dry' && takeIn.wallMm.value && takeIn.does) {
    const clean = askFor(repairJudge, 'Had it never held oil', {
      families,
      soak: 'dry',
      earlierRepair: takeIn.earlierRepair,
      load: takeIn.does,
      safetyCritical: takeIn.safetyCritical,
      process: choices.process,
      warmed: warm.need,
      wallMm: takeIn.wallMm.value,
    })
    if (clean.ok && clean.answer.chancePct > judged.chancePct + 1)
      change.push([
        'Had it never held oil: ',
        figure(Math.round(clean.answer.chancePct), 'pct'),
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
        ? `mend, ${process?.name ?? choices.process}, ${choices.filler}`
        : outcome === 'refer'
          ? 'send it on'
          : 'say no',
    wants,
    call: sentence,
    why,
    change,
    cautions: asked?.ok ? asked.cautions : [],
    workings: {
      ...(choices.fillerWorking ? { filler: choices.fillerWorking } : {}),
      ...(choices.processWorking ? { process: choices.processWorking } : {}),
      ...(asked?.ok ? { judge: asked.working } : {}),
    },
    basis: {
      metal: know.known ? know.families[0]!.name : '',
      soak: takeIn.soak ?? '',
      'what it does': takeIn.does ?? '',
      wall: takeIn.wallMm.typed,
      'earlier repair': takeIn.earlierRepair,
      filler: choices.filler,
      process: choices.process,
      safety: takeIn.safetyCritical,
      'new price': takeIn.newPrice === null ? '' : String(takeIn.newPrice),
    },
    data: {
      ...choices,
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
