import type { Job, Kit } from '../../job/job.schema'
import { count } from '../parts'
import type { JobPlan } from '../plan-job'
import type { MendRow } from '../mends/mend-row'
import { wireOf } from '../mends/mends'

type Rod = Kit['rods'][number]
type Gas = Kit['gases'][number]

/** What a job still takes from the shelf of rods and the rack of cylinders. */
export interface Takes {
  rods: readonly { filler: string; rods: number }[]
  /** Wire by what it is of, g. */
  wire: readonly { filler: string; massG: number }[]
  gas: string
  litres: number
}

/** Filler wire as thick as this, mm, either way, is the same rod. */
const SAME_ROD_MM = 0.2

/** The rod of this filler in the kit: of the thickness planned, else of any. */
export const rodFor = (kit: Kit, filler: string, rodMm: number): Rod | undefined =>
  kit.rods.find(rod => rod.filler === filler && Math.abs(rod.diameterMm - rodMm) < SAME_ROD_MM) ??
  kit.rods.find(rod => rod.filler === filler)

/** A flame burns its own gas, where the kit has a cylinder of that name; an arc is shielded by the first. */
export const gasFor = (kit: Kit, burns: string | null): Gas | undefined =>
  burns === null
    ? kit.gases[0]
    : kit.gases.find(({ name }) => name.trim() && burns.toLowerCase().includes(name.toLowerCase()))

/** What is left in the cylinder in use, L of gas; one that was never read is taken for full. */
export const leftInL = ({ leftL, cylinderL }: Gas): number => leftL ?? cylinderL

/** Rods of one filler, as thick as they are planned. */
export interface RodsTaken {
  filler: string
  rodMm: number
  rods: number
}

/** Rods that mends take by their filler, what the puddle had laid again with them. */
export function rodsOf(rows: readonly MendRow[]): RodsTaken[] {
  const found = new Map<string, RodsTaken>()
  for (const { planned, rodMm } of rows) {
    const filler = planned?.filler
    if (!planned || !filler) continue
    const before = found.get(filler)
    const { rods } = planned
    if (rods > 0) found.set(filler, { filler, rodMm: before?.rodMm ?? rodMm, rods: (before?.rods ?? 0) + rods })
  }
  return [...found.values()]
}

/**
 * Rods, wire and gas that a job still takes: as quoted, less the share of its passes that is laid. Nothing once it is
 * welded, sent on or turned away.
 */
export function takesOf(job: Job, plan: JobPlan, kit: Kit): Takes | null {
  const { decision } = job.call
  if (job.settled.weld || job.handOver.handedAt || decision === 'refer' || decision === 'decline') return null
  const { quote } = plan['hand-over'].data
  if (!quote) return null
  const quantity = (name: string) => quote.lines.find(line => line.name === name)?.quantity ?? 0
  const { rows } = plan.mends
  const passes = rows.flatMap(row => row.log.passes)
  const laid = passes.filter(pass => pass.done).length
  const left = passes.length ? 1 - laid / passes.length : 1
  const planned = rodsOf(rows)
  const all = planned.reduce((sum, { rods }) => sum + rods, 0)
  // What is quoted has gone through what the shop has learnt: each filler keeps its share of it.
  const rods = planned.flatMap(({ filler, rodMm, rods: count }) => {
    const of = (quantity('Filler') * left * count) / all
    return of > 0 ? [{ filler: rodFor(kit, filler, rodMm)?.filler ?? filler, rods: of }] : []
  })
  const litres = quantity('Gas') * left
  const wire = wireOf(plan.mends).flatMap(of => (left > 0 ? [{ ...of, massG: of.massG * left }] : []))
  if (!rods.length && litres <= 0 && !wire.length) return null
  const burns = rows.find(row => row.flame?.flame)?.flame?.flame?.torch.gas ?? null
  return { rods, wire, gas: gasFor(kit, burns)?.name ?? burns ?? 'argon', litres }
}

/** One consumable against what the open jobs take of it. */
export interface Stock {
  /** The kit's own entry; null where the kit has none of it. */
  id: string | null
  kind: 'rods' | 'wire' | 'gas'
  name: string
  /** Rods, kilograms of wire, or litres of gas. */
  left: number
  wanted: number
  /** By how much it falls short; 0 where it does not. */
  short: number
}

/** Kilograms of wire as they are said: to the ten grams, and nothing that is wanted as none. */
const kilos = (kg: number) => (kg > 0 ? Math.max(0.01, Math.round(kg * 100) / 100) : 0)

/** Whole rods are taken, so a part of one is one. */
const whole = (rods: number) => Math.ceil(rods - 1e-9)

/**
 * What is left of each filler and gas, and what open jobs take of it: first the kit's own, in its order, then what it
 * has none of.
 */
