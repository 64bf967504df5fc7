import type { Job, Kit } from '../../job/job.schema'
import type { JobGiven } from '../../job-plan/job-given'
import { findAlloy } from '../../metal/find-alloy'
import { familyById } from '../../metal/families.table'
import { HOW_SURE, type HowSure } from '../../job/how-sure.table'
import { mattersOf, type Drawing, type Mattering, type Range } from '../../matters/look'
import { readingAt } from '../../matters/readings'
import { isUnsure, normalOf, type Unsure } from '../../matters/spread'
import { capital } from '../parts'
import { named, readingOf, tookWords } from '../decision-words'
import { planKnow } from '../know/know'
import { givenOfJob } from '../mends/whole-of'
import { standsInJob } from './stands-in-job'
import { unsureOf } from './unsure'

/** A reading that matters, as a station shows it. */
export interface ShownMatter {
  path: string
  label: string
  mend: string | null
  /** Whether the shop gave its mend that name, which is never translated. */
  isNamed: boolean
  /** What it is kept under in `call.sure`; null of what is sure by other means. */
  key: string | null
  sure: HowSure
  sharePct: number
  turnsPct: number
  measureMin: number
  worth: number
}
export interface ShownMatters {
  price: Range
  elapsedMin: Range
  chancePct: Range
  decision: { took: string; pct: number }[]
  readings: ShownMatter[]
  /** What to measure next; null where nothing turns any more. */
  next: ShownMatter | null
  drawn: number
}

/** As many draws as are steady to a hundredth of a price. */
const DRAWS = 300
/** A decision that turns less often than this is settled, of a hundred. Judgement. */
const TURNS_PCT = 4
/** A metal is known from this chance on. */
const KNOWN_AT = 0.97

/** What a reading is kept under where a job says how sure it is. */
export const sureKey = (mend: string | null, key: string): string => `${mend ?? 'part'}--${key}`

/** The part's metal by its odds, where it is not known. */
function metalOf(given: JobGiven): Unsure[] {
  const reading = readingAt(given, 'part.bodies[0].alloy')
  const families = given.part.bodies[0]?.families ?? []
  if (!reading || families.length < 2 || families.some(({ probability }) => probability > KNOWN_AT)) return []
  const values = families.flatMap(({ id, probability }) => {
    const alloy = findAlloy(familyById(id)?.sampleAlloy ?? '')
    return alloy ? [{ value: alloy, share: probability }] : []
  })
  const all = values.reduce((sum, { share }) => sum + share, 0)
  return [
    {
      reading,
      sure: { kind: 'one-of', values: values.map(one => ({ ...one, share: one.share / all })) },
      minutes: reading.usual.minutes,
    },
  ]
}

/** What is worth measuring next: what saves more than it costs, else what turns a decision oftenest. */
function nextOf(readings: readonly ShownMatter[], { ratePerHour }: Kit): ShownMatter | null {
  const saves = ({ worth, measureMin }: ShownMatter) => worth - (measureMin / 60) * ratePerHour
  const [first] = readings.toSorted((a, b) => saves(b) - saves(a))
  if (first && saves(first) > 0) return first
  const [turning] = readings.toSorted((a, b) => b.turnsPct - a.turnsPct)
  return turning && turning.turnsPct >= TURNS_PCT ? turning : null
}

/**
 * What the readings of a stored job make of its price, hours and chance, as stations show it; null where no mend can be
 * planned yet. Told after each draw how far it is.
 */
export function* shownMatters(job: Job, kit: Kit): Generator<Drawing, ShownMatters | null> {
  const { given, hasMends } = givenOfJob(job, kit, planKnow(job).data)
  if (!hasMends) return null
  const of = (path: string) => readingOf(path, job)
  const said = (path: string): HowSure => {
    const { mend, key } = of(path)
    return job.call.sure[sureKey(mend, key)] ?? 'measured'
  }
  const usual = unsureOf(given, standsInJob(job, given), []).map((unsure): Unsure => {
    const sure = HOW_SURE[said(unsure.reading.path)]
    return 'pct' in sure
      ? { ...unsure, sure: normalOf((sure.pct / 100) * Math.abs(Number(unsure.reading.now))) }
      : unsure
  })
  // What only a part in cells takes seconds for is left to the lump: what is drawn is a spread.
  const { onCells: _cells, ...lumped } = given
  const found: Mattering = yield* mattersOf(lumped, [...metalOf(given), ...usual], DRAWS)
  const measurable = new Set([...metalOf(given), ...usual].filter(isUnsure).map(({ reading }) => reading.path))
  const readings = found.readings.flatMap((matter): ShownMatter[] => {
    const { label, mend, key } = of(matter.path)
    const isMetal = matter.path.endsWith('.alloy')
    return measurable.has(matter.path) || said(matter.path) === 'exact'
      ? [
          {
            ...matter,
            label,
            mend: mend && named(job, mend),
            isNamed: !!job.mends.find(({ id }) => id === mend)?.name,
            key: isMetal ? null : sureKey(mend, key),
            sure: said(matter.path),
          },
        ]
      : []
  })
  return {
    price: found.price,
    elapsedMin: found.elapsedMin,
    chancePct: found.chancePct,
    decision: found.decision.map(({ took, pct }) => ({
      took: capital(tookWords('mend', took, { job, kind: null })),
      pct,
    })),
    readings,
    next: nextOf(readings, kit),
    drawn: found.drawn,
  }
}
