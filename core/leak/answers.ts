import { z } from 'zod'
import { of } from '../ask/output'

/** What `leak.decay` answers. */
export const leakDecay = z.strictObject({ sccm: of.sccm, kPaMin: of.kPaMin, holeUm: of.um, storedJ: of.j })