export function stockOf(kit: Kit, takes: readonly Takes[]): Stock[] {
  const rods = takes.flatMap(take => take.rods)
  const rodsWanted = (name: string) =>
    rods.filter(({ filler }) => filler === name).reduce((sum, of) => sum + whole(of.rods), 0)
  const litresWanted = (name: string) =>
    takes.filter(({ gas }) => gas === name).reduce((sum, { litres }) => sum + litres, 0)
  const wires = takes.flatMap(take => take.wire)
  const wireKg = (name: string) =>
    wires.filter(({ filler }) => filler === name).reduce((sum, { massG }) => sum + massG / 1000, 0)
  const row = (id: string | null, kind: Stock['kind'], name: string, left: number, wanted: number): Stock => ({
    id,
    kind,
    name,
    left,
    wanted,
    short: Math.max(0, wanted - left),
  })
  const fillers = [...new Set([...kit.rods.map(rod => rod.filler), ...rods.map(({ filler }) => filler)])]
  const spooled = [...new Set([...kit.spools.map(spool => spool.filler), ...wires.map(({ filler }) => filler)])]
  const gases = [...new Set([...kit.gases.map(gas => gas.name), ...takes.map(take => take.gas)])]
  return [
    ...fillers.map(filler => {
      const own = kit.rods.filter(rod => rod.filler === filler)
      const left = own.reduce((sum, rod) => sum + rod.count, 0)
      return row(own[0]?.id ?? null, 'rods', filler, left, rodsWanted(filler))
    }),
    ...spooled.map(filler => {
      const own = kit.spools.filter(spool => spool.filler === filler)
      const left = own.reduce((sum, spool) => sum + spool.leftKg, 0)
      return row(own[0]?.id ?? null, 'wire', filler, left, wireKg(filler))
    }),
    ...gases.map(gas => {
      const own = kit.gases.filter(entry => entry.name === gas)
      const left = own.reduce((sum, entry) => sum + leftInL(entry), 0)
      return row(own[0]?.id ?? null, 'gas', gas, left, litresWanted(gas))
    }),
  ].filter(stock => stock.id !== null || stock.wanted > 0)
}

/** What one job takes that the kit has not got, in words: what is bought before it can be welded. */
export const toBuy = (kit: Kit, takes: Takes | null): string[] =>
  takes === null
    ? []
    : stockOf(kit, [takes])
        .filter(stock => stock.short > 0)
        .map(({ kind, name, short }) =>
          kind === 'rods'
            ? `${count(whole(short), 'rod')} of ${name}`
            : kind === 'wire'
              ? `${kilos(short)} kg of ${name} wire`
              : `${Math.ceil(short)} L of ${name}`,
        )

const WEEK_MS = 7 * 24 * 3600 * 1000
/** How far back use is counted, weeks, and from how many jobs on it is worth saying. */
const LOOKED_BACK_WEEKS = 26
const LEAST_JOBS = 3

export interface Use {
  rodsPerWeek: number
  litresPerWeek: number
  jobs: number
}

/** Rods and gas a week, by what finished jobs noted; null from fewer than three of them. */
export function useOf(
  jobs: readonly { handedAt: string | null; usedRods: number | null; usedGasL: number | null }[],
  nowMs: number,
): Use | null {
  const noted = jobs.filter(
    ({ handedAt, usedRods, usedGasL }) =>
      handedAt !== null &&
      nowMs - Date.parse(handedAt) <= LOOKED_BACK_WEEKS * WEEK_MS &&
      (usedRods !== null || usedGasL !== null),
  )
  if (noted.length < LEAST_JOBS) return null
  const weeks = Math.max(1, (nowMs - Math.min(...noted.map(job => Date.parse(job.handedAt!)))) / WEEK_MS)
  const sum = (of: (job: (typeof noted)[number]) => number | null) =>
    noted.reduce((total, job) => total + (of(job) ?? 0), 0)
  return {
    rodsPerWeek: sum(job => job.usedRods) / weeks,
    litresPerWeek: sum(job => job.usedGasL) / weeks,
    jobs: noted.length,
  }
}

/** A quantity of rods, wire or gas as it is said. */
export const amountOf = (kind: Stock['kind'], value: number): string =>
  kind === 'rods'
    ? `${whole(value)} ${whole(value) === 1 ? 'rod' : 'rods'}`
    : kind === 'wire'
      ? `${kilos(value)} kg`
      : `${Math.ceil(value)} L`

/** From this share of what is left on, open jobs take most of it. Judgement. */
const MOST_OF_IT = 0.7

/** When to buy, by what the open jobs take; empty where there is no hurry. */
export function whenToBuy({ short, kind, left, wanted }: Stock): string {
  if (short > 0) return `buy ${amountOf(kind, short)} before the open jobs are through`
  return wanted > MOST_OF_IT * left ? 'the open jobs take most of it: buy soon' : ''
}

/** Weeks that what is left lasts at the rate it went lately; null where none of it was noted. */
export function weeksLeft(kind: 'rods' | 'gas', stock: readonly Stock[], use: Use): number | null {
  const aWeek = kind === 'rods' ? use.rodsPerWeek : use.litresPerWeek
  const left = stock.filter(row => row.kind === kind).reduce((sum, row) => sum + row.left, 0)
  return aWeek > 0 ? left / aWeek : null
}
