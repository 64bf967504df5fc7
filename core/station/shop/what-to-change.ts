import { COMEBACKS, type Comeback } from '../../job/words.table'
import { BOW } from '../rebuild/foretold-face'
import { fisherAtLeast } from '../../shop/fisher'
import type { Lessons, TracedComeback } from './lessons'

/** What most often lies behind a part that came back so, and what is done about it. Common practice, no source. */
const BEHIND: Readonly<Record<Comeback, string>> = {
  'cracked-again':
    'the tip was not found or not drilled, the crater was left open, or the filler cracks in that metal: dye before the first pass, a stop-hole past the tip, run the crater out',
  beside:
    'the metal beside was softened or held too stiffly: less heat, more preheat where it is thick, free it to shrink',
  leaks:
    'dirt or pores left in the root: bake longer, grind till it is bright, prove it under pressure before it leaves',
  'came-off': 'the rebuilt metal was too short or too soft: look at the engaged length and at the alloy of the slug',
  cause: 'the cause was told, not seen to: do not hand over before it is cured, or say so in the limits',
  elsewhere: 'the part is worn out elsewhere too: look over all of it at take-in, and say so before the price',
}

/** Rarer by luck than this, a trait that came back parts share is spoken of; and how many it takes. */
const LUCK = 0.1
const LEAST_SHARED = 2
/** Minutes are spoken of where even the low end of their interval is above this. */
const LONGER = 1.05
/** A shop's chances are off where they differ by more points than this. */
const POINTS_OFF = 5

const TRAITS = { soak: 'oil in the metal', process: 'process', family: 'metal', filler: 'filler' } as const

/** Something a shop's own records say to change, and what it rests on. */
export interface Change {
  key: string
  words: string
  because: string
}

/** Traits that parts which came back share more often than luck would have it. */
function shared(comebacks: readonly TracedComeback[], held: readonly Lessons['held'][number][]): Change[] {
  const first = comebacks.map(({ first: job }) => job)
  return (Object.keys(TRAITS) as (keyof typeof TRAITS)[]).flatMap(trait =>
    [...new Set(first.flatMap(job => job[trait] ?? []))].flatMap(value => {
      const back = first.filter(job => job[trait] === value).length
      const stood = held.filter(job => job[trait] === value).length
      const luck = fisherAtLeast(back, first.length, stood, held.length)
      return back >= LEAST_SHARED && luck < LUCK
        ? [
            {
              key: `${trait}-${value}`,
              words: `Take more care, or promise less, where ${TRAITS[trait]} is ${value.replaceAll('-', ' ')}`,
              because: `${back} of ${first.length} that came back, ${stood} of ${held.length} that held; luck alone would do that ${luck < 0.01 ? 'less than 1' : Math.round(luck * 100)} time in 100`,
            },
          ]
        : []
    }),
  )
}

/**
 * What to change, by the shop's own records: why parts came back and what they share, what takes longer than planned,
 * and whether chances are told too hopefully. Only what the numbers bear.
 */
export function whatToChange(lessons: Pick<Lessons, 'traced' | 'held' | 'learnt' | 'odds'>): Change[] {
  const { traced, held, learnt, odds } = lessons
  const whys = [...new Set(traced.flatMap(({ why }) => why ?? []))].map(why => ({
    why,
    jobs: traced.filter(each => each.why === why).length,
  }))
  return [
    ...whys
      .toSorted((a, b) => b.jobs - a.jobs)
      .map(({ why, jobs }) => ({
        key: why,
        words: `Came back because it ${COMEBACKS[why].startsWith('the ') ? `broke again, ${COMEBACKS[why]}` : COMEBACKS[why]}: ${BEHIND[why]}`,
        because: `${jobs} of ${traced.length} that came back`,
      })),
    ...shared(traced, held),
    ...learnt
      .filter(({ ratio }) => ratio.low !== null && ratio.low > LONGER)
      .map(({ key, name, ratio }) => ({
        key,
        words:
          key === BOW
            ? `Faces bow ${ratio.ratio.toFixed(2)} times what is foretold: leave more on them, or lay fewer and colder beads`
            : `${name}: plan ${ratio.ratio.toFixed(2)} times what the tables say, or find where it goes`,
        because: `${ratio.jobs} jobs ${key === BOW ? 'came out' : 'took'} between ${ratio.low!.toFixed(2)} and ${ratio.high!.toFixed(2)} times; drawn towards the tables' while they are few`,
      })),
    ...(odds && Math.abs(odds.points) > POINTS_OFF
      ? [
          {
            key: 'odds',
            words:
              odds.points < 0
                ? `Chances are told ${Math.round(-odds.points)} points too hopefully here: say less, or look for what fails`
                : `Chances are told ${Math.round(odds.points)} points too low here: more could be taken on`,
            because: `${odds.jobs} jobs against what was foretold of them`,
          },
        ]
      : []),
  ]
}
