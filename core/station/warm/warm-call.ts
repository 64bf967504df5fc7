import type { heatPreheat } from '../../heat/question'
import type { AnswerTo } from '../../ask/question'
import type { Kit } from '../../job/job.schema'
import type { Warmth } from '../../warm/decide'
import { count, figure, type Sentence, wantsCall } from '../parts'
import type { WarmZone } from './warm-on-part'

/** What warming comes to, for its call: as it was worked out, and what it could not be worked out for. */
export interface WarmTold {
  torch: Kit['torches'][number] | null
  targetC: number
  startC: number
  warmth: Warmth
  /** Each mend's place on the part's own cells. */
  zones: readonly WarmZone[]
  /** The part as one lump. */
  heating: AnswerTo<typeof heatPreheat> | null
  refused: string | null
  wants: readonly string[]
}

/** A zone that stays warm no longer than this wants the arc at once, s: judgement. */
const STRIKE_AT_ONCE_S = 60

/** The call where the part has a shape: what the flame on the mend does to its zone, or that it does not get there. */
function onPartCall(torch: string, { targetC, warmth: { reaches, where }, zones }: WarmTold): Sentence {
  if (!reaches) {
    const worst = zones.toSorted((a, b) => a.zoneC - b.zoneC)[0]!
    return [
      `The ${torch} never gets ${zones.length > 1 ? worst.name : 'the zone'} to `,
      figure(targetC, 'c'),
      '; held on it, it comes to ',
      figure(worst.zoneC, 'c', 'cells'),
      '.',
    ]
  }
  return [
    where === 'whole' ? 'Warm it to ' : zones.length > 1 ? 'Warm the zones to ' : 'Warm the zone to ',
    figure(targetC, 'c'),
    ': ',
    ...zones.flatMap((zone, n) => [
      ...(n > 0 ? [', '] : []),
      figure(zone.onS!, 's', 'cells'),
      ...(zones.length > 1 ? [` on ${zone.name}`] : []),
      ...(zone.lengths > 1 ? [` a length, ${count(zone.lengths, 'length')} in turn`] : []),
    ]),
    ` with the ${torch} swept along ${zones.length > 1 ? 'each' : 'it'}.`,
  ]
}

/** The call where the part is one lump, or only the spot under the flame is warmed. */
function lumpCall(
  torch: string,
  { targetC, startC, warmth }: WarmTold,
  heating: AnswerTo<typeof heatPreheat>,
): Sentence {
  if (warmth.reaches && warmth.where === 'zone')
    return [
      'Warm the zone to ',
      figure(targetC, 'c'),
      ': ',
      figure(60 * warmth.minutes, 's', 'zone'),
      ` with the ${torch} held on it.`,
    ]
  if (!heating.reaches)
    return [
      `The ${torch} never gets it to `,
      figure(targetC, 'c'),
      '; it settles at ',
      figure(heating.equilibriumC, 'c', 'preheat'),
      '.',
    ]
  if (startC >= targetC) return ['It is already at ', figure(targetC, 'c'), '; no torch.']
  return ['Warm it to ', figure(targetC, 'c'), ': ', figure(heating.timeS!, 's', 'preheat'), ` with the ${torch}.`]
}

/** How long the flame is on it, or why not. */
export function warmCall(told: WarmTold): Sentence {
  const { torch, warmth, zones, heating, refused, wants } = told
  if (torch && zones.length) return onPartCall(torch.name, told)
  if (torch && heating) return lumpCall(torch.name, told, heating)
  if (refused) return [`Not warmed: ${refused}.`]
  return warmth.need === 'none' ? ['No preheat: weld it as it lies, dry.'] : wantsCall(wants)
}

const TOO_SMALL = 'torch too small'
const wholeMinutes = (minutes: number) => Math.max(1, Math.round(minutes))

/** The same in a few words. */
export function warmShort({ torch, targetC, warmth, zones, heating, wants }: WarmTold): string {
  if (warmth.need === 'none') return 'no preheat'
  if (zones.length && !warmth.reaches) return TOO_SMALL
  if (!torch || !(heating || zones.length)) return `wants ${wants[0] ?? 'a lower target'}`
  const toC = Math.round(targetC)
  if (warmth.reaches && warmth.where === 'zone') return `zone to ${toC} °C in ${wholeMinutes(warmth.minutes)} min`
  if (zones.length) return `${toC} °C in ${wholeMinutes(warmth.minutes)} min`
  return heating?.reaches ? `${toC} °C in ${wholeMinutes(heating.timeS! / 60)} min` : TOO_SMALL
}

/** What a flame on one mend does to the part, as its cells have it. */
export function onPartWhy({ name, onS, farC, zoneC, hottestC, staysS, where, wholeS }: WarmZone): Sentence[] {
  const far: Sentence =
    onS === null
      ? [
          `Twenty minutes of flame on ${name}: the coldest of its zone comes to `,
          figure(zoneC, 'c', 'cells'),
          ', the far end of the part to ',
          figure(farC, 'c', 'cells'),
          '.',
        ]
      : [
          `With the flame on ${name} the far end of the part is then at `,
          figure(farC, 'c', 'cells'),
          where === 'whole'
            ? ': all of it is warm.'
            : wholeS === null
              ? ': it stays cool, only the zone is warm.'
              : ': only the zone is warm; held on, the far end follows after ',
          ...(where === 'zone' && wholeS !== null ? [figure(wholeS, 's', 'cells'), '.'] : []),
        ]
  const stays: Sentence[] =
    onS === null
      ? []
      : [
          [
            'Under the flame it is at ',
            figure(hottestC, 'c', 'cells'),
            '; the flame off, it is warm enough for ',
            figure(staysS, 's', 'cells'),
            staysS < STRIKE_AT_ONCE_S ? ': strike the arc at once.' : '.',
          ],
        ]
  return [far, ...stays]
}
