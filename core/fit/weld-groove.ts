import { NoAnswer, type Step } from '../ask/question'

/** Less weld than this after facing is a skin, mm. Common practice, no source. */
export const LEAST_GROOVE_MM = 1.5

/**
 * Chamfers of bore and slug, and what is faced off after, where nothing else is said, mm. Common practice, no source.
 */
export const USUAL_CHAMFER_MM = 2.5
export const USUAL_FACED_MM = 0.5

export interface WeldGroove {
  deepMm: number
  wideMm: number
  areaMm2: number
  enough: boolean
  leastChamferMm: number
  working: Step[]
}

/**
 * The weld groove that the chamfers of slug and bore leave at a rim once it is faced: a vee of the two 45° chamfers,
 * cut down by the facing.
 * @throws NoAnswer where facing takes the whole groove away
 */
export function weldGroove(slugChamferMm: number, boreChamferMm: number, facedMm: number): WeldGroove {
  const [slug, bore] = [slugChamferMm - facedMm, boreChamferMm - facedMm]
  const deepMm = Math.max(slug, bore)
  if (deepMm <= 0)
    throw new NoAnswer(
      `facing ${facedMm} mm takes the whole groove of ${Math.max(slugChamferMm, boreChamferMm)} mm chamfers away: nothing holds the rim`,
    )
  const areaMm2 = (Math.max(0, slug) ** 2 + Math.max(0, bore) ** 2) / 2
  return {
    deepMm,
    wideMm: Math.max(0, slug) + Math.max(0, bore),
    areaMm2,
    enough: Math.min(slug, bore) >= LEAST_GROOVE_MM,
    leastChamferMm: facedMm + LEAST_GROOVE_MM,
    working: [
      {
        label: 'Weld left deep',
        formula: 'larger chamfer − facing',
        value: deepMm,
        unit: 'mm',
        source: 'geometry of 45° chamfers',
      },
      {
        label: 'Weld left across',
        formula: 'sum of what is left of both',
        value: Math.max(0, slug) + Math.max(0, bore),
        unit: 'mm',
        source: 'geometry of 45° chamfers',
      },
      {
        label: 'Section of it',
        formula: '½ (slug² + bore²)',
        value: areaMm2,
        unit: 'mm²',
        source: 'geometry of 45° chamfers',
      },
      {
        label: 'Least chamfer for this facing',
        formula: `facing + ${LEAST_GROOVE_MM} mm`,
        value: facedMm + LEAST_GROOVE_MM,
        unit: 'mm',
        source: 'common practice, no source',
      },
    ],
  }
}
