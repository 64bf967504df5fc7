import type { Caution } from '../ask/question'
import { declaredAt } from '../job/fields/sections'
import type { Basis, BasisValue, Job } from '../job/job.schema'
import { ids, inOrder, mendBasis, readingAt } from '../job/rests-on'
import type { StationId } from '../job/stations.table'
import type { Declared } from '../job/fields/declared'
import { kindOf } from '../mend/registry'
import { showText } from '../quantity/show'
import type { UnitKey } from '../quantity/units.table'
import { READS } from './reads.table'
import type { Part, Sentence } from './parts'

export interface Change {
  readonly what: string
  readonly before: string
  readonly after: string
}

/** What was decided, by code: for what a settled station remembers. */
export type Outcomes = Readonly<Record<string, BasisValue>>

const OUTCOME = 'is.'
const MENDS = 'mends'
const CAUTIONS = 'cautions'
const FIGURES = 'figures'
const SHOWS_MENDS: ReadonlySet<StationId> = new Set(['open', 'weld', 'rebuild'])
/** As many digits of a headline's figures as are told. */
const TOLD = 3

/** A sentence as plain text, in one system of units whoever reads it. */
export const plainSentence = (sentence: Sentence): string =>
  sentence
    .map(part =>
      typeof part === 'string' ? part : 'words' in part ? part.words : showText(part.figure, part.unit, 'metric'),
    )
    .join('')

const figureOf = (part: Part): string[] =>
  typeof part === 'object' && 'figure' in part ? [`${Number(part.figure.toPrecision(TOLD))}${part.unit}`] : []

/** Readings that only rebuilding asks, which say nothing of how a mend is opened or laid. */
const onlyRebuilt =
  (kind: string) =>
  (key: string): boolean => {
    const field = kindOf(kind).fields[key]
    return field?.at === 'rebuild' || field?.ofWay !== undefined
  }

/**
 * What a station rests on, by values: the readings it goes by in their own units, what was decided by its code, the
 * figures of its headline, its cautions by their codes. No sentence and no name is in it.
 */
export function basisOf(
  job: Job,
  id: StationId,
  outcomes: Outcomes,
  call: Sentence,
  cautions: readonly Caution[],
): Basis {
  return {
    ...Object.fromEntries(READS[id].map(path => [path, readingAt(job, path)])),
    ...(SHOWS_MENDS.has(id)
      ? {
          [MENDS]: ids(job.mends.map(mend => mend.id)),
          ...Object.assign(
            {},
            ...job.mends.map(mend =>
              mendBasis(mend, kindOf(mend.kind).fields, id === 'rebuild' ? () => false : onlyRebuilt(mend.kind)),
            ),
          ),
        }
      : {}),
    ...Object.fromEntries(Object.entries(outcomes).map(([what, value]) => [`${OUTCOME}${what}`, value])),
    [FIGURES]: inOrder(call.flatMap(figureOf)),
    [CAUTIONS]: ids(cautions.map(({ code }) => code)),
  }
}

/** What a field is called and how a value of it is said. */
interface Told {
  label: string
  unit?: UnitKey | undefined
  words?: Readonly<Record<string, string>> | undefined
}

const OWN: Readonly<Record<string, string>> = {
  [MENDS]: 'the mends',
  [FIGURES]: 'figures of the call',
  [CAUTIONS]: 'cautions',
}
const OUTCOME_WORDS: Readonly<Record<string, string>> = {
  metal: 'metal',
  alloy: 'alloy',
  known: 'whether the metal is known',
  decision: 'the decision',
  process: 'process',
  filler: 'filler',
  because: 'the reason',
  warmth: 'warming',
  torch: 'torch',
  reaches: 'whether it gets there',
  machine: 'machine',
  mends: 'what the mends come to',
  checks: 'checks',
  open: 'what is open',
  price: 'price',
  threads: 'threads given back',
}
const MEND_WORDS: Readonly<Record<string, string>> = {
  kind: 'kind',
  opened: 'opened already',
  order: 'order of its sides',
  lays: 'lays',
  'other.alloy': 'metal of the other piece',
  'other.wallMm': 'wall of the other piece',
}

function toldBy(path: string, job: Job): Told {
  const own = OWN[path]
  if (own) return { label: own }
  if (path.startsWith(OUTCOME))
    return { label: OUTCOME_WORDS[path.slice(OUTCOME.length)] ?? path.slice(OUTCOME.length) }
  const of = /^mends\.#([^.]+)\.(.+)$/.exec(path)
  if (!of) {
    const field: Declared | undefined = declaredAt(path)
    return { label: field?.label ?? path, unit: field?.unit, words: field?.words }
  }
  const [, id, key = ''] = of
  const mend = job.mends.find(one => one.id === id)
  const name = mend ? mend.name || kindOf(mend.kind).name : 'a mend that is gone'
  const reading = key.startsWith('readings.') ? key.slice('readings.'.length) : null
  const field = reading && mend ? kindOf(mend.kind).fields[reading] : undefined
  return {
    label: `${name}: ${field?.label ?? MEND_WORDS[key] ?? reading ?? key}`,
    unit: field?.unit,
    words: field?.words,
  }
}

function said(value: BasisValue | undefined, { unit, words }: Told): string {
  if (value === null || value === undefined) return ''
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return unit ? showText(value, unit, 'metric') : String(value)
  return value
    .split(' ')
    .map(id => words?.[id] ?? id.replaceAll('-', ' '))
    .join(', ')
}

/**
 * What differs between the basis a station was settled on and the basis now, in the words of today. What it did not
 * know then is not held against it.
 */
export function changesSince(settled: Basis, now: Basis, job: Job): Change[] {
  return Object.keys(settled)
    .filter(path => settled[path] !== (now[path] ?? null))
    .map(path => {
      const told = toldBy(path, job)
      return { what: told.label, before: said(settled[path], told), after: said(now[path], told) }
    })
}
