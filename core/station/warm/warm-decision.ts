import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { allowedTorches } from '../../flame/allowed'
import { plateSkinMm2 } from '../../warm/heat'
import { warmFor, type WarmAsk, type Warmth } from '../../warm/decide'
import { weighedG, type Body } from '../take-in/body'

/** A part of which nothing is known weighs about this, g: a hand-sized casting. Judgement. */
export const ASSUMED_G = 1500

/** The torch that this job's part is warmed with: the one picked, else the first that may go near it. */
export const torchOf = (kit: Kit, job: Job): Kit['torches'][number] | null =>
  allowedTorches(torchFirst(kit, job).torches, flameGiven(job))[0] ?? null

/** What says whether a flame may go near a job's part. */
const flameGiven = ({ takeIn }: Job) => ({
  protect: takeIn.protect,
  keptOn: takeIn.keptOn.flatMap(({ limitC }) => (limitC.value === null ? [] : [{ limitC: limitC.value }])),
})

/** The kit with the torch that this job goes by first. */
export const torchFirst = (kit: Kit, { warm }: Job): Kit => ({
  ...kit,
  torches: kit.torches.toSorted((a, b) => Number(b.id === warm.torch) - Number(a.id === warm.torch)),
})

/** What weighs and cools, where sizes are missing too. */
export function weighed(body: Body | null, job: Job, alloy: Alloy): { massG: number; skinMm2: number } {
  if (body) return { massG: body.massKg * 1000, skinMm2: body.areaMm2 }
  const massG = weighedG(job) ?? ASSUMED_G
  return { massG, skinMm2: plateSkinMm2(massG, alloy.densityGcm3, job.takeIn.wallMm.value || ASSUMED_WALL_MM) }
}

/** The part as a plate of its weight and wall, where it was weighed and its sizes are missing; null without a wall. */
export function weighedBody(job: Job, alloy: Alloy): Body | null {
  const massG = weighedG(job)
  const wallMm = job.takeIn.wallMm.value
  if (!massG || !wallMm) return null
  const areaMm2 = plateSkinMm2(massG, alloy.densityGcm3, wallMm)
  return {
    massKg: massG / 1000,
    areaMm2,
    volumeMm3: (massG / alloy.densityGcm3) * 1000,
    reckonedKg: massG / 1000,
    from: 'sizes',
    steps: [
      { label: 'Mass', formula: 'weighed', value: massG / 1000, unit: 'kg', source: 'the scale' },
      {
        label: 'Surface that cools',
        formula: 'both sides of a plate of its weight and wall',
        value: areaMm2 / 100,
        unit: 'cm²',
        source: 'plane geometry; its sizes are not told',
      },
    ],
  }
}

/** What this job says of its own warming: a temperature, or a school to decide by. */
export function warmWish(job: Job): Pick<WarmAsk, 'wanted' | 'school' | 'startC'> {
  const { warm } = job
  const { targetC: toC, startC } = said(job, 'warm')
  return { wanted: toC === null ? 'auto' : { toC, torch: warm.torch || undefined }, school: warm.school, startC }
}

/** Whether this job's part is warmed, where no mend has decided it with it. */
export function decideWarm(job: Job, kit: Kit, body: Body | null, alloy: Alloy): Warmth {
  return warmFor({
    ...warmWish(job),
    torches: allowedTorches(torchFirst(kit, job).torches, flameGiven(job)),
    part: { ...weighed(body, job, alloy), protect: job.takeIn.protect },
    body: { alloy, wallMm: job.takeIn.wallMm.value || ASSUMED_WALL_MM },
    arcs: [],
  })
}
