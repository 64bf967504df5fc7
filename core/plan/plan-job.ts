import type { Caution } from '../ask/question'
import { MENDS, mendsBasis } from '../job/basis'
import type { Job, Kit } from '../job/job.schema'
import { STATION_IDS, STATION_NAMES, type StationId } from '../job/stations.table'
import { bodyOf, type Body } from './take-in/body'
import { chooseFillerFor, chooseProcessFor, planCall, type CallData } from './call/call'
import { planHandOver, type HandOverData } from './hand-over/hand-over'
import { planKnow, type KnowData } from './know/know'
import { mendChanges } from './mends/mend-changes'
import { mendsTake } from './mends/mends-basis'
import { mendVerdicts, stationOfMends } from './mends/mend-words'
import { heatedMends } from './mends/heated'
import { planMends } from './mends/mends'
import type { MendsData } from './mends/mend-row'
import { planOpen, type OpenData } from './open/open'
import type { StationPlan } from './parts'
import { phasesOf } from './hand-over/phases'
import { planProve, type ProveData } from './prove/prove'
import { planRebuild, type RebuildData } from './rebuild/rebuild'
import { basisOf, changesSince, MENDS_TAKE, type Change } from './stale'
import { planTakeIn } from './take-in/take-in'
import { handsAt } from './hands.table'
import { planWarm, type WarmData } from './warm/warm'
import { decideWarm, openingArcs, weighedBody } from './warm/warm-decision'
import { planWeld } from './weld/weld'
import type { WeldData } from './weld/weld-data'

export interface StationData {
  'take-in': { body: Body | null }
  know: KnowData
  call: CallData
  open: OpenData
  warm: WarmData
  weld: WeldData
  rebuild: RebuildData
  prove: ProveData
  'hand-over': HandOverData
}

export interface Standing {
  settled: boolean
  /** What has changed under a settled station; empty while it stands. */
  changed: Change[]
  /** Stop cautions not yet acknowledged by name: they hold the call. */
  held: Caution[]
}

export type JobPlan = { readonly [Id in StationId]: StationPlan<StationData[Id]> & Standing } & {
  /** Places being mended beside the opening. */ readonly mends: MendsData
}

/** A station's plan with all that it rests on. */
const grounded = <Data>(plan: StationPlan<Data>): StationPlan<Data> => ({
  ...plan,
  basis: basisOf(plan.basis, plan.call, plan.cautions),
})

const standing = (job: Job, plan: StationPlan): Standing => {
  const settled = job.settled[plan.id]
  return {
    settled: settled !== undefined,
    changed: settled
      ? changesSince(settled.basis, plan.basis).flatMap(change =>
          change.what === MENDS ? mendChanges(change, job.mends) : [change],
        )
      : [],
    held: plan.cautions.filter(
      caution => caution.level === 'stop' && !job.acknowledged.some(entry => entry.code === caution.code),
    ),
  }
}

/**
 * Why a job may not be handed over yet, in words: checks open or failed, stop cautions not acknowledged, stale
 * stations.
 */
function unmetBefore(job: Job, plans: readonly StationPlan[], prove: ProveData): string[] {
  const unmet: string[] = []
  if (prove.failed) unmet.push(`${prove.failed} of the checks failed`)
  const open = prove.checks.filter(check => check.result === null).length
  if (open) unmet.push(`${open} of the checks not done`)
  for (const plan of plans) {
    const { held, changed } = standing(job, plan)
    for (const caution of held)
      unmet.push(
        `a stop caution at ${STATION_NAMES[plan.id]} is not acknowledged (${caution.code.replaceAll('-', ' ')})`,
      )
    if (changed.length) unmet.push(`${STATION_NAMES[plan.id]} is stale`)
  }
  return [...new Set(unmet)]
}

/**
 * Works the whole job out: every station's call from its readings and those before it. Pure; the same job and kit give
 * the same plan.
 */
export function planJob(job: Job, kit: Kit): JobPlan {
  const know = grounded(planKnow(job))
  const { alloy } = know.data
  const body = bodyOf(job, alloy.densityGcm3)
  const takeIn = grounded(planTakeIn(job, body))
  const filler = chooseFillerFor(job, know.data)
  // Which process it is does not hang on the groove; how many minutes it takes does.
  const { process } = chooseProcessFor(job, kit, know.data, body, undefined)
  // A metal that burns, fumes or breaks says so wherever it is judged, ground, heated or cut.
  const arcs = openingArcs(job, kit, process)
  const mends = planMends(job, kit, know.data, arcs)
  /** What the mends rest on is what the stations that show them rest on. */
  const withMends = <Data>(station: 'open' | 'weld' | 'rebuild', plan: StationPlan<Data>): StationPlan<Data> => {
    const said = job.open.work === 'none' ? stationOfMends(plan, mends, station) : plan
    return job.mends.length
      ? { ...said, basis: { ...said.basis, [MENDS]: mendsBasis(job.mends), [MENDS_TAKE]: mendsTake(mends) } }
      : said
  }
  const warned = <Data>(plan: StationPlan<Data>): StationPlan<Data> =>
    grounded({
      ...plan,
      cautions: [
        ...know.data.hazards.filter(hazard => !plan.cautions.some(one => one.code === hazard.code)),
        ...plan.cautions,
      ],
    })
  const open = warned(withMends('open', planOpen(job, filler.fillerAlloy, process)))
  const choices = { ...filler, ...chooseProcessFor(job, kit, know.data, body, open.data.groove?.arcMin) }
  const decided = mends.warm ?? decideWarm(job, kit, body, alloy, arcs)
  const laidHot = [
    ...(arcs.length ? ['opening'] : []),
    ...mends.rows.filter(row => row.planned?.process).map(row => row.id),
  ]
  const warm = warned(planWarm(job, kit, body, alloy, decided, laidHot))
  const weld = warned(
    withMends('weld', planWeld(job, kit, open.data, warm.data, choices.process, body, alloy, filler.fillerAlloy)),
  )
  const rebuild = warned(
    withMends('rebuild', planRebuild(job, kit, open.data, alloy, filler.fillerAlloy, choices.process)),
  )
  const prove = grounded(planProve(job, process, mends))
  const phases = phasesOf(job, kit, open.data, warm.data, weld.data, rebuild.data, prove.data, mends)
  const before = [takeIn, know, open, warm, weld, rebuild, prove]
  const handOver = grounded(
    planHandOver(job, kit, phases, open.data, weld.data, choices.filler, unmetBefore(job, before, prove.data), mends),
  )
  const judged = planCall(job, kit, know.data, choices, handOver.data.quote?.total ?? null, warm.data.warmth)
  const call = warned({ ...judged, why: [...judged.why, ...mendVerdicts(mends)] })
  const all = { 'take-in': takeIn, know, call, open, warm, weld, rebuild, prove, 'hand-over': handOver }
  const laidBy =
    job.open.work === 'none'
      ? (mends.rows.find(row => row.planned?.process)?.planned?.process ?? choices.process)
      : choices.process
  return {
    ...Object.fromEntries(
      STATION_IDS.map(id => [
        id,
        {
          ...all[id],
          hands: id === 'warm' && warm.data.warmth.need === 'none' ? [] : handsAt(id, job, laidBy),
          ...standing(job, all[id]),
        },
      ]),
    ),
    mends: heatedMends(mends, job, kit, body ?? weighedBody(job, alloy), alloy, warm.data),
  } as unknown as JobPlan
}
