import { kitProcesses } from '../job-plan/decide/process'
import type { JobGiven, MendGiven } from '../job-plan/job-given'
import type { Memo } from '../job-plan/plan'
import { decide } from '../job-plan/plan'
import { NoAnswer } from '../ask/question'
import { ORDERS, type Order } from '../lay/lays'
import type { Finish } from '../mend/finishes.table'
import { kindOf } from '../mend/registry'
import { findAlloy } from '../metal/find-alloy'
import { PROCESSES, type ProcessId } from '../process/registry'

/** What one way sets of a mend, in the words of a question; what is left out is as it was given. */
export interface MendChoice {
  lays?: [{ process: ProcessId; filler?: string }]
  order?: Order
  way?: string
  finish?: Finish
  supplied?: 'made' | 'bought'
  /** The part does its work without it. */
  leftOut?: true
}
export interface MendOption {
  choice: MendChoice
  given: MendGiven
}

/** How a place may be left where nothing says: what is dressed away there is for looks alone. */
const FOR_LOOKS: readonly Finish[] = ['proud', 'rough', 'blend']

/** A mend with what a way sets of it. */
export const withChoice = (given: MendGiven, { lays, order, way, finish, supplied }: MendChoice): MendGiven => ({
  ...given,
  ...(lays ? { lays: lays.map(lay => ({ ...lay, upTo: 'cap' as const })) } : {}),
  ...(order ? { order } : {}),
  values: {
    ...given.values,
    ...(way ? { way } : {}),
    ...(finish ? { finish } : {}),
    ...(supplied ? { supplied } : {}),
  },
})

/** Each with each: all of the first beside all of the second. */
const crossed = (a: readonly MendChoice[], b: readonly MendChoice[]): MendChoice[] =>
  a.flatMap(one => b.map(other => ({ ...one, ...other })))
const AS_GIVEN: readonly MendChoice[] = [{}]

/** Those first that a plan takes by itself: of two that come to the same, the plan's own is kept. */
const ownFirst = <T>(list: readonly T[], own: T | null | undefined): T[] =>
  list.toSorted((a, b) => Number(b === own) - Number(a === own))

/** What lays it: each process of the kit with each filler that may go there; a braze has its own rod. */
function laysOf(job: JobGiven, found: ReturnType<typeof decide>['mends'][number]): MendChoice[] {
  const { process, filler, given } = found
  if (!found.work.laid.length) return [...AS_GIVEN]
  const processes = ownFirst([...new Set(kitProcesses(job.kit).map(one => one.process))], process.took)
  const fillers = ownFirst(
    filler.ranked.flatMap(row => (row.verdict !== 'never' && findAlloy(row.filler) ? [row.filler] : [])),
    filler.rankedAs,
  )
  // Lays that somebody put together by hand, such as a border and a fill, are a way of their own.
  const byHand = (given.lays?.length ?? 0) > 1 ? AS_GIVEN : []
  return [
    ...byHand,
    ...processes.flatMap((one): MendChoice[] =>
      PROCESSES[one].fusion
        ? fillers.map(rod => ({ lays: [{ process: one, filler: rod }] }))
        : [{ lays: [{ process: one }] }],
    ),
  ]
}

/** Orders of the sides, where it has two. */
const ordersOf = ({ given, work }: ReturnType<typeof decide>['mends'][number]): MendChoice[] =>
  new Set(work.laid.map(({ side }) => side)).size > 1
    ? ownFirst(Object.keys(ORDERS) as Order[], given.order).map(order => ({ order }))
    : [...AS_GIVEN]

const finishesOf = ({ finish }: ReturnType<typeof decide>['mends'][number]): MendChoice[] =>
  finish.because === 'by-kind' && FOR_LOOKS.includes(finish.took)
    ? ownFirst(FOR_LOOKS, finish.took).map(one => ({ finish: one }))
    : [...AS_GIVEN]

/** Made here, or bought: open where somebody said what it costs bought. */
const suppliedOf = ({ given, work }: ReturnType<typeof decide>['mends'][number]): MendChoice[] =>
  typeof given.values.boughtFor === 'number' && work.opening.some(step => step.makes)
    ? [{ supplied: 'made' }, { supplied: 'bought' }]
    : [...AS_GIVEN]

/**
 * Every way of one mend by itself that its metal, its place and the kit allow, the plan's own first. One that cannot be
 * laid stays out; where none can, it stands as it was given.
 */
export function mendOptions(job: JobGiven, given: MendGiven, memo: Memo): MendOption[] {
  const alone = { ...given, values: { ...given.values, after: [] } }
  const readiedAs = (way: string | undefined) => {
    try {
      return decide({ ...job, mends: [withChoice(alone, way ? { way } : {})] }, new Map(), memo).mends[0] ?? null
    } catch (error) {
      if (error instanceof NoAnswer) return null
      throw error
    }
  }
  const field = kindOf(given.kind).fields.way
  const own = readiedAs(undefined)
  const ways = field?.words ? ownFirst(Object.keys(field.words), own?.work.way) : [undefined]
  const open = ways.flatMap(way => {
    const found = readiedAs(way)
    if (!found || found.work.refused) return []
    const as: MendChoice[] = way ? [{ way }] : [...AS_GIVEN]
    return [
      laysOf(job, found),
      ordersOf(found),
      finishesOf(found),
      suppliedOf({ ...found, work: own?.work ?? found.work }),
    ].reduce(crossed, as)
  })
  const options = (open.length ? open : AS_GIVEN).map(choice => ({ choice, given: withChoice(given, choice) }))
  return given.values.spare === true ? [...options, { choice: { leftOut: true }, given }] : options
}
