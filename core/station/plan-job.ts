import type { Caution } from '../ask/question'
import type { Basis, Job, Kit } from '../job/job.schema'
import { STATION_IDS, STATION_NAMES, type StationId } from '../job/stations.table'
import { bodyOf, type Body } from './take-in/body'
import { choicesOf, planCall, type CallData } from './call/call'
import { assumedIn } from './hand-over/assumed'
import { planHandOver, type HandOverData, type Unmet } from './hand-over/hand-over'
import { planKnow, type KnowData } from './know/know'
import { mendsCome } from './mends/mends-come'
import { mendVerdicts, stationOfMends } from './mends/mend-words'
import { wholeOf } from './mends/whole-of'
import { planMends } from './mends/mends'
import { processesOf } from './mends/mend-row'
import type { Shown } from './mends/said'
import type { MendsData } from './mends/mend-row'
import { planOpen, type OpenData } from './open/open'
import type { StationPlan } from './parts'
import { phasesOf } from './hand-over/phases'
import { planProve, type ProveData } from './prove/prove'
import { planRebuild, type RebuildData } from './rebuild/rebuild'
import { basisOf, changesSince, type Change } from './stale'
import { planTakeIn } from './take-in/take-in'
import { handsAt } from './hands.table'
import { planWarm, type WarmData } from './warm/warm'
import { isDone } from './prove/left-out'
import { decideWarm, weighedBody } from './warm/warm-decision'
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
  /** What it rests on, by values: remembered when it is settled. */
  basis: Basis
  settled: boolean
  /** What has changed under a settled station; empty while it stands. */
  changed: Change[]
  /** Stop cautions not yet acknowledged by name: they hold the call. */
  held: Caution[]
}

export type JobPlan = { readonly [Id in StationId]: StationPlan<StationData[Id]> & Standing } & {
  /** The places being mended. */
  readonly mends: MendsData
}

/** What a station rests on, and what of it has changed since it was settled. */
function standing(job: Job, { id, outcomes, call, cautions }: StationPlan): Standing {
  const settled = job.settled[id]
  const basis = basisOf(job, id, outcomes, call, cautions)
  return {
    basis,
    settled: settled !== undefined,
    changed: settled ? changesSince(settled.basis, basis, job) : [],
    held: cautions.filter(
      caution => caution.level === 'stop' && !job.acknowledged.some(entry => entry.code === caution.code),
    ),
  }
}

/**
 * Why a job may not be handed over yet, in words: checks open or failed, stop cautions not acknowledged, stale
 * stations.
 */
function unmetBefore(job: Job, plans: readonly StationPlan[], prove: ProveData): Unmet[] {
  const unmet = new Map<string, string>()
  if (prove.failed) unmet.set('checks-failed', `${prove.failed} of the checks failed`)
  const open = prove.checks.filter(check => !isDone(check)).length
  if (open) unmet.set('checks-open', `${open} of the checks not done`)
  for (const plan of plans) {
    const { held, changed } = standing(job, plan)
    for (const { code } of held)
      unmet.set(
        `held-${plan.id}-${code}`,
        `a stop caution at ${STATION_NAMES[plan.id]} is not acknowledged (${code.replaceAll('-', ' ')})`,
      )
    if (changed.length) unmet.set(`stale-${plan.id}`, `${STATION_NAMES[plan.id]} is stale`)
  }
  return [...unmet].map(([code, text]) => ({ code, text }))
}

/**
 * Works the whole job out: every station's call from its readings and those before it. Pure; the same job and kit give
 * the same plan.
 */
export function planJob(job: Job, kit: Kit): JobPlan {
  const know = planKnow(job)
  const { alloy } = know.data
  const body = bodyOf(job, alloy.densityGcm3)
  const takeIn = planTakeIn(job, body)
  const whole = wholeOf(job, kit, know.data)
  // Before anything is said to be broken, a part is taken in and cleaned all the same.
  const steps = whole.planned?.steps ?? whole.judgedBy?.steps.filter(step => step.phase === 'open' && !step.mend) ?? []
  const choices = choicesOf(job, whole.judgedBy)
  const warned = <Data>(plan: StationPlan<Data>): StationPlan<Data> => ({
    ...plan,
    cautions: [
      // A metal that burns, fumes or breaks says so wherever it is judged, ground, heated or cut.
      ...know.data.hazards.filter(hazard => !plan.cautions.some(one => one.code === hazard.code)),
      ...plan.cautions,
    ],
  })
  const decided = whole.planned?.warm ?? decideWarm(job, kit, body, alloy)
  const laidHot = whole.planned?.mends.filter(mend => mend.tried).map(mend => mend.id) ?? []
  const warm = warned(planWarm(job, kit, body, alloy, decided, laidHot))
  const mends = planMends(job, kit, know.data, whole, body ?? weighedBody(job, alloy), warm.data)
  /** What the mends come to is what the stations that show them rest on. */
  const withMends = <Data>(station: Shown, plan: StationPlan<Data>): StationPlan<Data> => {
    const said = stationOfMends(plan, mends, station)
    return job.mends.length ? { ...said, outcomes: { ...said.outcomes, mends: mendsCome(mends, station) } } : said
  }
  const laid = processesOf(mends)
  const open = warned(withMends('open', planOpen(job, job.mends.length ? laid : [choices.process])))
  const weld = warned(withMends('weld', planWeld(warm.data, mends)))
  const rebuild = warned(withMends('rebuild', planRebuild(job, kit, alloy, choices.fillerAlloy, choices.process)))
  const prove = planProve(job, choices.process, mends, whole.planned?.steps ?? [])
  const phases = phasesOf(job, kit, mends, steps)
  const before = [takeIn, know, open, warm, weld, rebuild, prove]
  const assumed = assumedIn(job, kit, know.data, whole.assumedG, steps)
  const handOver = planHandOver(job, kit, phases, unmetBefore(job, before, prove.data), mends, steps, assumed)
  const judged = planCall(job, kit, know.data, whole.judgedBy, handOver.data.quote?.total ?? null)
  const call = warned({ ...judged, why: [...judged.why, ...mendVerdicts(mends)] })
  const all = { 'take-in': takeIn, know, call, open, warm, weld, rebuild, prove, 'hand-over': handOver }
  return {
    ...Object.fromEntries(
      STATION_IDS.map(id => [
        id,
        {
          ...all[id],
          hands: id === 'warm' && warm.data.warmth.need === 'none' ? [] : handsAt(id, job, choices.process),
          ...standing(job, all[id]),
        },
      ]),
    ),
    mends,
  } as unknown as JobPlan
}
