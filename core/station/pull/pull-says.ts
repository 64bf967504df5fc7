import type { Job, Kit } from '../../job/job.schema'
import type { Warped } from '../../warp/run'
import type { Watched } from '../../warp/watch'
import { BOW } from '../rebuild/foretold-face'
import { count, figure, type Sentence } from '../parts'
import { WAYS, type PullBench, type Way } from './ways.table'

interface Pulled {
  id: Way['id']
  stages: readonly { watched: readonly Watched[] }[]
}
/** Inherent strain is known to about a third either way (published scatter): so are the figures. */
export const BAND = 0.35
/** What moves less than this no bench measures, mm. */
const STAYS_MM = 0.002
/** A way that saves less than this is not worth another set-up. */
const WORTH = 0.1

/** The one figure of a watched thing: flatness, ovality, greatest miss, or how far it moved, mm. */
export function figureOf(watched: Watched): number {
  if (watched.kind === 'face') return watched.minimumZoneMm
  if (watched.kind === 'bore') return Math.max(watched.ovalMm, watched.shiftMm)
  return watched.kind === 'holes' ? watched.largestMissMm : Math.hypot(...watched.movedMm)
}
const endOf = (way: Pulled) => way.stages.at(-1)!.watched.map(figureOf)

/** The way that keeps what is watched truest, by its figures against the planned one's; null where none is worth it. */
export function bestWay(
  ways: readonly Pulled[],
  watched: PullBench['watched'],
): { id: Way['id']; savesPct: number } | null {
  const [planned] = ways
  if (!planned || !watched.length) return null
  const asPlanned = endOf(planned)
  // What stays put as it is planned has nothing to save; what another way moves counts against it.
  const moves = asPlanned.some(value => value >= STAYS_MM)
  if (!moves) return null
  const scored = ways.slice(1).map(way => {
    const ends = endOf(way)
    const shares = asPlanned.flatMap((value, n) =>
      value < STAYS_MM && ends[n]! < STAYS_MM ? [] : [ends[n]! / Math.max(value, STAYS_MM)],
    )
    return { id: way.id, share: shares.reduce((sum, value) => sum + value, 0) / shares.length }
  })
  const best = scored.toSorted((a, b) => a.share - b.share)[0]
  return best && best.share < 1 - WORTH ? { id: best.id, savesPct: 100 * (1 - best.share) } : null
}

/** What was foretold of what may not move, for the stations after the weld; nothing where nobody asked. */
export function foretoldWhy(foretold: Job['weld']['foretold'], measuredFaceMm: number | null): Sentence[] {
  if (!foretold.length) return []
  const said = foretold.flatMap(({ name, mm }, n): Sentence => [n ? ', ' : '', `${name} `, figure(mm * 1000, 'um')])
  return [
    measuredFaceMm === null
      ? ['Foretold of the pull: ', ...said, '.']
      : ['Foretold of the pull: ', ...said, '; measured on the face ', figure(measuredFaceMm * 1000, 'um'), '.'],
  ]
}

/** What this shop's own faces came out over what was foretold, where that was learnt and is gone by. */
export function bowSentence(learnt: Kit['learnt']): Sentence | null {
  const found = learnt?.ratios[BOW]
  if (!found) return null
  const span = found.low !== null && found.high !== null ? ` (${found.low.toFixed(2)} to ${found.high.toFixed(2)})` : ''
  return [
    'Faces of this shop came out ',
    figure(found.ratio, 'number'),
    ` times as bowed as foretold${span}, from ${count(found.jobs, 'finished job')}: reckon with that.`,
  ]
}

/** What the planned weld does to what may not move, as one sentence. */
export function pullSentence(planned: Pulled, watched: PullBench['watched']): Sentence {
  const ends = endOf(planned)
  const parts = ends.flatMap((value, n): Sentence => [
    n ? ', ' : '',
    ...(value < STAYS_MM
      ? [`${watched[n]!.name} under `, figure(STAYS_MM * 1000, 'um')]
      : [
          `${watched[n]!.name} `,
          figure(value * 1000 * (1 - BAND), 'um'),
          ' to ',
          figure(value * 1000 * (1 + BAND), 'um'),
        ]),
  ])
  return ['Laid as planned it pulls: ', ...parts, '.']
}

const AXES = ['along its length', 'across it', 'up and down'] as const
/** Where it is left pulling hardest, and which way a crack would run there. */
function tensionSentence({ atMm, along }: Warped['tension'], runsMm: number): Sentence {
  const way = along.map(Math.abs)
  const axis = way.indexOf(Math.max(...way))
  // How hard is not told: pulled from all sides at once, it stands far over the yield of a cell this large.
  const [x, y, z] = atMm.map(Math.round) as [number, number, number]
  return [
    `Left pulling hardest ${AXES[axis]!}, at about `,
    figure(x, 'mm'),
    ' along, ',
    figure(y, 'mm'),
    ' across, ',
    figure(z, 'mm'),
    ' up: a crack would next run square to that',
    ...(runsMm > 0 ? [', about ', figure(Math.round(runsMm), 'mm'), ' before the pull has halved'] : []),
    '.',
  ]
}

/** What of the stress left is told: where it pulls hardest, and how far a crack would run from there. */
export interface LeftStress {
  tension: Warped['tension']
  crack: { lengthMm: number } | null
}

/** What holding it costs while it is held, and what is left of that let go; nothing where nothing was held. */
export function heldSentence(
  way: { id: Way['id']; meanMPa: number; heldMeanMPa: number | null },
  planned: { meanMPa: number },
): Sentence | null {
  if (way.heldMeanMPa === null) return null
  return [
    `Held (${WAYS[way.id]}), the metal carries `,
    figure(way.heldMeanMPa, 'mPa'),
    ' in the mean while it is held and ',
    figure(way.meanMPa, 'mPa'),
    ' let go; laid free, ',
    figure(planned.meanMPa, 'mPa'),
    '. Clamped and cold it is under the most: bolted down where it came out bowed, it is so for good.',
  ]
}

/** Which limits it passes, and what would keep it truer. */
export function pullWhy(
  planned: Pulled,
  watched: PullBench['watched'],
  best: { id: Way['id']; savesPct: number } | null,
  left: LeftStress | null = null,
): Sentence[] {
  const ends = endOf(planned)
  const over = watched.flatMap(({ name, limitMm }, n): Sentence[] =>
    limitMm !== null && ends[n]! > limitMm
      ? [
          [
            `The ${name} is wanted within `,
            figure(limitMm * 1000, 'um'),
            ': leave metal on it and face it after the weld.',
          ],
        ]
      : [],
  )
  return [
    ...over,
    ...(best
      ? [[`Truest: ${WAYS[best.id]}, which saves about `, figure(best.savesPct, 'pct'), ' of it.'] as Sentence]
      : []),
    ...(best?.id === 'slow'
      ? [['At that heat a T5 or T6 temper loses strength: not where all of it counts.'] as Sentence]
      : []),
    ...(left && left.tension.mpa > 0 ? [tensionSentence(left.tension, left.crack?.lengthMm ?? 0)] : []),
    [
      'An estimate of small strains, good for comparing ways and for the size of a bow; a third either way on every figure.',
    ],
  ]
}
