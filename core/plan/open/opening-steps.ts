import { said } from '../../job/fields/said'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import type { Job } from '../../job/job.schema'
import { PROTECTS } from '../../job/words.table'
import {
  BAKE_C,
  BAKE_MIN,
  CLEAN_CHECK_MIN,
  DEGREASE_MIN,
  EARLIER_REPAIR_MIN,
  EARTH_MIN,
  FIND_ENDS_MIN,
  FLUX_MIN,
  GROOVE_MIN_PER_CM3,
  PROTECT_MIN_EACH,
  STOP_HOLES_MIN,
  UNCOAT_MIN,
} from '../minutes.table'

export interface WorkStep {
  readonly id: string
  readonly text: string
  readonly why: string
  readonly minutes: number
  /** Runs by itself. */
  readonly unattended?: boolean
  /** What must not be done at this step. */
  readonly ban?: string
  /** Not passed until what it asks is seen. */
  readonly hold?: string
}

/** How an earlier repair comes out. Common practice, no source. */
const TAKE_OUT = {
  none: '',
  weld: 'Grind the old weld right off, to sound metal.',
  epoxy: 'Blast or burr all the epoxy out; do not burn it out indoors.',
  insert: 'Slit the insert on two sides and collapse it.',
  braze: 'Cut the brazed metal right away: fusion welding over it will not hold.',
} as const

/**
 * Opening up, in order: what is near, degrease, coating, earlier repair, ends, holes, groove, wipe, bake, wipe again,
 * earth (for an arc), look, flux (where the process asks it).
 * Order: common practice, no source.
 */
