import type { FamilyId } from '../families.table'

/**
 * What parts of each kind are commonly made from: weights relative to 1 for families not named. Judgement, from common
 * practice.
 */
export interface UseRow {
  readonly part: string
  readonly weights: Partial<Record<FamilyId, number>>
}

export const USES: readonly UseRow[] = [
  {
    part: 'gearbox or pump housing',
    weights: {
      'cast-al-si-mg': 14,
      'cast-al-si-cu': 16,
      'die-cast-al-si-cu': 10,
      'cast-al-si': 8,
      magnesium: 3,
      'cast-al-si-hypereutectic': 2,
    },
  },
  {
    part: 'cover, sump or lid that held oil',
    weights: { 'cast-al-si-cu': 14, 'die-cast-al-si-cu': 14, 'cast-al-si-mg': 10, 'cast-al-si': 9, magnesium: 3 },
  },
  {
    part: 'small thin-walled housing',
    weights: { 'die-cast-al-si-cu': 24, 'zinc-alloy': 8, 'cast-al-si': 6, magnesium: 6 },
  },
  {
    part: 'bracket, lug or pivot casting',
    weights: {
      'cast-al-si-mg': 14,
      'cast-al-si': 8,
      'cast-al-si-cu': 7,
      'die-cast-al-si-cu': 6,
      'cast-al-mg': 3,
      'cast-al-zn': 3,
    },
  },
  {
    part: 'pulley, handwheel or impeller',
    weights: { 'cast-al-si-mg': 12, 'cast-al-si': 9, 'cast-al-si-cu': 8, 'cast-al-mg': 2 },
  },
  {
    part: 'cylinder, piston or compressor head',
    weights: { 'cast-al-si-cu': 16, 'cast-al-si-mg': 10, 'cast-al-si-hypereutectic': 10, 'cast-al-cu': 3 },
  },
  {
    part: 'frame or ladder of welded tube',
    weights: { 'wrought-6xxx': 24, 'wrought-7xxx-weldable': 8, 'wrought-5xxx': 4 },
  },
  { part: 'extruded rail, trim or section', weights: { 'wrought-6xxx': 36, 'wrought-7xxx-weldable': 2 } },
  {
    part: 'tank, tray or sheet cover',
    weights: { 'wrought-5xxx': 22, 'wrought-3xxx': 16, 'wrought-1xxx': 7, 'wrought-6xxx': 3 },
  },
  { part: 'tread plate', weights: { 'wrought-5xxx': 14, 'wrought-3xxx': 8, 'wrought-6xxx': 14 } },
  {
    part: 'machined plate, jig or fixture',
    weights: { 'wrought-6xxx': 20, 'wrought-5xxx': 8, 'wrought-7xxx-copper': 8, 'wrought-2xxx': 7 },
  },
  {
    part: 'forged lever or highly loaded fitting',
    weights: { 'wrought-2xxx': 14, 'wrought-7xxx-copper': 12, 'wrought-6xxx': 14 },
  },
  { part: 'fitting for sea water', weights: { 'cast-al-mg': 18, 'wrought-5xxx': 18, 'cast-al-si': 10 } },
  {
    part: 'plated or ornamental fitting',
    weights: { 'zinc-alloy': 18, 'die-cast-al-si-cu': 8, 'wrought-6xxx': 3, 'cast-al-mg': 3 },
  },
]

export function useByPart(part: string): UseRow | undefined {
  return USES.find(row => row.part === part.trim().toLowerCase())
}
