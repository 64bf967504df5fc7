import type { Step } from '../ask/question'

export interface Reinforced {
  stiffnessRatio: number
  strengthRatio: number
  /** How far the neutral axis moves towards the plate, mm. */
  axisMovesMm: number
  /**
   * An arm loaded at its tip, plate from its root: the share of the arm the plate must cover at least, or the bare bar
   * breaks first at the plate's end.
   */
  coverShare: number
  working: Step[]
}

/**
 * What a plate welded on does to a solid bar bent about its width axis.
 * Second moment and least section modulus of the built-up section over those of the bare bar; one material throughout.
 * Source: parallel-axis theorem. Exact for a section that acts as one; the welds must carry the shear between.
 */
export function reinforce(
  widthMm: number,
  heightMm: number,
  plateMm: number,
  plateWidthMm: number,
  sides: 1 | 2,
): Reinforced {
  const bar = { area: widthMm * heightMm, own: (widthMm * heightMm ** 3) / 12, centre: 0 }
  const plate = (centre: number) => ({ area: plateWidthMm * plateMm, own: (plateWidthMm * plateMm ** 3) / 12, centre })
  const offset = (heightMm + plateMm) / 2
  const parts = [bar, plate(offset), ...(sides === 2 ? [plate(-offset)] : [])]
  const area = parts.reduce((sum, part) => sum + part.area, 0)
  const axis = parts.reduce((sum, part) => sum + part.area * part.centre, 0) / area
  const secondMoment = parts.reduce((sum, part) => sum + part.own + part.area * (part.centre - axis) ** 2, 0)
  const furthest = Math.max(heightMm / 2 + plateMm - axis, axis + heightMm / 2 + (sides === 2 ? plateMm : 0))
  const stiffnessRatio = secondMoment / bar.own
  const strengthRatio = secondMoment / furthest / ((widthMm * heightMm ** 2) / 6)
  return {
    stiffnessRatio,
    strengthRatio,
    axisMovesMm: axis,
    coverShare: Math.max(0, 1 - 1 / strengthRatio),
    working: [
      {
        label: 'Second moment, bare',
        formula: 'width × height³ ÷ 12',
        value: bar.own,
        unit: 'mm⁴',
        source: 'mechanics of materials',
      },
      {
        label: 'Neutral axis moves by',
        formula: 'Σ area × centre ÷ Σ area',
        value: axis,
        unit: 'mm',
        source: 'mechanics of materials',
      },
      {
        label: 'Second moment, built up',
        formula: 'Σ own + area × distance²',
        value: secondMoment,
        unit: 'mm⁴',
        source: 'parallel-axis theorem',
      },
      { label: 'Furthest fibre', formula: 'from the new axis', value: furthest, unit: 'mm', source: 'geometry' },
      {
        label: 'Plate must cover',
        formula: '1 − 1 ÷ strength ratio: past its end the bare bar carries what moment is left',
        value: 100 * Math.max(0, 1 - 1 / strengthRatio),
        unit: '% of the arm',
        source: 'mechanics of materials; bending moment of a load at the tip falls in a straight line',
      },
    ],
  }
}
