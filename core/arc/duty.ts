import type { Step } from '../ask/question'

export interface Duty {
  dutyPct: number
  weldMin: number
  restMin: number
  working: Step[]
}

/**
 * Duty cycle at a current other than the rated one, by equal heating: duty × current² stays the same.
 * Source: IEC 60974-1 (10-minute window). Valid near the rating; below it the fan and idle losses make it cautious.
 */
export function dutyAt(ratedA: number, ratedPct: number, a: number, windowMin: number): Duty {
  const dutyPct = Math.min(100, ratedPct * (ratedA / a) ** 2)
  const weldMin = (windowMin * dutyPct) / 100
  return {
    dutyPct,
    weldMin,
    restMin: windowMin - weldMin,
    working: [
      {
        label: 'Duty',
        formula: `${ratedPct} % × (${ratedA} ÷ ${Math.round(a * 10) / 10})², at most 100 %`,
        value: dutyPct,
        unit: '%',
        source: 'IEC 60974-1: equal heating',
      },
      {
        label: 'Arc in a window',
        formula: `${windowMin} min × duty`,
        value: weldMin,
        unit: 'min',
        source: 'IEC 60974-1, 10-minute window',
      },
    ],
  }
}

/**
 * Minutes from first to last arc when some arc minutes are run at a duty: as long as its window allows at one go, then
 * each minute of arc with its share of rest.
 */
export function elapsedMin(arcMin: number, duty: { weldMin: number; restMin: number }): number {
  if (duty.restMin <= 0) return arcMin
  return arcMin + (Math.max(0, arcMin - duty.weldMin) * duty.restMin) / duty.weldMin
}
