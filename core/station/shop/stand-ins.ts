import { isTig } from '../../process/registry'
import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import type { InstrumentId } from '../../instrument/kinds.table'
import { temperatureCurve } from '../../heat/lumped'
import type { Job } from '../../job/job.schema'
import { lumpOf } from '../weld/soak-up'
import { airC } from '../../warm/air'
import type { JobPlan } from '../plan-job'

/** How long the part is followed once the flame is off, s. */
const COOLING_S = 2 * 3600
const CURVE_POINTS = 240

/**
 * The part's temperature as the heat model of its job has it: up to the target with the chosen torch, then cooling in
 * still air; at the zone of its first mend, where that is placed on the part's shape.
 */
export function partCurve(job: Job, plan: JobPlan): { s: number; c: number }[] {
  const { body } = plan['take-in'].data
  const { alloy } = plan.know.data
  const { heating, startC, targetC, torch, zones } = plan.warm.data
  if (!body || !heating) return [{ s: 0, c: startC }]
  const lump = lumpOf(body, alloy, airC(startC), 0, torch?.fitted?.filmWm2K)
  const [zone] = zones
  if (zone) {
    const last = zone.curve.at(-1)!
    const cooling = temperatureCurve(lump, last.zoneC, COOLING_S, CURVE_POINTS)
    return [
      ...zone.curve.map(({ s, zoneC: c }) => ({ s, c })),
      ...cooling.slice(1).map(({ s, c }) => ({ s: last.s + s, c })),
    ]
  }
  const upS = heating.reaches ? heating.timeS! : heating.curve.at(-1)!.s
  const rising = heating.curve.filter(point => point.s < upS - 1e-6)
  const topC = heating.reaches ? Math.max(startC, targetC) : heating.curve.at(-1)!.c
  const cooling = temperatureCurve(lump, topC, COOLING_S, CURVE_POINTS).map(({ s, c }) => ({ s: upS + s, c }))
  return [...rising, ...cooling]
}

/** How each stand-in is set for the open job: what it would see on the bench. */
export function standInSetup(instrument: InstrumentId, job: Job | null, plan: JobPlan | null): Record<string, unknown> {
  const curve = job && plan ? partCurve(job, plan) : [{ s: 0, c: 20 }]
  switch (instrument) {
    case 'thermocouple':
      return { curve }
    case 'infrared':
      return { curve, roundC: curve[0]!.c }
    case 'caliper':
      return { sizeMm: job?.takeIn.wallMm.value ?? ASSUMED_WALL_MM }
    case 'scale':
      return { massG: plan?.['take-in'].data.body ? Math.round(plan['take-in'].data.body.massKg * 1000) : 500 }
    case 'gauge':
      return { startKPa: 20, volumeL: 2, leakSccm: 1.5, startC: 24, settlesC: 20 }
    case 'arc':
      return {
        setA: Math.max(1, Math.round(plan?.weld.data.setUp?.set.setA || 120)),
        gun: plan?.weld.data.setUp && !isTig(plan.weld.data.setUp.process) ? 'mig' : 'tig',
      }
  }
}
