import type { Simulate } from '../simulate.schema'

interface Row {
  readonly name: string
  readonly losses: Partial<Simulate['losses']>
  readonly source: string
}

/**
 * What the part stands on, as contact through its bottom, W/m²K. Contact of a bare casting on a flat bench is known to
 * a factor of two at best; a fitted film says more. Common practice, no source, save where a row says otherwise.
 */
export const STANDS = {
  bench: {
    name: 'cold aluminium bench',
    losses: { benchWm2K: 150 },
    source: 'judgement: dry contact with air in it, 0.1–0.2 mm of gap',
  },
  strips: {
    name: 'two stainless strips',
    losses: { benchWm2K: 150, stripMm: 10 },
    source: 'judgement: as the bench, through two strips 10 mm wide',
  },
  board: { name: 'insulating board', losses: { benchWm2K: 5 }, source: 'judgement: 20 mm of board at 0.1 W/(m·K)' },
  copper: {
    name: 'copper backing',
    losses: { benchWm2K: 500, backingKg: 1.5 },
    source: 'judgement: clamped flat, warms with the part',
  },
  air: { name: 'hung, or in a clamp', losses: {}, source: 'air alone' },
} as const satisfies Record<string, Row>
export type StandId = keyof typeof STANDS

/** What a lid or blanket leaves of film and radiation: judgement, as one still layer of air and one shield. */
export const LID_SHARE = 0.4
