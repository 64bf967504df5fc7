import type { FamilyId } from '../families.table'

/**
 * Designations found cast or stamped on parts, as patterns, and the family and alloy each names.
 * Sources, recalled from memory: Aluminum Association; EN 1706 (EN AC-), EN 573-3 (EN AW-); BS 1490 (LM) and the older
 * British wrought letters; JIS H 5202 and H 5302 (AC, ADC); NF A57 (A-S…); GB/T 1173 (ZL); ASTM B94 (AZ, AM); EN 1774
 * and EN 12844 (ZL, ZP).
 */
export interface MarkRow {
  readonly pattern: RegExp
  readonly family: FamilyId
  readonly alloy?: string
  readonly system: string
}

const mark = (system: string, pattern: RegExp, family: FamilyId, alloy?: string): MarkRow => ({
  system,
  pattern,
  family,
  ...(alloy ? { alloy } : {}),
})

export const MARKS: readonly MarkRow[] = [
  mark('EN 1706', /\bAC[- ]?421\d\d\b|\bALSI7MG/, 'cast-al-si-mg', 'A356'),
  mark('EN 1706', /\bAC[- ]?420\d\d\b/, 'cast-al-si-mg', '356'),
  mark('EN 1706', /\bAC[- ]?43\d\d\d\b|\bALSI(9|10)MG/, 'cast-al-si-mg', '360'),
  mark('EN 1706', /\bAC[- ]?44\d\d\d\b|\bALSI1[1-3](?!CU)/, 'cast-al-si', '413'),
  mark('EN 1706', /\bAC[- ]?45\d\d\d\b|\bALSI[56]CU/, 'cast-al-si-cu', '319'),
  mark('EN 1706', /\bAC[- ]?46\d\d\d\b|\bALSI(8|9|11)CU/, 'die-cast-al-si-cu', '380'),
  mark('EN 1706', /\bAC[- ]?47\d\d\d\b|\bALSI12CU/, 'die-cast-al-si-cu', '384'),
  mark('EN 1706', /\bAC[- ]?48100\b|\bALSI17CU/, 'cast-al-si-hypereutectic', '390'),
  mark('EN 1706', /\bAC[- ]?21\d\d\d\b|\bALCU4/, 'cast-al-cu', '201'),
  mark('EN 1706', /\bAC[- ]?51\d\d\d\b|\bALMG[359]\b/, 'cast-al-mg', '514'),
  mark('EN 1706', /\bAC[- ]?71\d\d\d\b|\bALZN\d+(SI|MG)/, 'cast-al-zn', '712'),
  mark('BS 1490', /\bLM ?25\b/, 'cast-al-si-mg', '356'),
  mark('BS 1490', /\bLM ?9\b/, 'cast-al-si-mg', '360'),
  mark('BS 1490', /\bLM ?(6|18|20)\b/, 'cast-al-si', '413'),
  mark('BS 1490', /\bLM ?(4|16|21|22|27)\b/, 'cast-al-si-cu', '319'),
  mark('BS 1490', /\bLM ?(2|24|26)\b/, 'die-cast-al-si-cu', '380'),
  mark('BS 1490', /\bLM ?(28|29|30)\b/, 'cast-al-si-hypereutectic', '390'),
  mark('BS 1490', /\bLM ?(5|10)\b/, 'cast-al-mg', '514'),
  mark('BS 1490', /\bLM ?(11|12)\b/, 'cast-al-cu', '295'),
  mark('JIS H 5302', /\bADC ?(10|11|12)Z?\b/, 'die-cast-al-si-cu', '383'),
  mark('JIS H 5302', /\bADC ?3\b/, 'cast-al-si-mg', '360'),
  mark('JIS H 5302', /\bADC ?1\b/, 'cast-al-si', '413'),
  mark('JIS H 5302', /\bADC ?[56]\b/, 'cast-al-mg', '518'),
  mark('JIS H 5302', /\bADC ?14\b/, 'cast-al-si-hypereutectic', '390'),
  mark('JIS H 5202', /\bAC ?4(C|CH|A)\b/, 'cast-al-si-mg', '356'),
  mark('JIS H 5202', /\bAC ?3A\b/, 'cast-al-si', '413'),
  mark('JIS H 5202', /\bAC ?(2A|2B|4B|4D)\b/, 'cast-al-si-cu', '319'),
  mark('JIS H 5202', /\bAC ?7A\b/, 'cast-al-mg', '514'),
  mark('JIS H 5202', /\bAC ?1[AB]\b/, 'cast-al-cu', '295'),
  mark('NF A57', /\bA-?S(7|10|9)G\b/, 'cast-al-si-mg', '356'),
  mark('NF A57', /\bA-?S1[23]\b/, 'cast-al-si', '413'),
  mark('NF A57', /\bA-?S(9|10|12)U\d?\b/, 'die-cast-al-si-cu', '380'),
  mark('NF A57', /\bA-?U4G1?\b/, 'wrought-2xxx', '2017'),
  mark('GB/T 1173', /\bZL ?1(01|04|14|15|16)A?\b/, 'cast-al-si-mg', '356'),
  mark('GB/T 1173', /\bZL ?102\b/, 'cast-al-si', '413'),
  mark('GB/T 1173', /\bZL ?1(05|06|07|11)A?\b/, 'cast-al-si-cu', '355'),
  mark('GB/T 1173', /\bZL ?20\d\b/, 'cast-al-cu', '295'),
  mark('GB/T 1173', /\bZL ?30\d\b/, 'cast-al-mg', '514'),
  mark('GB/T 1173', /\bZL ?40\d\b/, 'cast-al-zn', '712'),
  mark('ASTM B94', /\b(AZ|AM|AS|AE|ZK|ZE|EZ|QE|WE) ?\d\d[A-E]?\b|\bMGAL|\bEN[- ]?MC/, 'magnesium', 'AZ91D'),
  mark('EN 12844', /\bZP ?(3|5|0400|0410)\b|\bZL ?04\d\d\b|\bZNAL4|\bAG40A\b|\bAC41A\b/, 'zinc-alloy', 'AG40A'),
  mark('older British wrought', /\bHE? ?30\b/, 'wrought-6xxx', '6082'),
  mark('older British wrought', /\bHE? ?20\b/, 'wrought-6xxx', '6061'),
  mark('older British wrought', /\bHE? ?9\b/, 'wrought-6xxx', '6063'),
  mark('older British wrought', /\bN[HSE]? ?8\b/, 'wrought-5xxx', '5083'),
  mark('older British wrought', /\bNS ?4\b/, 'wrought-5xxx', '5052'),
  mark('older British wrought', /\bHE? ?15\b/, 'wrought-2xxx', '2014'),
]
