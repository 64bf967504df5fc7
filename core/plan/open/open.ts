import type { z } from 'zod'
import type { AnswerTo } from '../../ask/question'
import { groovePlan } from '../../groove/question'
import { plateReinforce } from '../../groove/question'
import { said, type Said } from '../../job/fields/said'
import { PROCESSES, type ProcessId } from '../../call/process.table'
import type { Job } from '../../job/job.schema'
import { OPENING_WORKS } from '../../job/words.table'
import type { GrooveCut } from '../../groove/cut'
import { drawnGroove, type DrawnGroove } from '../../groove/drawn'
import { sideOrder } from '../../groove/sequence'
import { caution } from '../../safety/cautions.table'
import { askFor } from '../ask-core'
import { openingSteps, type WorkStep } from './opening-steps'
import { capital, count, figure, list, type Sentence, type StationPlan } from '../parts'
import { LANDS_SHARE, LAYS_BY } from '../../lay/process.table'
import { figures } from '../../quantity/show'

export interface OpenData {
  groove: AnswerTo<typeof groovePlan> | null
  steps: WorkStep[]
  refused: string | null
  /** As it is drawn. */
  drawn: DrawnGroove | null
  plate: (AnswerTo<typeof plateReinforce> & { coverMm: number | null }) | null
}

/** Walls thinner than this want a backing under the root: common practice, no source. */
const BACK_BELOW_MM = 4

interface Asking {
  cut: GrooveCut
  input: z.input<typeof groovePlan.input>
}

/** What is asked of the core for this work, or what it still wants. */
function askingOf(job: Job, filler: string): Asking | { wants: string[] } {
  const { open, takeIn } = job
  const sizes = said(job, 'open')
  const wants = (readings: Record<string, number | null>) =>
    Object.entries(readings).flatMap(([words, value]) => (value ? [] : [words]))
  const rod = { filler, fillerMm: sizes.fillerMm }
  if (open.work === 'none') return { wants: [] }
  const missing = wants({ 'the length of the crack': open.crackMm.value, 'the wall': takeIn.wallMm.value })
  if (missing.length) return { wants: missing }
  const wallMm = takeIn.wallMm.value!
  const landMm = open.keepBreak ? sizes.landMm : 0
  const shape = { includedDeg: sizes.includedDeg, rootRadiusMm: sizes.rootRadiusMm }
  const { closed } = open
  const cut = {
    wallMm,
    sides: open.sides,
    capMm: sizes.capMm,
    stopHoleMm: sizes.stopHoleMm,
    pastTipMm: sizes.pastTipMm,
  }
  const crackMm = open.crackMm.value!
  return {
    cut: { ...cut, ...shape, landMm, alongMm: crackMm, ends: closed ? null : [open.startsIn, open.endsIn] },
    input: { ...cut, ...rod, ...shape, landMm, crackMm, closed, startsIn: open.startsIn, endsIn: open.endsIn },
  }
}

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

/** The groove in a sentence, with what fills it: rods in passes, or a gun's wire, whose beads are the gun's own. */
function grooveCall(open: Said<'open'>, groove: AnswerTo<typeof groovePlan>, wireMassG: number | null): Sentence {
  const deep = figure(groove.depthMm, 'mm', 'groove')
  const rods = count(groove.rods, 'rod')
  const from = open.sides === 2 ? ' from both sides, ' : ' from one side, '
  const angle = figure(open.includedDeg, 'deg')
  const passes = count(groove.passes, 'pass', 'passes')
  return wireMassG === null
    ? ['Groove it', from, deep, ' deep at ', angle, '; ', `${passes}, ${rods}.`]
    : ['Groove it', from, deep, ' deep at ', angle, '; ', figure(wireMassG, 'g', 'groove'), ' of wire.']
}

