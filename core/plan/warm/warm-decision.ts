import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import { easyPreheatC, leastPreheatC } from '../../arc/least-preheat'
import type { ProcessId } from '../../call/process.table'
import type { Job, Kit } from '../../job/job.schema'
import type { Alloy } from '../../metal/alloys.table'
import { machineOf, mostA } from '../weld/machine'
import { plateSkinMm2 } from '../../warm/heat'
import { warmFor, type WarmAsk, type Warmth } from '../../warm/decide'
import { MOST_RUN_MM } from '../../warm/torch-reach'
import type { Body } from '../take-in/body'

/** A part of which nothing is known weighs about this, g: a hand-sized casting. Judgement. */
export const ASSUMED_G = 1500

/** The kit with the torch that this job goes by first. */
export const torchFirst = (kit: Kit, { warm }: Job): Kit => ({
  ...kit,
  torches: kit.torches.toSorted((a, b) => Number(b.id === warm.torch) - Number(a.id === warm.torch)),
})

/** What weighs and cools, where sizes are missing too. */
export function weighed(body: Body | null, job: Job, alloy: Alloy): { massG: number; skinMm2: number } {
  if (body) return { massG: body.massKg * 1000, skinMm2: body.areaMm2 }
  const massG = job.warm.massG.value || job.know.dryG.value || ASSUMED_G
  return { massG, skinMm2: plateSkinMm2(massG, alloy.densityGcm3, job.takeIn.wallMm.value || ASSUMED_WALL_MM) }
}

/** The part as a plate of its weight and wall, where it was weighed and its sizes are missing; null without a wall. */
export function weighedBody(job: Job, alloy: Alloy): Body | null {
  const massG = job.warm.massG.value || job.know.dryG.value
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

/** How long a zone the flame is swept along for the opening, mm; a longer one is warmed a length at a time. */
export function zoneRunMm({ open }: Job): number {
  if (open.work === 'none') return 0
  return Math.min(MOST_RUN_MM, open.crackMm.value ?? 0)
}

/** The opening, as an arc that may want the part warm; nothing where a flame does it or there is none. */
export function openingArcs(job: Job, kit: Kit, process: ProcessId): WarmAsk['arcs'] {
  const wallMm = job.takeIn.wallMm.value
  if (job.open.work === 'none' || !wallMm) return []
  if (process !== 'ac-tig' && process !== 'mig-pulse' && process !== 'mig-spool') return []
  const machine = machineOf(job, kit, process)
  const limitA = machine ? mostA(machine) : Infinity
  return [
    {
      leastC: leastPreheatC(wallMm, limitA, process, 'flat'),
      easyC: easyPreheatC(wallMm, limitA, process, 'flat'),
      wallMm,
      soak: said(job, 'takeIn').soak,
      runMm: zoneRunMm(job),
    },
  ]
}

/** Whether this job's part is warmed, where no mend has decided it with it. */
export function decideWarm(job: Job, kit: Kit, body: Body | null, alloy: Alloy, arcs: WarmAsk['arcs']): Warmth {
  const found = warmFor({
    ...warmWish(job),
    torches: torchFirst(kit, job).torches,
    part: { ...weighed(body, job, alloy), protect: job.takeIn.protect },
    body: { alloy, wallMm: job.takeIn.wallMm.value || ASSUMED_WALL_MM },
    arcs,
  })
  return job.open.work !== 'none' && job.takeIn.wallMm.value && found.why.includes('nothing-laid')
    ? { ...found, why: ['flame-warms'] }
    : found
}
