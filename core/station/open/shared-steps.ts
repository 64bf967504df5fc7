import { said } from '../../job/fields/said'
import { PROCESSES, isArc, type ProcessId } from '../../process/registry'
import type { Job } from '../../job/job.schema'
import { PROTECTS } from '../../job/words.table'
import { BAKE_C, BAKE_MIN, DEGREASE_MIN, EARLIER_REPAIR_MIN, PROTECT_MIN_EACH } from '../../mend/minutes.table'

export interface SharedStep {
  readonly id: string
  /** Before the mends are cut open, or after it and before the heat. */
  readonly when: 'before' | 'after'
  readonly text: string
  readonly why: string
  /** Null where it goes with setting up, or with the step before it. */
  readonly minutes: number | null
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

/** What is near is guarded, the part degreased, an earlier repair taken out. */
function before({ takeIn }: Job, soak: keyof typeof DEGREASE_MIN): SharedStep[] {
  return [
    ...takeIn.protect.map((id): SharedStep => ({
      id: `protect-${id}`,
      when: 'before',
      text: `${PROTECTS[id].name[0]!.toUpperCase()}${PROTECTS[id].name.slice(1)}: ${PROTECTS[id].how}.`,
      why: 'before dust, solvent or heat',
      minutes: PROTECT_MIN_EACH,
      ...('caution' in PROTECTS[id] ? { hold: 'done, and looked at' } : {}),
    })),
    {
      id: 'degrease',
      when: 'before',
      text: 'Degrease all over, in and out; rinse; dry.',
      why: 'oil ground in with a disc is worse than oil on top',
      minutes: DEGREASE_MIN[soak],
      ban: 'no chlorinated solvent, no brake or contact cleaner',
    },
    ...(takeIn.earlierRepair === 'none'
      ? []
      : [
          {
            id: 'earlier',
            when: 'before',
            text: TAKE_OUT[takeIn.earlierRepair],
            why: 'an earlier repair comes out completely',
            minutes: EARLIER_REPAIR_MIN[takeIn.earlierRepair],
            hold: 'none of it left',
            ...(takeIn.earlierRepair === 'epoxy' ? { ban: 'no burning it out indoors' } : {}),
          } as const,
        ]),
  ]
}

const BAKE: SharedStep = {
  id: 'bake',
  when: 'after',
  text: `Bake at ${BAKE_C} °C for an hour in an oven, or torch it, flame always moving, to about ${BAKE_C} °C by stick until the dark damp front has gone and stays gone for five minutes.`,
  why: 'drives oil and water out of the pores',
  minutes: BAKE_MIN,
  unattended: true,
  ban: 'no heat with seals in, or on a closed hollow',
  hold: 'no more smoke, no dark front',
}
const TORCH_OUT: SharedStep = {
  id: 'torch-out',
  when: 'after',
  text: `Torch where it is mended, flame always moving, to about ${BAKE_C} °C by stick until the dark damp front has gone.`,
  why: 'drives oil and water out of the pores',
  minutes: null,
  hold: 'no dark front',
}
const WIPE_AGAIN: SharedStep = {
  id: 'wipe-again',
  when: 'after',
  text: 'Wipe again, warm, with a clean rag.',
  why: 'what the heat brought up must go',
  minutes: null,
  hold: 'the rag stays clean',
}
const EARTH: SharedStep = {
  id: 'earth',
  when: 'after',
  text: 'Earth clamp on bright bare metal of the part itself, near the weld; tug it, and try the arc on scrap.',
  why: 'through paint or a bearing it burns what it crosses',
  minutes: null,
  ban: 'no earth through a bearing, a seal face or paint',
  hold: 'bare metal under the clamp',
}
const CLEAN_FOR_ARC: SharedStep = {
  id: 'clean',
  when: 'after',
  text: 'Is it clean? Bright metal wherever it is welded, a white rag with acetone comes away white, and a short arc without rod makes a bright puddle with no specks.',
  why: 'dirt shows in the first puddle, when it is still cheap to go back',
  minutes: null,
  hold: 'white rag, bright puddle',
}
const CLEAN_FOR_FLAME: SharedStep = {
  id: 'clean',
  when: 'after',
  text: 'Is it clean? Bright metal wherever rod is laid, brushed with stainless just before the flame, and a white rag with acetone comes away white.',
  why: 'a flame boils nothing out and breaks no oxide: what is left stays in the joint',
  minutes: null,
  hold: 'white rag, bright metal',
}
const FLUX: SharedStep = {
  id: 'flux',
  when: 'after',
  text: 'Flux as a thin paste on joint and rod, at once before the heat.',
  why: 'it takes the oxide off; dry, it shields nothing',
  minutes: null,
  ban: 'no bare hands and no bare eyes: flux burns',
}

/**
 * What is done once for the whole part round the mends' own opening, in order: what is near, degrease, earlier repair;
 * then, before the heat: bake or torch out, wipe again, earth for an arc, look, flux where a process asks it.
 * `processes` are those that lay metal; none, where nothing is laid. Order: common practice, no source.
 */
export function sharedSteps(job: Job, processes: readonly ProcessId[]): SharedStep[] {
  const { soak } = said(job, 'takeIn')
  const arc = processes.some(process => isArc(process))
  const flame = processes.some(process => !isArc(process))
  const driven = soak === 'oil-soaked' ? [BAKE, WIPE_AGAIN] : soak === 'oily' ? [TORCH_OUT, WIPE_AGAIN] : []
  return [
    ...before(job, soak),
    ...(processes.length ? driven : []),
    ...(arc ? [EARTH, CLEAN_FOR_ARC] : []),
    ...(flame && !arc ? [CLEAN_FOR_FLAME] : []),
    ...(processes.some(process => PROCESSES[process].flux) ? [FLUX] : []),
  ]
}
