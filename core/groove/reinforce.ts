import type { Step } from '../ask/question'

export interface Reinforced { stiffnessRatio: number, strengthRatio: number, working: Step[] }

/**
 * What a plate welded on does to a solid bar bent about its width axis.
 * Second moment and least section modulus of the built-up section over those of the bare bar; one material throughout.
 * Source: parallel-axis theorem. Exact for a section that acts as one; the welds must carry the shear between.
 */
export function reinforce(widthMm: number, heightMm: number, plateMm: number, plateWidthMm: number, sides: 1 | 2): Reinforced {
  const bar = { area: widthMm * heightMm, own: widthMm * heightMm ** 3 / 12, centre: 0 }
  const plate = (centre: number) => ({ area: plateWidthMm * plateMm, own: plateWidthMm * plateMm ** 3 / 12, centre })
  const offset = (heightMm + plateMm) / 2
  const parts = [bar, plate(offset), ...(sides === 2 ? [plate(-offset)] : [])]
  const area = parts.reduce((sum, part) => sum + part.area, 0)
  const axis = parts.reduce((sum, part) => sum + part.area * part.centre, 0) / area
  const secondMoment = parts.reduce((sum, part) => sum + part.own + part.area * (part.centre - axis) ** 2, 0)
  const furthest = Math.max(heightMm / 2 + plateMm - axis, axis + heightMm / 2 + (sides === 2 ? plateMm : 0))
  const stiffnessRatio = secondMoment / bar.own
  const strengthRatio = secondMoment / furthest / (widthMm * heightMm ** 2 / 6)
  return {
    stiffnessRatio, strengthRatio,
    working: [
      { label: 'Second moment, bare', formula: 'width × height³ ÷ 12', value: bar.own, unit: 'mm⁴', source: 'mechanics of materials' },
      { label: 'Neutral axis moves by', formula: 'Σ area × centre ÷ Σ area', value: axis, unit: 'mm', source: 'mechanics of materials' },
      { label: 'Second moment, built up', formula: 'Σ own + area × distance²', value: secondMoment, unit: 'mm⁴', source: 'parallel-axis theorem' },
      { label: 'Furthest fibre', formula: 'from the new axis', value: furthest, unit: 'mm', source: 'geometry' },
    ],
  }
}
