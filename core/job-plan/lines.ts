import { fields } from '../part/fields'
import { LONG_WAIT_WEEKS, TOO_DEAR_SHARE } from '../call/judge.table'
import type { Decision, NearLine } from './decision'
import type { JobGiven } from './job-given'
import type { Readied } from './readied'
import type { Settled } from './settled'
import { sum } from './sum'

/** A line is near where a reading within a twentieth of it stands on its other side. */
const NEAR = 0.05
/** How closely a line is found, halvings of that. */
const HALVINGS = 5

/** What a moved job is decided to; `mends` with what they are made ready to. */
interface Moved {
  decision: string
  warm: { need: string }
  order: readonly { id: string }[]
  mends: readonly Readied[]
  decided: ReadonlyMap<string, { took: string }>
}
type Decide = (job: JobGiven) => Moved

/** A reading of a job that can be moved. */
interface Reading {
  path: string
  now: number
  moved: (value: number) => JobGiven
}

/** Readings of the part that its mass follows from: moved together they say whether any of them is near a line. */
const SIZES = ['lengthMm', 'widthMm', 'heightMm', 'massG'] as const
const OTHERS = ['hotC', 'pressureMPa'] as const

function partReadings(job: JobGiven, keys: readonly (typeof SIZES | typeof OTHERS)[number][]): Reading[] {
  return keys.flatMap(key => {
    const now = job.part[key]
    // What stands at its usual value nobody measured.
    return typeof now === 'number' && now !== 0 && now !== fields[key].usual
      ? [{ path: `part.${key}`, now, moved: (value: number) => ({ ...job, part: { ...job.part, [key]: value } }) }]
      : []
  })
}

const wallReadings = (job: JobGiven): Reading[] =>
  job.part.bodies.map((body, n) => ({
    path: `part.bodies[${n}].wallMm`,
    now: body.wallMm,
    moved: (wallMm: number) => ({
      ...job,
      part: { ...job.part, bodies: job.part.bodies.map((one, m) => (m === n ? { ...one, wallMm } : one)) },
    }),
  }))

/** Figures that were said of a mend: what stands at its usual value nobody measured. */
const mendReadings = (job: JobGiven, { mends }: Settled): Reading[] =>
  mends.flatMap(({ given, kind }, n) =>
    Object.entries(kind.fields).flatMap(([key, field]) => {
      const now = given.values[key]
      return field.kind === 'reading' && typeof now === 'number' && now !== 0 && now !== field.usual
        ? [
            {
              path: `mends[${n}].${key}`,
              now,
              moved: (value: number) => ({
                ...job,
                mends: job.mends.map(one =>
                  one.id === given.id ? { ...one, values: { ...one.values, [key]: value } } : one,
                ),
              }),
            },
          ]
        : []
    }),
  )

const passesOf = ({ lays }: Readied) => sum(lays.map(({ means }) => means.passes))

/** What each decision took, by what it is about and of which mend. */
function tookOf({ decision, warm, order, mends, decided }: Moved): Map<string, string> {
  const took = new Map([
    ['mend', decision],
    ['warmth', warm.need],
    ['order', order.map(({ id }) => id).join(' ')],
  ])
  for (const one of mends) {
    const { id } = one.given
    const found = decided.get(id)
    if (!found) continue
    took.set(`mend ${id}`, found.took)
    if (!found.took.startsWith('repair')) continue
    if (one.process.took) took.set(`process ${id}`, one.process.took)
    if (one.lays[0]) {
      took.set(`filler ${id}`, one.lays[0].lay.filler)
      took.set(`passes ${id}`, String(passesOf(one)))
    }
    if (one.work.way) took.set(`way ${id}`, one.work.way)
  }
  return took
}

/** Beads of a mend before they are rounded up to passes, lay by lay. */
const beadsOf = ({ mends }: Moved, id: string): number[] =>
  mends.find(({ given }) => given.id === id)?.lays.map(({ means }) => means.beads) ?? []

/** Where the passes of a mend turn on the way to `then`, as a share of it; by the straight line between. */
function passesTurnAt(now: readonly number[], then: readonly number[]): number | null {
  if (now.length !== then.length) return null
  const shares = now.flatMap((from, n) => {
    const to = then[n] ?? from
    const [low, high] = [Math.min(from, to), Math.max(from, to)]
    // Going up it turns past a whole bead, going down at it.
    const whole = to > from ? Math.ceil(low - 1e-9) : Math.ceil(high - 1e-9) - 1
    return whole >= 1 && whole > low - 1e-9 && whole < high ? [Math.abs(whole - from) / (high - low)] : []
  })
  return shares.length ? Math.min(...shares) : null
}

