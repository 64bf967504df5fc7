import type { Step } from '../ask/question'
import type { Alloy } from '../metal/alloys.table'
import { FEED_PER_DIAMETER, HYPEREUTECTIC_SI_PCT, SURFACE_M_MIN, type CuttingTool } from './cutting.table'

export interface CutSpeed {
  rpm: number
  feedMmMin: number
  working: Step[]
}

/**
 * Spindle speed and feed: speed = 1000 v ÷ π d; feed by turn, by tooth for an end mill, by pitch for a tap.
 * Definitions; surface speeds from Machinery's Handbook, from memory, unless given.
 */
export function cutSpeed(
  tool: CuttingTool,
  diameterMm: number,
  alloy: Alloy,
  surfaceMMin: number | undefined,
  pitchMm: number | undefined,
  flutes: number,
): CutSpeed {
  const kind = (alloy.pct.Si ?? 0) >= HYPEREUTECTIC_SI_PCT ? 'hyper' : alloy.form === 'cast' ? 'cast' : 'wrought'
  const surface = surfaceMMin ?? SURFACE_M_MIN[tool][kind]
  const rpm = (1000 * surface) / (Math.PI * diameterMm)
  const perTurnMm = tool === 'tap' ? pitchMm! : FEED_PER_DIAMETER[tool] * diameterMm * (tool === 'endmill' ? flutes : 1)
  return {
    rpm,
    feedMmMin: rpm * perTurnMm,
    working: [
      {
        label: 'Surface speed',
        formula: surfaceMMin === undefined ? `${tool} in ${kind} metal, high-speed steel` : 'as given',
        value: surface,
        unit: 'm/min',
        source: surfaceMMin === undefined ? "Machinery's Handbook, from memory" : 'given',
      },
      { label: 'Spindle', formula: '1000 v ÷ π d', value: rpm, unit: 'rpm', source: 'definition' },
      {
        label: 'Feed',
        formula: tool === 'tap' ? 'pitch × turns' : tool === 'endmill' ? 'tooth × flutes × turns' : 'turn × turns',
        value: rpm * perTurnMm,
        unit: 'mm/min',
        source: tool === 'tap' ? 'definition' : "Machinery's Handbook, from memory",
      },
    ],
  }
}