/** Open up: order of cleaning, stop-holes, groove with its passes, rods. `filler` must be an alloy of the table. */
export function planOpen(job: Job, filler: string, process: ProcessId): StationPlan<OpenData> {
  const { open, takeIn } = job
  const sizes = said(job, 'open')
  const asking = askingOf(job, filler)
  const asked = 'wants' in asking ? null : askFor(groovePlan, 'The groove and what fills it', asking.input)
  const groove = asked?.ok ? asked.answer : null
  const refused = asked && !asked.ok ? asked.reason : null
  const steps = openingSteps(job, (groove ? groove.removedAreaMm2 * groove.runMm : 0) / 1000, process)
  const wants = 'wants' in asking ? asking.wants : []
  const drawn =
    groove && 'cut' in asking
      ? drawnGroove(asking.cut, sideOrder(open.sides, groove.passesPerSide), { keepBreak: open.keepBreak })
      : null
  const plated = plateOf(job)
  const plate = plated?.ok
    ? { ...plated.answer, coverMm: open.armLongMm.value ? plated.answer.coverShare * open.armLongMm.value : null }
    : null
  const gun = LAYS_BY[process] === 'wire'
  const wireMassG = (groove?.massG ?? 0) / LANDS_SHARE.wire
  const call: Sentence = groove
    ? grooveCall(sizes, groove, gun ? wireMassG : null)
    : refused
      ? [`No groove: ${refused}.`]
      : [`Wants ${list(wants)}.`]
  const why: Sentence[] = []
  if (takeIn.soak === 'oil-soaked' && open.work !== 'none')
    why.push([
      PROCESSES[process].needsAmps
        ? 'It held oil for long, so the first bead will bubble. A round-bottomed groove lets the arc sit on it and boil out before rod goes in.'
        : 'It held oil for long, and a flame boils none of it out: bake it until nothing more comes, or take the arc to it.',
    ])
  if (groove) {
    why.push([
      'Metal out ',
      figure(groove.removedG, 'g', 'groove'),
      ', metal in ',
      figure(groove.massG, 'g', 'groove'),
      ...(PROCESSES[process].needsAmps ? [', arc about ', figure(groove.arcMin, 'min', 'groove')] : []),
      '.',
    ])
    if (groove.stopHoles.length)
      why.push([
        'Stop-holes ',
        figure(sizes.stopHoleMm, 'mm'),
        ', ',
        figure(sizes.pastTipMm, 'mm'),
        ' past each visible tip.',
      ])
    why.push([
      open.keepBreak
        ? 'The middle of the break is kept: it is the jigsaw that holds the part in line. The back is ground out to sound weld afterwards.'
        : 'Cut right through for full penetration: locate it by jig, since nothing of the break is left to hold it.',
    ])
  }
  if (plate) {
    why.push([
      'A plate over the arm makes it ',
      figure(plate.strengthRatio, 'number', 'plate'),
      ' times as strong and ',
      figure(plate.stiffnessRatio, 'number', 'plate'),
      ' times as stiff, as far as it reaches.',
    ])
    why.push(
      plate.coverMm === null
        ? [
            'The stress moves to where the plate ends: taper it, and carry it past ',
            figure(100 * plate.coverShare, 'pct', 'plate'),
            ' of the arm from its root.',
          ]
        : [
            'The stress moves to where the plate ends: taper it, and carry it at least ',
            figure(plate.coverMm, 'mm', 'plate'),
            ' out from the root, or the bare arm breaks there first.',
          ],
    )
  }
  const change: Sentence[] = []
  if ('cut' in asking && groove && open.sides === 1) {
    const both = askFor(groovePlan, 'From both sides', { ...asking.input, sides: 2 })
    if (both.ok)
      change.push([
        'From both sides it would take ',
        figure(both.answer.massG, 'g'),
        ` in ${count(both.answer.passes, 'pass', 'passes')} and pull less to one side.`,
      ])
  }
  if (takeIn.wallMm.value && takeIn.wallMm.value < BACK_BELOW_MM)
    change.push(['A wall this thin wants copper behind it.'])
  else
    change.push([
      'Dye showing the crack past a hole: run the groove into the hole. A wall under ',
      figure(BACK_BELOW_MM, 'mm'),
      ': back it with copper.',
    ])
  const own = asked?.ok ? asked.cautions : [caution('chlorinated-solvent'), caution('aluminium-dust')]
  return {
    id: 'open',
    short: groove
      ? gun
        ? `groove, ${figures(wireMassG, 2)} g of wire`
        : `groove, ${count(groove.passes, 'pass', 'passes')}, ${count(groove.rods, 'rod')}`
      : refused
        ? 'no groove possible'
        : `wants ${wants[0] ?? 'readings'}`,
    wants,
    call,
    why,
    change,
    cautions: [
      ...own,
      caution('solvent-fire'),
      ...(takeIn.earlierRepair === 'epoxy' ? [caution('old-epoxy')] : []),
      ...(takeIn.coating !== 'none' ? [caution('coating-fume')] : []),
    ],
    clocks: steps
      .filter(step => step.unattended)
      .map(step => ({ name: capital(step.id.replaceAll('-', ' ')), seconds: Math.round(step.minutes * 60) })),
    workings: { ...(asked?.ok ? { groove: asked.working } : {}), ...(plated?.ok ? { plate: plated.working } : {}) },
    basis: {
      work: OPENING_WORKS[open.work],
      wall: takeIn.wallMm.typed,
      crack: open.crackMm.typed,
      soak: takeIn.soak ?? '',
      coating: takeIn.coating,
      'earlier repair': takeIn.earlierRepair,
      filler: filler,
      passes: groove ? String(groove.passes) : '',
    },
    data: { groove, steps, refused, drawn, plate },
  }
}