/** Every line within reach of a reading, by the decision that it turns. */
function linesOf(reading: Reading, base: Moved, decide: Decide): Map<string, NearLine> {
  const { path, now, moved } = reading
  const before = tookOf(base)
  const found = new Map<string, NearLine>()
  // A reading is within a twentieth of its line, which lies a little further off one way than the other.
  for (const far of [now / (1 + NEAR), now / (1 - NEAR)]) {
    const there = tried(decide, moved(far))
    if (!there) continue
    const then = tookOf(there)
    for (const key of new Set([...before.keys(), ...then.keys()])) {
      if (before.get(key) === then.get(key)) continue
      const [about, id] = key.split(' ')
      const line = (turnsAt: number, tookThen: string): NearLine => ({ reading: path, now, turnsAt, tookThen })
      const share = about === 'passes' && id ? passesTurnAt(beadsOf(base, id), beadsOf(there, id)) : null
      const better = (one: NearLine) => {
        const known = found.get(key)
        if (!known || Math.abs(one.turnsAt - now) < Math.abs(known.turnsAt - now)) found.set(key, one)
      }
      if (share !== null) {
        const passes = Number(before.get(key)) + Math.sign(Number(then.get(key)) - Number(before.get(key)))
        better(line(now + share * (far - now), String(passes)))
        continue
      }
      let [low, high, tookThen] = [now, far, then.get(key) ?? '']
      for (let n = 0; n < HALVINGS; n++) {
        const middle = (low + high) / 2
        const at = tried(decide, moved(middle))
        const took = at && tookOf(at).get(key)
        if (at && took === before.get(key)) low = middle
        else [high, tookThen] = [middle, took ?? tookThen]
      }
      better(line(high, tookThen))
    }
  }
  return found
}

/** What a moved job is decided to; null where the reading can't be moved so far. */
function tried(decide: Decide, job: JobGiven): Moved | null {
  try {
    return decide(job)
  } catch {
    return null
  }
}

/** Whether anything turns when all sizes are moved together as far as any one of them would move the mass. */
function sizesMatter(job: JobGiven, base: Moved, decide: Decide): boolean {
  const before = tookOf(base)
  return [1 / (1 + NEAR), 1 / (1 - NEAR)].some(times => {
    const { part } = job
    const sized = Object.fromEntries(SIZES.flatMap(key => (part[key] ? [[key, part[key] * times]] : [])))
    const there = tried(decide, { ...job, part: { ...part, ...sized } })
    if (!there) return true
    const then = tookOf(there)
    return [...before].some(([key, took]) => key !== 'order' && then.get(key) !== took)
  })
}

/** The line at which a repair comes too near the price of a new one. */
function priceLine({ job, steps, turnedBy }: Settled): NearLine[] {
  const { newPrice, newWeeks = 0 } = job.part
  if (!newPrice) return []
  const price = turnedBy?.figures.price ?? sum(steps.map(step => step.price))
  const turnsAt = price / (newWeeks >= LONG_WAIT_WEEKS ? 1 : TOO_DEAR_SHARE)
  const tookThen = turnedBy ? 'repair' : 'decline'
  return Math.abs(newPrice - turnsAt) <= NEAR * turnsAt
    ? [{ reading: 'part.newPrice', now: newPrice, turnsAt, tookThen }]
    : []
}

/** The decisions of a job with the lines that are near: which reading, moved by how little, turns each. */
export function withNear(decisions: readonly Decision[], settled: Settled, decide: Decide): Decision[] {
  // A part in cells is warmed on them; where a line lies is found with it as one lump, which takes no time.
  const { onCells: _cells, ...job }: JobGiven = settled.job
  const base = tried(decide, job)
  if (!base) return [...decisions]
  const readings = [
    ...mendReadings(job, settled),
    ...wallReadings(job),
    ...partReadings(job, OTHERS),
    ...(sizesMatter(job, base, decide) ? partReadings(job, SIZES) : []),
  ]
  const near = new Map<string, NearLine[]>()
  for (const reading of readings)
    for (const [key, line] of linesOf(reading, base, decide)) near.set(key, [...(near.get(key) ?? []), line])
  const dear = priceLine(settled)
  const took = tookOf(base)
  return decisions.map(decision => {
    const key = decision.of === undefined ? decision.about : `${decision.about} ${decision.of}`
    const own = took.get(key) === decision.took ? (near.get(key) ?? []) : []
    return { ...decision, near: decision.about === 'mend' ? [...own, ...dear] : own }
  })
}
