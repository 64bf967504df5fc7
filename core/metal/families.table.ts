/**
 * The families a part may belong to, in the order of the contract.
 * `prior` is how often each comes over a general repair bench before anything is seen of the part: judgement.
 * `fusion` follows the welding chapters of ASM Handbook vol. 6 (recalled from memory).
 * `sampleAlloy` stands for the family where one composition is needed (cracking, filler).
 */
export type Fusion = 'good' | 'fair' | 'poor' | 'never'

export const FAMILY_IDS = [
  'wrought-1xxx',
  'wrought-2xxx',
  'wrought-3xxx',
  'wrought-5xxx',
  'wrought-6xxx',
  'wrought-7xxx-copper',
  'wrought-7xxx-weldable',
  'cast-al-si',
  'cast-al-si-mg',
  'cast-al-si-cu',
  'die-cast-al-si-cu',
  'cast-al-si-hypereutectic',
  'cast-al-mg',
  'cast-al-cu',
  'cast-al-zn',
  'magnesium',
  'zinc-alloy',
] as const

export type FamilyId = (typeof FAMILY_IDS)[number]

export interface Family {
  readonly id: FamilyId
  readonly name: string
  readonly prior: number
  readonly fusion: Fusion
  readonly examples: readonly string[]
  readonly sampleAlloy: string
}

const family = (
  id: FamilyId,
  name: string,
  prior: number,
  fusion: Fusion,
  examples: string[],
  sampleAlloy: string,
): Family => ({ id, name, prior, fusion, examples, sampleAlloy })

export const FAMILIES: readonly Family[] = [
  family('wrought-1xxx', 'pure aluminium sheet', 0.03, 'good', ['1100'], '1100'),
  family('wrought-2xxx', 'wrought Al-Cu', 0.04, 'poor', ['2014', '2017', '2024', '2219', '2618'], '2024'),
  family('wrought-3xxx', 'wrought Al-Mn sheet', 0.04, 'good', ['3003', '3004'], '3003'),
  family('wrought-5xxx', 'wrought Al-Mg', 0.12, 'good', ['5005', '5052', '5083', '5086', '5454'], '5052'),
  family('wrought-6xxx', 'wrought Al-Mg-Si', 0.2, 'good', ['6005A', '6060', '6061', '6063', '6082'], '6061'),
  family('wrought-7xxx-copper', 'wrought Al-Zn-Mg-Cu', 0.03, 'never', ['7075'], '7075'),
  family('wrought-7xxx-weldable', 'wrought Al-Zn-Mg, weldable', 0.02, 'good', ['7005', '7020'], '7005'),
  family('cast-al-si', 'cast Al-Si', 0.09, 'good', ['413', '443'], '443'),
  family('cast-al-si-mg', 'cast Al-Si-Mg', 0.15, 'good', ['356', 'A356', '357', '360'], '356'),
  family('cast-al-si-cu', 'cast Al-Si-Cu', 0.1, 'fair', ['308', '319', '332', '355'], '319'),
  family('die-cast-al-si-cu', 'die-cast Al-Si-Cu', 0.1, 'poor', ['380', 'A380', '383', '384'], '380'),
  family('cast-al-si-hypereutectic', 'cast hypereutectic Al-Si', 0.01, 'poor', ['390'], '390'),
  family('cast-al-mg', 'cast Al-Mg', 0.02, 'fair', ['514', '518', '535'], '514'),
  family('cast-al-cu', 'cast Al-Cu', 0.01, 'fair', ['201', '295'], '295'),
  family('cast-al-zn', 'cast Al-Zn', 0.01, 'fair', ['712', '713'], '712'),
  family('magnesium', 'magnesium casting', 0.02, 'never', ['AZ91D'], 'AZ91D'),
  family('zinc-alloy', 'zinc die casting', 0.01, 'never', ['AG40A'], 'AG40A'),
]

export function familyById(id: string): Family | undefined {
  return FAMILIES.find(entry => entry.id === id)
}
