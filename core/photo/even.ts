/** How evenly a face bears, in words: over 0.6 in every part of it, over 0.35 in most. Judgement. */
export const evenWords = (even: number): string =>
  even > 0.6 ? 'evenly' : even > 0.35 ? 'unevenly' : 'in one part of it only'
