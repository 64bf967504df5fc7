import type { AnswerTo } from '../../ask/question'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import { plateReinforce } from '../../groove/question'
import type { Job } from '../../job/job.schema'
import { caution } from '../../safety/cautions.table'
import { askFor } from '../ask-core'
import { capital, figure, type Sentence, type StationPlan } from '../parts'
import { sharedSteps, type SharedStep } from './shared-steps'

export interface OpenData {
  steps: SharedStep[]
  plate: (AnswerTo<typeof plateReinforce> & { coverMm: number | null }) | null
}

/** Walls thinner than this want a backing under the root: common practice, no source. */
const BACK_BELOW_MM = 4

/** A plate over a weak arm, where its sizes are given. */
function plateOf({ open }: Job) {
  const { armWideMm, armHighMm, plateMm } = open
  if (!armWideMm.value || !armHighMm.value || !plateMm.value) return null
  return askFor(plateReinforce, 'A plate over the arm', {
    widthMm: armWideMm.value,
    heightMm: armHighMm.value,
    plateMm: plateMm.value,
    sides: open.plateSides,
  })
}

const plateWhy = ({
  strengthRatio,
  stiffnessRatio,
  coverShare,
  coverMm,
}: NonNullable<OpenData['plate']>): Sentence[] => [
  [
    'A plate over the arm makes it ',
    figure(strengthRatio, 'number', 'plate'),
    ' times as strong and ',
    figure(stiffnessRatio, 'number', 'plate'),
    ' times as stiff, as far as it reaches.',
  ],
  coverMm === null
    ? [
        'The stress moves to where the plate ends: taper it, and carry it past ',
        figure(100 * coverShare, 'pct', 'plate'),
        ' of the arm from its root.',
      ]
    : [
        'The stress moves to where the plate ends: taper it, and carry it at least ',
        figure(coverMm, 'mm', 'plate'),
        ' out from the root, or the bare arm breaks there first.',
      ],
]

/**
 * Open up, for the whole part: what is done once round the mends' own opening, and a plate over a weak arm. `processes`
 * are those that lay the mends.
 */
export function planOpen(job: Job, processes: readonly ProcessId[]): StationPlan<OpenData> {
  const { open, takeIn } = job
  const steps = sharedSteps(job, processes)
  const plated = plateOf(job)
  const plate = plated?.ok
    ? { ...plated.answer, coverMm: open.armLongMm.value ? plated.answer.coverShare * open.armLongMm.value : null }
    : null
  const arc = processes.some(process => PROCESSES[process].needsAmps)
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
      ...(plate ? plateWhy(plate) : []),
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
    workings: plated?.ok ? { plate: plated.working } : {},
    basis: {
      wall: takeIn.wallMm.typed,
      soak: takeIn.soak ?? '',
      coating: takeIn.coating,
      'earlier repair': takeIn.earlierRepair,
    },
    data: { steps, plate },
  }
}
