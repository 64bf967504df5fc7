import { chooseFiller } from '../call/filler'
import type { Alloy } from '../metal/alloys.table'
import { findAlloy } from '../metal/find-alloy'
import type { PartGiven } from './job-given'

export type BestFiller = (a: Alloy, b: Alloy) => string
const USUAL_DILUTION_PCT = 30

/**
 * The best filler for a pair of metals in this part's service; asked once a pair, since a part has few metals and may
 * have many mends.
 */
export function bestFillerFor(part: PartGiven): BestFiller {
  const known = new Map<string, string>()
  return (a, b) => {
    const pair = `${a.name} ${b.name}`
    const found =
      known.get(pair) ??
      chooseFiller(
        a,
        b,
        {
          maxC: part.hotC,
          anodised: part.finishAfter === 'anodised',
          saltWater: part.saltWater,
          load: part.does,
          heatTreatAfter: false,
        },
        USUAL_DILUTION_PCT,
      ).ranked.find(row => findAlloy(row.filler))?.filler ??
      '4043'
    known.set(pair, found)
    return found
  }
}
