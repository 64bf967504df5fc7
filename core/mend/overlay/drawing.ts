import type { Drawn, KindSketch } from '../kind'
import { lapped } from '../section/lapped'
import type { fields } from './fields'

export const sketch: KindSketch = { metal: 'M4 16h40v8H4z', fresh: 'M14 11h20v5H14z' }

export const section = ({ values, wallMm }: Drawn<typeof fields>) =>
  lapped('Across the patch', wallMm, values.patchMm ?? wallMm, values.wideMm)
