import type { Step } from '../ask/question'

export interface GasInput {
  flowLMin: number
  arcMin: number
  postflowS: number
  starts: number
  cylinderL?: number | undefined
}
export interface GasUse {
  litres: number
  cylinderShare?: number
  working: Step[]
}

/**
 * What is left of a cylinder after some arc: what it had (a full one where nobody looked) less the flow over the arc.
 * Post-flow is left out.
 */
export const gasLeftL = (
  { leftL, cylinderL }: { leftL: number | null; cylinderL: number },
  flowLMin: number,
  arcMin: number,
): number => Math.max(0, (leftL ?? cylinderL) - flowLMin * arcMin)

/**
 * Shielding gas: flow over arc time and every post-flow. `cylinderL` is gas at room pressure; the share is of a full
 * cylinder (1 = all of it).
 */
export function gasUse({ flowLMin, arcMin, postflowS, starts, cylinderL }: GasInput): GasUse {
  const litres = flowLMin * (arcMin + (starts * postflowS) / 60)
  const working: Step[] = [
    {
      label: 'Gas',
      formula: `${flowLMin.toPrecision(3)} L/min × (${arcMin.toPrecision(3)} min + ${starts} × ${postflowS} s)`,
      value: litres,
      unit: 'L',
      source: 'flow × time',
    },
  ]
  if (cylinderL === undefined) return { litres, working }
  const cylinderShare = litres / cylinderL
  return {
    litres,
    cylinderShare,
    working: [
      ...working,
      {
        label: 'Share of the cylinder',
        formula: `÷ ${cylinderL} L`,
        value: cylinderShare,
        unit: '',
        source: 'what the cylinder holds',
      },
    ],
  }
}
