import { BRAZE_RODS } from '../../braze/rods.table'
import { PROCESSES, brazeRodOf } from '../../process/registry'
import { fuelOf } from '../../flame/fuels.table'
import { BRAZED_RUN_MM, torchReach } from '../../warm/torch-reach'
import { fuelL } from '../cost'
import type { Readied, ReadyLay } from '../readied'
import { NOTHING_USED } from '../step'
import type { Draft } from '../steps/maker'
import type { Bench } from './bench'

/** Rod and flame: the place brought to where the rod flows, then the rod fed. */
export function layByFlame(
  { job: { kit }, mass, heat, torch, addFor }: Bench,
  mend: Readied,
  { lay, means }: ReadyLay,
  draft: Omit<Draft, 'kind' | 'minutes'>,
  begins: boolean,
  ready: string | undefined,
): void {
  const { id } = mend.given
  const { alloy } = mend.bodies[0]
  const rod = brazeRodOf(lay.process)
  const flowC = rod ? BRAZE_RODS[rod].liquidusC + BRAZE_RODS[rod].overK : alloy.solidusC
  // What melts the metal itself with a flame wants one that is fed with oxygen.
  const own = PROCESSES[lay.process].fusion ? (kit.torches.find(({ gas }) => fuelOf(gas).oxygen) ?? torch) : torch
  const burnt = (minutes: number) => (own ? fuelL(own, minutes) : 0)
  const by = own ? { by: own.id } : {}
  const { cautions } = PROCESSES[lay.process]
  if (begins && own) {
    const reach = torchReach(own, mass, alloy, mend.work.wallMm, flowC, {
      startC: heat.c,
      runMm: Math.min(BRAZED_RUN_MM, lay.runMm),
      atEdge: mend.kind.atEdge ?? false,
      held: true,
    })
    // A length at a time, each brought to the heat that the rod flows at.
    const minutes = (reach?.minutes ?? 0) * Math.max(1, lay.runMm / BRAZED_RUN_MM)
    addFor(id, {
      code: 'flame-heat',
      kind: 'flame',
      stage: 'laying',
      minutes,
      hot: true,
      limitC: alloy.solidusC,
      ...by,
      uses: { ...NOTHING_USED, fuelL: burnt(minutes) },
      after: [ready],
      cautions,
    })
  }
  const minutes = means.flameMin / means.passes
  const uses = draft.uses ?? NOTHING_USED
  const limitC = Math.max(flowC, alloy.solidusC)
  heat.to(Math.max(heat.c, flowC))
  addFor(id, {
    ...draft,
    kind: 'flame',
    stage: 'laying',
    minutes,
    hot: true,
    limitC,
    ...by,
    uses: { ...uses, fuelL: burnt(minutes) },
    cautions,
  })
  heat.to(Math.max(heat.c, flowC))
}
