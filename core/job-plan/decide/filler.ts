import type { Step } from '../../ask/question'
import { chooseFiller, type RankedFiller } from '../../call/filler'
import { remembered } from '../../ask/remembered'
import type { Alloy } from '../../metal/alloys.table'
import { findAlloy } from '../../metal/find-alloy'
import type { PartGiven } from '../job-given'

export interface FillerDecided {
  took: string
  /** The name that it is ranked by. */
  rankedAs: string
  verdict: RankedFiller['verdict'] | null
  ranked: readonly RankedFiller[]
  working: readonly Step[]
  because: string
}
export type DecideFiller = (a: Alloy, b: Alloy, wanted?: string) => FillerDecided
const USUAL_DILUTION_PCT = 30

interface FillerAsk {
  a: Alloy
  b: Alloy
  service: Parameters<typeof chooseFiller>[2]
  dilutionPct: number
}
/** Few metals meet in a shop, and the same pairs again at every key stroke. */
const chosen = remembered(200, ({ a, b, service, dilutionPct }: FillerAsk) => chooseFiller(a, b, service, dilutionPct))

/** A filler as it is ranked, which may be called by its rod, as an alloy of the table; undefined where it is none. */
export const rodOf = (filler: string): Alloy | undefined => findAlloy(filler.replace(/ rod$/, ''))

/** The filler for a pair of metals in this part's service: the one that was said, else the school's, else the first. */
export function fillerFor(
  part: PartGiven,
  { dilutionPct, magnesiumFirst } = { dilutionPct: USUAL_DILUTION_PCT, magnesiumFirst: false },
): DecideFiller {
  const service = {
    maxC: part.hotC,
    anodised: part.finishAfter === 'anodised',
    saltWater: part.saltWater,
    load: part.does,
    heatTreatAfter: false,
  }
  return (a, b, wanted) => {
    const { ranked: rows, working } = chosen({ a, b, service, dilutionPct })
    const bySchool = magnesiumFirst ? rows.find(row => row.filler === '5356' && row.verdict !== 'never') : undefined
    const found = wanted
      ? rows.find(row => rodOf(row.filler)?.name === rodOf(wanted)?.name)
      : (bySchool ?? rows.find(row => findAlloy(row.filler)) ?? rows[0])
    return {
      took: rodOf(wanted ?? found?.filler ?? '4043')?.name ?? '4043',
      rankedAs: found?.filler ?? wanted ?? '4043',
      verdict: found?.verdict ?? null,
      ranked: rows,
      working,
      because: wanted ? 'as-wanted' : bySchool ? 'school-magnesium-first' : 'ranked-first',
    }
  }
}
