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
export function bestFillerFor(
  part: PartGiven,
  { dilutionPct, magnesiumFirst } = { dilutionPct: USUAL_DILUTION_PCT, magnesiumFirst: false },
): BestFiller {
  const known = new Map<string, string>()
  return (a, b) => {
    const pair = `${a.name} ${b.name}`
    const before = known.get(pair)
    if (before !== undefined) return before
    const ranked = chooseFiller(
      a,
      b,
      {
        maxC: part.hotC,
        anodised: part.finishAfter === 'anodised',
        saltWater: part.saltWater,
        load: part.does,
        heatTreatAfter: false,
      },
      dilutionPct,
    ).ranked.filter(row => findAlloy(row.filler))
    const bySchool = magnesiumFirst ? ranked.find(row => row.filler === '5356' && row.verdict !== 'never') : undefined
    const found = (bySchool ?? ranked[0])?.filler ?? '4043'
    known.set(pair, found)
    return found
  }
}
