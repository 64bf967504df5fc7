/** A picture from a phone as it is kept here, MB: common practice, no source. */
const PICTURE_MB = 1.5
/** Past this share of what there is, it is said; from this one on, it is no longer plenty. */
const NEARLY_FULL = 0.8
const PLENTY = 0.5

/**
 * How much room is left, in a person's words.
 * @param usedMB held now @param quotaMB all that there is; 0 where nobody knows
 */
export function roomWords(usedMB: number, quotaMB: number): { nearlyFull: boolean; words: string } {
  if (quotaMB <= 0) return { nearlyFull: false, words: 'The browser does not say how much room there is.' }
  const share = usedMB / quotaMB
  const pictures = Math.max(0, Math.floor((quotaMB - usedMB) / PICTURE_MB))
  const about = pictures >= 100 ? Math.floor(pictures / 100) * 100 : pictures
  if (share > NEARLY_FULL) return { nearlyFull: true, words: `Nearly full: room for about ${about} pictures more.` }
  return {
    nearlyFull: false,
    words: share < PLENTY ? 'Plenty of room.' : `More than half full: room for about ${about} pictures more.`,
  }
}
