import { isArc, type ProcessId } from '../../process/registry'
import type { Job } from '../../job/job.schema'
import { caution } from '../../safety/cautions.table'
import { capital, figure, type StationPlan } from '../parts'
import { sharedSteps, type SharedStep } from './shared-steps'

export interface OpenData {
  steps: SharedStep[]
}

/** Walls thinner than this want a backing under the root: common practice, no source. */
const BACK_BELOW_MM = 4

/**
 * Open up, for the whole part: what is done once round the mends' own opening. `processes` are those that lay the
 * mends.
 */
export function planOpen(job: Job, processes: readonly ProcessId[]): StationPlan<OpenData> {
  const { takeIn } = job
  const steps = sharedSteps(job, processes)
  const arc = processes.some(process => isArc(process))
  return {
    id: 'open',
    short: '',
    wants: [],
    call: [],
    why: [
      ...(takeIn.soak === 'oil-soaked' && processes.length
        ? [
            [
              arc
                ? 'It held oil for long, so the first bead will bubble. A round-bottomed groove lets the arc sit on it and boil out before rod goes in.'
                : 'It held oil for long, and a flame boils none of it out: bake it until nothing more comes, or take the arc to it.',
            ],
          ]
        : []),
    ],
    change:
      takeIn.wallMm.value && takeIn.wallMm.value < BACK_BELOW_MM
        ? [['A wall this thin wants copper behind it.']]
        : [['A wall under ', figure(BACK_BELOW_MM, 'mm'), ': back it with copper.']],
    cautions: [
      caution('chlorinated-solvent'),
      caution('aluminium-dust'),
      caution('solvent-fire'),
      ...(takeIn.earlierRepair === 'epoxy' ? [caution('old-epoxy')] : []),
      ...(takeIn.coating !== 'none' ? [caution('coating-fume')] : []),
    ],
    clocks: steps
      .filter(step => step.unattended)
      .map(step => ({ name: capital(step.id.replaceAll('-', ' ')), seconds: Math.round(step.minutes! * 60) })),
    workings: {},
    outcomes: {},
    data: { steps },
  }
}
