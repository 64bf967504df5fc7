import type { Job, Kit } from '../../job/job.schema'
import type { HeatMap } from '../../warm/heat-map'
import { planJob } from '../plan-job'
import { planKnow } from '../know/know'
import { warmOnPart } from './warm-on-part'

/**
 * The part in colours under the flame, one of each zone that a job's plan warms, in their order. Kept apart from the
 * plan, which goes to the page at every key stroke: what was worked out for it is still at hand here.
 */
export function heatMaps(job: Job, kit: Kit): HeatMap[] {
  const { torch, targetC, startC, zones } = planJob(job, kit).warm.data
  if (!torch || !zones.length) return []
  const laid = zones.map(({ mend }) => mend)
  return warmOnPart(job, planKnow(job).data.alloy, torch, { toC: targetC }, startC, laid).map(({ map }) => map)
}
