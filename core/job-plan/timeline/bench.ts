import type { Kit } from '../../job/job.schema'
import { MILL_SET_UP_MIN } from '../../mend/minutes.table'
import type { Warmth } from '../../warm/decide'
import type { AskedCheck } from '../decide/checks'
import type { Ordered } from '../decide/order'
import type { JobGiven } from '../job-given'
import type { Readied } from '../readied'
import { maker, type Draft } from '../steps/maker'
import type { Made } from '../step'
import { dutyAlong, type Duty } from './duty'
import type { Heat } from './heat'
import type { Kept } from './limits'

export interface LayOut {
  job: JobGiven
  mass: { massG: number; skinMm2: number }
  /** Those that are mended, in the order they are taken on. */
  mends: readonly Readied[]
  /** Those that are looked at and not mended. */
  refused: readonly Readied[]
  order: readonly Ordered[]
  warm: Warmth
  /** The hottest that the part may be warmed to, °C. */
  warmLimitC: number
  heat: Heat
  kept: readonly Kept[]
  /** What the metal itself can do, said where it is cut or heated. */
  hazards: readonly string[]
  checks: readonly AskedCheck[]
}

/** The bench while a job is laid out on it: what was done, for the part and for each mend, and the heat it left. */
export interface Bench extends LayOut {
  readonly steps: Made[]
  /** Mends that a limit keeps from being laid, with its code. */
  readonly stopped: Map<string, string>
  /** The last step of each mend. */
  readonly chain: Map<string, string>
  /** The last step for the part as a whole. */
  shared: string | undefined
  /** What must be finished before the mends of this round are begun. */
  gate: readonly string[]
  /** Of what is set up once for parts alike. */
  readonly share: number
  readonly torch: Kit['torches'][number] | undefined
  /** Those on which metal is laid. */
  readonly laying: readonly Readied[]
  add(draft: Draft): string
  /** What is done for the part: after all of it that came before. */
  addShared(draft: Omit<Draft, 'after'>, after?: readonly (string | undefined)[]): string
  /** What is done for a mend: after what was done for it before, and what the part was made ready with. */
  addFor(mend: string, draft: Draft): string
  dutyOf(machine: Kit['machines'][number]): Duty
  /** Left until the place is no hotter than this, °C. */
  cooled(mend: string, toC: number, because: string): void
  /** The mill or lathe set up, once. */
  readyMill(): string
}

/** An empty bench for a job. */
export function benchFor(given: LayOut): Bench {
  const { job, mends, heat, hazards } = given
  const kinds = new Map(mends.map(mend => [mend.given.id, mend.given.kind]))
  const { steps, add: made } = maker(job.kit, heat, hazards, kinds)
  const duties = new Map<string, Duty>()
  const chain = new Map<string, string>()
  let milled: string | undefined
  const bench: Bench = {
    ...given,
    steps,
    stopped: new Map(),
    chain,
    shared: undefined,
    gate: [],
    share: 1 / job.part.alike,
    torch: job.kit.torches[0],
    laying: mends.filter(({ lays }) => lays.length),
    add(draft) {
      const id = made(draft)
      for (const [machine, duty] of duties) if (draft.by !== machine) duty.pause(draft.minutes)
      return id
    },
    addShared: (draft, after = []) => (bench.shared = bench.add({ ...draft, after: [bench.shared, ...after] })),
    addFor(mend, draft) {
      const before = chain.get(mend)
      const id = bench.add({
        mend,
        ...draft,
        after: [...(before ? [before] : [bench.shared, ...bench.gate]), ...(draft.after ?? [])],
      })
      chain.set(mend, id)
      return id
    },
    dutyOf(machine) {
      const known = duties.get(machine.id)
      if (known) return known
      const duty = dutyAlong(machine)
      duties.set(machine.id, duty)
      return duty
    },
    cooled(mend, toC, because) {
      if (heat.c <= toC) return
      const minutes = heat.coolMin(toC)
      bench.addFor(mend, { code: 'cool', kind: 'wait', minutes, because, hot: true })
      heat.to(Math.min(heat.c, toC))
    },
    readyMill() {
      milled ??= bench.add({
        code: 'mill-set-up',
        kind: 'hand',
        trade: 'fit',
        phase: 'set-up',
        minutes: MILL_SET_UP_MIN * bench.share,
        after: [bench.shared],
      })
      return milled
    },
  }
  return bench
}