export function openingSteps(job: Job, removedCm3: number, process: ProcessId): WorkStep[] {
  const { takeIn, open } = job
  const soak = said(job, 'takeIn').soak
  const { needsAmps: arc, flux } = PROCESSES[process]
  const steps: WorkStep[] = takeIn.protect.map(id => ({
    id: `protect-${id}`,
    text: `${PROTECTS[id].name[0]!.toUpperCase()}${PROTECTS[id].name.slice(1)}: ${PROTECTS[id].how}.`,
    why: 'before dust, solvent or heat',
    minutes: PROTECT_MIN_EACH,
    ...('caution' in PROTECTS[id] ? { hold: 'done, and looked at' } : {}),
  }))
  steps.push({
    id: 'degrease',
    text: 'Degrease all over, in and out; rinse; dry.',
    why: 'oil ground in with a disc is worse than oil on top',
    minutes: DEGREASE_MIN[soak],
    ban: 'no chlorinated solvent, no brake or contact cleaner',
  })
  if (takeIn.coating !== 'none')
    steps.push({
      id: 'uncoat',
      text: `Take the ${takeIn.coating === 'paint' ? 'paint' : takeIn.coating === 'powder' ? 'powder coat' : takeIn.coating === 'plated' ? 'plating' : 'anodising'} off for 12 mm each side.`,
      why: 'coatings gas in the puddle and make fume',
      minutes: UNCOAT_MIN,
    })
  if (takeIn.earlierRepair !== 'none')
    steps.push({
      id: 'earlier',
      text: TAKE_OUT[takeIn.earlierRepair],
      why: 'an earlier repair comes out completely',
      minutes: EARLIER_REPAIR_MIN[takeIn.earlierRepair],
      hold: 'none of it left',
      ...(takeIn.earlierRepair === 'epoxy' ? { ban: 'no burning it out indoors' } : {}),
    })
  if (open.work === 'crack')
    steps.push({
      id: 'ends',
      text: 'Find both ends of the crack, on both sides; dye if in doubt.',
      why: 'damage reaches further than the first look',
      minutes: FIND_ENDS_MIN,
      hold: 'both ends seen',
    })
  if (
    open.work === 'crack' &&
    !open.closed &&
    (open.startsIn === 'tip' || open.endsIn === 'tip') &&
    said(job, 'open').stopHoleMm > 0
  )
    steps.push({
      id: 'stop-holes',
      text: 'Drill the stop-holes just past the tips.',
      why: 'the crack should show entering the hole on one side, clean metal on the other',
      minutes: STOP_HOLES_MIN,
      hold: 'clean metal on the far side of each hole',
    })
  if (open.work === 'none')
    return [
      ...steps,
      ...(soak === 'oil-soaked'
        ? [
            {
              id: 'bake',
              text: `Bake at ${BAKE_C} °C for an hour in an oven until no more smoke comes.`,
              why: 'drives oil and water out of the pores',
              minutes: BAKE_MIN,
              unattended: true,
              ban: 'no heat with seals in, or on a closed hollow',
              hold: 'no more smoke, no dark front',
            },
          ]
        : []),
    ]
  steps.push({
    id: 'groove',
    text: open.keepBreak
      ? 'Groove it, round-bottomed; leave the middle of the break as the locator.'
      : 'Groove it, round-bottomed, right through to sound metal.',
    why: 'aluminium wets a round groove better than a square slot',
    minutes: 5 + removedCm3 * GROOVE_MIN_PER_CM3,
    ban: 'no disc or burr that has touched steel',
    hold: 'no dark line left in the bottom',
  })
  steps.push({
    id: 'wipe',
    text: 'Wipe groove, 25 mm each side, and the rods with acetone or isopropyl; let it dry.',
    why: 'burr wax and fingers are dirt too',
    minutes: 3,
    ban: 'no arc or flame until it has dried',
  })
  if (soak === 'oily' || soak === 'oil-soaked') {
    if (soak === 'oil-soaked')
      steps.push({
        id: 'bake',
        text: `Bake at ${BAKE_C} °C for an hour in an oven, or torch it, flame always moving, to about ${BAKE_C} °C by stick until the dark damp front has gone and stays gone for five minutes.`,
        why: 'drives oil and water out of the pores',
        minutes: BAKE_MIN,
        unattended: true,
        ban: 'no heat with seals in, or on a closed hollow',
        hold: 'no more smoke, no dark front',
      })
    else
      steps.push({
        id: 'torch-out',
        text: `Torch the groove, flame always moving, to about ${BAKE_C} °C by stick until the dark damp front has gone.`,
        why: 'drives oil and water out of the pores',
        minutes: 5,
        hold: 'no dark front',
      })
    steps.push({
      id: 'wipe-again',
      text: 'Wipe again, warm, with a clean rag.',
      why: 'what the heat brought up must go',
      minutes: 2,
      hold: 'the rag stays clean',
    })
  }
  if (arc)
    steps.push({
      id: 'earth',
      text: 'Earth clamp on bright bare metal of the part itself, near the weld; tug it, and try the arc on scrap.',
      why: 'through paint or a bearing it burns what it crosses',
      minutes: EARTH_MIN,
      ban: 'no earth through a bearing, a seal face or paint',
      hold: 'bare metal under the clamp',
    })
  steps.push(
    arc
      ? {
          id: 'clean',
          text: 'Is it clean? Bright metal all over the groove, a white rag with acetone comes away white, and a short arc without rod makes a bright puddle with no specks.',
          why: 'dirt shows in the first puddle, when it is still cheap to go back',
          minutes: CLEAN_CHECK_MIN,
          hold: 'white rag, bright puddle',
        }
      : {
          id: 'clean',
          text: 'Is it clean? Bright metal all over the groove, brushed with stainless just before the flame, and a white rag with acetone comes away white.',
          why: 'a flame boils nothing out and breaks no oxide: what is left stays in the joint',
          minutes: CLEAN_CHECK_MIN,
          hold: 'white rag, bright metal',
        },
  )
  if (flux)
    steps.push({
      id: 'flux',
      text: 'Flux as a thin paste on groove and rod, at once before the heat.',
      why: 'it takes the oxide off; dry, it shields nothing',
      minutes: FLUX_MIN,
      ban: 'no bare hands and no bare eyes: flux burns',
    })
  return steps
}
