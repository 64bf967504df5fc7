import { ROOM_C } from '../../arc/least-preheat'
import { BRAZE_RODS } from '../../braze/rods.table'
import { planBraze } from '../../braze/plan'
import { brazeRodOf, type ProcessId } from '../../process/registry'
import type { Kit } from '../../job/job.schema'
import type { Body } from '../../part/bodies'
import { BRAZED_RUN_MM, torchReach } from '../../warm/torch-reach'

/** A braze that this flame and metal do not bear; null where it goes. */
export function brazeTrouble(
  process: ProcessId,
  kit: Kit,
  body: Body,
  mass: { massG: number; skinMm2: number },
  serviceC: number,
  atEdge: boolean,
  runMm: number,
): string | null {
  const rod = brazeRodOf(process)
  const torch = kit.torches[0]
  if (!rod) return null
  if (!torch) return 'no-torch'
  const plan = planBraze({
    base: body.alloy,
    rod,
    massKg: mass.massG / 1000,
    areaMm2: mass.skinMm2,
    sourceW: torch.powerW,
    efficiencyPct: torch.efficiencyPct,
    ambientC: ROOM_C,
    serviceC,
  })
  if (plan.verdict === 'refused') return 'braze-refused'
  return torchReach(torch, mass, body.alloy, body.wallMm, BRAZE_RODS[rod].liquidusC + BRAZE_RODS[rod].overK, {
    atEdge,
    runMm: Math.min(BRAZED_RUN_MM, runMm),
    held: true,
  }) === null
    ? 'never-melts-rod'
    : null
}
