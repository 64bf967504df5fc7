import type { Drawn, KindSketch } from '../kind'
import { lapped } from '../section/lapped'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 15h40v9H4z', fresh: 'M10 9h28v6H10z' }

export const section = ({ values, wallMm }: Drawn<typeof fields>) =>
  lapped('Across the plate', wallMm, values.plateMm, values.wideMm, values.sides)
