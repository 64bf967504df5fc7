import { questions } from '../../questions'
import type { JobPlanned } from '../job-planned'
import type { Made } from '../step'

/** What the minutes of a job are told apart by. */
export const PHASES = ['cleaning', 'opening', 'warmth', 'arc', 'waits', 'rebuilding', 'checks'] as const
export type Phase = (typeof PHASES)[number]
/** A spread of minutes, passes or amperes as the trade has it. */
export type Spread = readonly [low: number, high: number]

/** A whole job of the trade with what it takes there; sizes that it does not tell are ours. */
export interface WholeJob {
  readonly name: string
  /** The trade tells of the job and not of its minutes: these are judgement. */
  readonly judged?: boolean
  readonly input: Record<string, unknown>
  /** All that hands, arc and machine tools do, min, for one part. */
  readonly active?: Spread
  readonly elapsed?: Spread
  readonly phases?: Partial<Record<Phase, Spread>>
  /** Passes of each mend. */
  readonly passes?: Readonly<Record<string, Spread>>
  /** What the first arc of its first mend is set to, A. */
  readonly amps?: Spread
  /** Codes of steps that must be there, in this order, and of those that must not. */
  readonly has?: readonly string[]
  readonly hasNot?: readonly string[]
}

export type Answer = Omit<JobPlanned, 'working'> & { steps: readonly Made[] }
export function planOf(input: object): Answer {
  const asked = questions.ask('job.plan', input)
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return asked.answer as Answer
}

const CLEANING = /^(take-in|degrease|wipe|wipe-again|uncoat|clean|flux|bare|protect-|earlier-repair|brush-pass|scrape)/
/** The phase that a step counts in; none of what the whole job is set up by. */
export function phaseOf({ code, kind, stage }: Pick<Made, 'code' | 'kind'> & { stage?: string }): Phase {
  if (kind === 'wait') return 'waits'
  if (kind === 'arc') return 'arc'
  if (kind === 'flame') return 'warmth'
  if (code.startsWith('check-')) return 'checks'
  if (CLEANING.test(code)) return 'cleaning'
  return stage === 'rebuild' || /^(dress|face|drill|tap|bore-to|turn-to|lap|skim|machine)/.test(code)
    ? 'rebuilding'
    : 'opening'
}
export const minutesIn = ({ steps }: Answer, phase: Phase): number =>
  steps.filter(step => phaseOf(step) === phase).reduce((total, { minutes }) => total + minutes, 0)
export const activeOf = ({ totals }: Answer): number => totals.arcMin + totals.handMin + totals.machineMin
/** How many times over or under a spread a figure lies: 1 within it. */
export const offBy = (value: number, [low, high]: Spread): number =>
  value < low ? low / Math.max(1e-9, value) : value > high ? value / high : 1
