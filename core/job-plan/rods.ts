import type { Kit } from '../job/job.schema'
import { findAlloy } from '../metal/find-alloy'
import type { PlanStep } from './step'

/** Rods as they are sold: so long, mm. Common practice, no source. */
const SOLD_LONG_MM = 914
/** Rods whose thickness differs by less are the same, mm. */
const SAME_MM = 0.01

type Rod = Kit['rods'][number]
const bare = (filler: string) => findAlloy(filler)?.name ?? filler.replace(/^ER/i, '')

/** Whether two names are of one filler, however they are written. */
export const isSameFiller = (a: string, b: string): boolean => bare(a) === bare(b)

/** Rods of a filler that the kit has, whatever they are called there. */
export const heldRods = ({ rods }: Pick<Kit, 'rods'>, filler: string): Rod[] =>
  rods.filter(rod => isSameFiller(rod.filler, filler))

/** The kit's own rod of a filler and thickness; undefined where it has none. */
export const heldRod = (kit: Pick<Kit, 'rods'>, filler: string, diameterMm: number): Rod | undefined =>
  heldRods(kit, filler).find(rod => Math.abs(rod.diameterMm - diameterMm) < SAME_MM)

/** How long a rod is, mm: the kit's own, else as they are sold. */
export const rodLongMm = (kit: Pick<Kit, 'rods'>, filler: string, diameterMm: number): number =>
  heldRod(kit, filler, diameterMm)?.lengthMm ?? SOLD_LONG_MM

/** Rods of one filler and thickness that a job takes. */
export interface RodsOut {
  filler: string
  diameterMm: number
  /** Not rounded, and whole. */
  count: number
  rods: number
  /** Whole ones that the kit falls short by: for the list to buy. */
  buy: number
}

/** Whole rods to hand out, by filler and thickness: rounded once, for the job; with what of them must be bought. */
export function wholeRods(steps: readonly Pick<PlanStep, 'uses'>[], kit: Pick<Kit, 'rods'>): RodsOut[] {
  const counts = new Map<string, { filler: string; diameterMm: number; count: number }>()
  for (const { filler, diameterMm, count } of steps.flatMap(({ uses }) => uses?.rods ?? [])) {
    const key = `${filler} ${diameterMm}`
    counts.set(key, { filler, diameterMm, count: (counts.get(key)?.count ?? 0) + count })
  }
  return [...counts.values()].map(({ filler, diameterMm, count }) => {
    const rods = Math.ceil(count - 1e-9)
    const held = heldRod(kit, filler, diameterMm)?.count ?? 0
    return { filler, diameterMm, count, rods, buy: Math.max(0, rods - held) }
  })
}
