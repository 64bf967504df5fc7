import type { MendWork } from '../mend/kind'
import { MOST_RUN_MM } from '../warm/torch-reach'
import type { PlannedMend } from './job-planned'

type Work = Pick<MendWork, 'laid'>

/** The longest run laid at one place, mm: a ring or a face is no longer to a flame than it is wide. */
export const runOf = (work: Work): number => Math.min(MOST_RUN_MM, Math.max(0, ...work.laid.map(one => one.runMm)))
/** The face of all that is laid, mm². */
export const faceOf = ({ laid }: Work): number => laid.reduce((total, one) => total + one.runMm * one.wideMm, 0)
export const longestRun = ({ laid }: Work): PlannedMend['run'] => {
  const [longest] = laid.toSorted((a, b) => b.runMm - a.runMm)
  return longest ? { goes: longest.goes ?? 'straight', longMm: longest.runMm } : null
}
