/**
 * Most the part should stand at when the next pass begins, °C, by family; and why.
 * Heat-treatable wrought alloys and Al-Mg: AWS D1.2 (250 °F ≈ 120 °C; Al-Mg not held at 65–200 °C), from memory.
 * Castings: common practice, no source; soft as they are, it is the shape and what sits near that is kept.
 */
export const INTERPASS_C: Readonly<Record<string, { mostC: number, why: string }>> = {
  'wrought-2xxx': { mostC: 120, why: 'it goes soft beside the weld with every minute hot' },
  'wrought-6xxx': { mostC: 120, why: 'it goes soft beside the weld with every minute hot' },
  'wrought-7xxx-copper': { mostC: 95, why: 'it goes soft beside the weld with every minute hot' },
  'wrought-7xxx-weldable': { mostC: 120, why: 'it goes soft beside the weld with every minute hot' },
  'wrought-5xxx': { mostC: 120, why: 'held hot with much magnesium it later cracks in the wet' },
  'cast-al-mg': { mostC: 120, why: 'held hot with much magnesium it later cracks in the wet' },
  'cast-al-si-mg': { mostC: 175, why: 'a heat-treated casting goes soft past this' },
  'cast-al-cu': { mostC: 150, why: 'it goes soft, and it is hot-short' },
}
export const OTHER_INTERPASS = { mostC: 200, why: 'the puddle runs away and what is near it suffers' } as const
