import { ALLOYS } from '../alloys.table'
import { compositionFit, limitsOf } from './composition-fit'

export interface Outside {
  element: string
  measured: number
  min: number
  max: number
}
export interface CompositionMatch {
  alloy: string
  family: string
  fit: number
  outside: Outside[]
}

/**
 * Alloys whose limits a reading fits, best first, each with the elements that lie outside them. Fillers are left out.
 */
export function compositionMatches(pct: Readonly<Record<string, number>>, count = 5): CompositionMatch[] {
  return ALLOYS.filter(alloy => alloy.form !== 'filler')
    .map((alloy): CompositionMatch => ({
      alloy: alloy.name,
      family: alloy.family,
      fit: compositionFit(pct, alloy),
      outside: Object.entries(pct)
        .filter(([element]) => element !== 'Al' || 'Al' in alloy.limits)
        .flatMap(([element, measured]) => {
          const [min, max] = limitsOf(alloy, element)
          return measured < min || measured > max ? [{ element, measured, min, max }] : []
        }),
    }))
    .sort((a, b) => b.fit - a.fit || a.outside.length - b.outside.length)
    .slice(0, count)
}
