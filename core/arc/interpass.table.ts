import type { Alloy } from '../metal/alloys.table'

interface Interpass {
  readonly mostC: number
  readonly why: string
}
/** Nothing in the metal minds: judgement. */
const SHAPE: Interpass = { mostC: 200, why: 'the puddle runs away and what is near it suffers' }
const SOFTENS = 'it goes soft beside the weld with every minute hot'
const CRACKS_LATER = 'held hot with much magnesium it later cracks in the wet'

/**
 * Most the part should stand at when the next pass begins, °C, by family; and why.
 * Heat-treatable wrought alloys and Al-Mg: AWS D1.2 (250 °F ≈ 120 °C; Al-Mg not held at 65–200 °C), from memory.
 * Castings: common practice, no source; soft as they are, it is the shape and what sits near that is kept.
 */
export const INTERPASS_C: Readonly<Record<Alloy['family'], Interpass>> = {
  'wrought-1xxx': SHAPE,
  'wrought-3xxx': SHAPE,
  'wrought-2xxx': { mostC: 120, why: SOFTENS },
  'wrought-6xxx': { mostC: 120, why: SOFTENS },
  'wrought-7xxx-copper': { mostC: 95, why: SOFTENS },
  'wrought-7xxx-weldable': { mostC: 120, why: SOFTENS },
  'wrought-5xxx': { mostC: 120, why: CRACKS_LATER },
  'cast-al-mg': { mostC: 120, why: CRACKS_LATER },
  'cast-al-si-mg': { mostC: 175, why: 'a heat-treated casting goes soft past this' },
  'cast-al-cu': { mostC: 150, why: 'it goes soft, and it is hot-short' },
  'cast-al-si': SHAPE,
  'cast-al-si-cu': SHAPE,
  'die-cast-al-si-cu': SHAPE,
  'cast-al-si-hypereutectic': SHAPE,
  'cast-al-zn': SHAPE,
  magnesium: SHAPE,
  'zinc-alloy': SHAPE,
  'filler-al-si': SHAPE,
  'filler-al-mg': SHAPE,
  'filler-al-cu': SHAPE,
}
