import type { Job } from '../job/job.schema'
import type { GroovePlan } from '../groove/plan'
import { caution } from '../safety/cautions.table'
import { askFor } from './ask-core'
import { openingSteps, type WorkStep } from './opening-steps'
import { count, figure, type Sentence, type StationPlan } from './parts'

export interface OpenData { groove: GroovePlan | null, input: Record<string, unknown> | null, steps: WorkStep[], refused: string | null }

/** Walls thinner than this want a backing under the root: common practice, no source. */
const BACK_BELOW_MM = 4

function grooveInput({ open, takeIn }: Job, filler: string): Record<string, unknown> | null {
  if (!open.crackMm.value || !takeIn.wallMm.value) return null
  return {
    crackMm: open.crackMm.value, wallMm: takeIn.wallMm.value, sides: open.sides, closed: open.closed, filler,
    landMm: open.keepBreak ? open.landMm.value ?? 0 : 0,
    includedDeg: open.includedDeg.value ?? 70, rootRadiusMm: open.rootRadiusMm.value ?? 2, capMm: open.capMm.value ?? 1.5,
    stopHoleMm: open.stopHoleMm.value ?? 3.2, pastTipMm: open.pastTipMm.value ?? 4.8, fillerMm: open.fillerMm.value ?? 2.4,
  }
}

/** Open up: order of cleaning, stop-holes, groove with its passes, rods. `filler` must be an alloy of the table. */
export function planOpen(job: Job, filler: string): StationPlan<OpenData> {
  const { open, takeIn } = job
  const input = grooveInput(job, filler)
  const asked = input ? askFor<GroovePlan>('groove.plan', 'The groove and what fills it', input) : null
  const groove = asked?.ok ? asked.answer : null
  const refused = asked && !asked.ok ? asked.reason : null
  const steps = openingSteps(job, (groove ? groove.removedAreaMm2 * groove.runMm : 0) / 1000)
  const wants = [...(open.crackMm.value ? [] : ['the length of the crack']), ...(takeIn.wallMm.value ? [] : ['the wall'])]
  const call: Sentence = groove
    ? [open.sides === 2 ? 'Groove it from both sides, ' : 'Groove it from one side, ', figure(groove.depthMm, 'mm', 'groove'), ' deep at ', figure(open.includedDeg.value ?? 70, 'deg'), '; ', `${count(groove.passes, 'pass', 'passes')}, ${count(groove.rods, 'rod')}.`]
    : refused ? [`No groove: ${refused}.`] : [`Wants ${wants.join(' and ')}.`]
  const why: Sentence[] = []
  if (takeIn.soak === 'oil-soaked') why.push(['It held oil for long, so the first bead will bubble. A round-bottomed groove lets the arc sit on it and boil out before rod goes in.'])
  if (groove) {
    why.push(['Metal out ', figure(groove.removedG, 'g', 'groove'), ', metal in ', figure(groove.massG, 'g', 'groove'), ', arc about ', figure(groove.arcMin, 'min', 'groove'), '.'])
    if (groove.stopHoles.length) why.push(['Stop-holes ', figure(open.stopHoleMm.value ?? 3.2, 'mm'), ', ', figure(open.pastTipMm.value ?? 4.8, 'mm'), ' past each visible tip.'])
    why.push([open.keepBreak
      ? 'The middle of the break is kept: it is the jigsaw that holds the part in line. The back is ground out to sound weld afterwards.'
      : 'Cut right through for full penetration: locate it by jig, since nothing of the break is left to hold it.'])
  }
  const change: Sentence[] = []
  if (input && groove && open.sides === 1) {
    const both = askFor<GroovePlan>('groove.plan', 'From both sides', { ...input, sides: 2 })
    if (both.ok) change.push(['From both sides it would take ', figure(both.answer.massG, 'g'), ` in ${count(both.answer.passes, 'pass', 'passes')} and pull less to one side.`])
  }
  if (takeIn.wallMm.value && takeIn.wallMm.value < BACK_BELOW_MM) change.push(['A wall this thin wants copper behind it.'])
  else change.push(['Dye showing the crack past a hole: run the groove into the hole. A wall under ', figure(BACK_BELOW_MM, 'mm'), ': back it with copper.'])
  const own = asked?.ok ? asked.cautions : [caution('chlorinated-solvent'), caution('aluminium-dust')]
  return {
    id: 'open',
    short: groove ? `groove, ${count(groove.passes, 'pass', 'passes')}, ${count(groove.rods, 'rod')}` : refused ? 'no groove possible' : `wants ${wants[0] ?? 'readings'}`,
    wants, call, why, change,
    cautions: [
      ...own, caution('solvent-fire'),
      ...(takeIn.earlierRepair === 'epoxy' ? [caution('old-epoxy')] : []),
      ...(takeIn.coating !== 'none' ? [caution('coating-fume')] : []),
    ],
    workings: asked?.ok ? { groove: asked.working } : {},
    basis: { 'wall': takeIn.wallMm.typed, 'crack': open.crackMm.typed, 'soak': takeIn.soak ?? '', 'coating': takeIn.coating, 'earlier repair': takeIn.earlierRepair, 'filler': filler, 'passes': groove ? String(groove.passes) : '' },
    data: { groove, input, steps, refused },
  }
}
