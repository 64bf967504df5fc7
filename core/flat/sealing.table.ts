/**
 * Unevenness a joint bears between its bolts, mm, by what seals it. Common practice and judgement; the maker's own
 * limit comes first.
 */
export const SEALS = {
  metal: { name: 'metal on metal, no sealant', bearsMm: 0.02, sealant: false },
  'o-ring': { name: 'ring in a groove', bearsMm: 0.05, sealant: false },
  'coated-steel': { name: 'coated steel gasket', bearsMm: 0.05, sealant: false },
  fibre: { name: 'paper or fibre gasket', bearsMm: 0.1, sealant: true },
  anaerobic: { name: 'sealant that sets without air', bearsMm: 0.15, sealant: true },
  silicone: { name: 'silicone sealant', bearsMm: 0.35, sealant: true },
} as const
export type SealId = keyof typeof SEALS
/** Sealant smeared with a gasket bridges this much more, mm. Common practice, no source. */
export const SEALANT_BRIDGES_MM = 0.1
/** A face worse than this is milled before it is lapped, mm. Common practice, no source. */
export const MILL_FROM_MM = 0.25
/** Lapping by hand longer than this is no longer sensible, min. Judgement. */
export const LONG_LAP_MIN = 45
/** A sheet of abrasive is spent after about this much metal, mm³. Common practice, no source. */
export const SHEET_MM3 = 900
