import { PREHEAT_C, ROOM_C } from '../../arc/least-preheat'
import { judge, type JudgeInput, type JudgeVerdict } from '../../call/judge'
import { DECLINE_BELOW_PCT, LEAST_CHANCE_PCT, LIMITS_BELOW_PCT } from '../../call/judge.table'
import type { JobGiven } from '../job-given'
import type { Because } from '../decision'
import type { Readied } from '../readied'
import { saidOf } from '../words'

export interface MendDecided {
  took: JudgeVerdict
  chancePct: number
  /** What stands in the way, as a code; null where nothing does. */
  trouble: string | null
  /** What speaks against it, as codes. */
  against: string[]
  because: Because[]
  /** What the chance was judged by. */
  judged: JudgeInput
}

/** The states that a thread or boss of a mend is in. */
const statesOf = ({ state }: Record<string, unknown>): string[] =>
  (Array.isArray(state) ? state : [state]).filter(one => typeof one === 'string')

/** What the part asks of its repair, whatever is mended: what `repair.judge` takes of it. */
export const judgedPart = ({ part, kit }: JobGiven): Omit<JudgeInput, 'families' | 'wallMm'> => ({
  soak: part.soak,
  earlierRepair: part.earlierRepair,
  load: part.does,
  safetyCritical: part.safetyCritical,
  record: kit.learnt?.odds ?? undefined,
  ...(part.cause === undefined
    ? {}
    : { cause: part.cause === 'unknown' ? 'unknown' : part.causeCured ? 'put-right' : 'known' }),
})

/** What is said of a part that counts in whether it is mended. */
const WEIGHED: ReadonlySet<string> = new Set(['made-to-break', 'pressure-port', 'hollow-bolt'])
/** Nobody has decided it. */
const NOTHING_DONE = { decision: null }
/** A pressure at work that a mend is not trusted with unasked, MPa: six bar. Judgement. */
const LIMITED_FROM_MPA = 0.6

export type Warmed = NonNullable<JudgeInput['warmed']>
/** What a heat counts as where the odds are weighed. */
export const warmedAs = (warmC: number): Warmed => (warmC >= PREHEAT_C ? 'preheat' : warmC > ROOM_C ? 'chill' : 'none')

/** Whether it is mended: its chance by what is judged of the part, its way and state, under what is in the way. */
export function decideMend(one: Readied, job: JobGiven, warmed: Warmed, stopped: string | null): MendDecided {
  const { part, doing = NOTHING_DONE } = job
  const { work, process, filler, lays, bodies, given } = one
  const input: JudgeInput = {
    ...judgedPart(job),
    families: bodies[0].families,
    wallMm: Math.max(0.5, work.wallMm),
    process: lays[0]?.lay.process,
    ...(lays.length ? {} : { cold: true }),
    warmed,
    ...(lays.length && filler.verdict && process.took ? { fillerVerdict: filler.verdict } : {}),
    state: statesOf(given.values),
    also: work.risks.map(({ code, points }) => ({ reason: saidOf(given.kind, code), effect: points })),
  }
  const judged = judge(input)
  const trouble = one.trouble ?? stopped
  const chancePct = trouble ? LEAST_CHANCE_PCT : judged.chancePct
  const against = work.risks.filter(risk => risk.points < 0).map(risk => risk.code)
  const limited =
    part.stakes === 'person' || (part.pressureMPa ?? 0) >= LIMITED_FROM_MPA || part.minds.includes('hollow-bolt')
  // Asked about before anything is cut: what it was made for is not known here.
  const asked = [
    ...(part.minds.includes('made-to-break') ? ['made-to-break'] : []),
    ...(part.minds.includes('pressure-port') && part.pressureMPa === undefined ? ['pressure-port'] : []),
  ]
  const because: Because[] = [
    ...(trouble ? [{ code: trouble, ...(one.falls && trouble === one.trouble ? { figures: one.falls } : {}) }] : []),
    ...[...asked, ...part.minds.filter(id => WEIGHED.has(id) && !asked.includes(id))].map(code => ({ code })),
    ...(part.safetyCritical === 'none' ? [] : [{ code: `safety-${part.safetyCritical}` }]),
    ...(part.stakes === 'person' ? [{ code: 'person' }] : []),
    ...((part.pressureMPa ?? 0) >= LIMITED_FROM_MPA
      ? [{ code: 'under-pressure', figures: { mPa: part.pressureMPa ?? 0 } }]
      : []),
    { code: 'chance', figures: { pct: chancePct } },
    ...work.risks.filter(risk => risk.points < 0).map(({ code, points }) => ({ code, figures: { points } })),
    ...(part.does === 'cyclic' ? [{ code: 'repeated-load' }] : []),
  ]
  const found = { chancePct, trouble, against, because, judged: input }
  if (part.safetyCritical !== 'none') return { ...found, took: 'refer' }
  if (trouble) return { ...found, took: 'decline' }
  if (asked.length && doing.decision === null) return { ...found, took: 'refer' }
  if (doing.decision === 'refer') return { ...found, took: 'refer', because: [{ code: 'as-wanted' }, ...because] }
  if (doing.decision === 'decline') return { ...found, took: 'decline', because: [{ code: 'as-wanted' }, ...because] }
  if (doing.decision === 'mend')
    return {
      ...found,
      took: judged.verdict === 'repair' && !limited ? 'repair' : 'repair-with-limits',
      because: [{ code: 'as-wanted' }, ...because],
    }
  if (judged.verdict === 'decline' || chancePct < DECLINE_BELOW_PCT)
    return { ...found, took: 'decline', because: [{ code: 'odds' }, ...because] }
  const took = limited || chancePct < LIMITS_BELOW_PCT ? 'repair-with-limits' : judged.verdict
  return { ...found, took }
}
