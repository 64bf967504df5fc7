import { ASSUMED_LONG_MM, ASSUMED_WALL_MM, ASSUMED_WIDE_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import type { GuardVerdict, HeatVerdict } from '../../heat/bench/verdict'
import type { Changed } from '../../heat/bench/changes'
import { heatSetupSchema, type HeatSetup } from '../../heat/bench/setup.schema'
import type { Surroundings } from '../../heat/bench/to-simulate'
import type { PlaceKind } from '../../heat/bench/places.table'
import type { Job, Kit } from '../../job/job.schema'
import { showText } from '../../quantity/show'
import { mm, storedPlace } from '../../quantity/stored'
import { airC } from '../../warm/air'
import { spreadsToMm, type Torch } from '../../warm/torch-reach'
import { figure, list, type Part, type Sentence } from '../parts'
import { WARMED_ON, type WarmZone } from './warm-on-part'

/**
 * Cells through a wall: a whole number, so that its mass is right on them. At 2.5 a 6 mm lug came out 4.8 mm thick, and
 * 187 °C where 1.5 mm cells have 148 and 3 mm ones 152.
 */
const CELLS_A_WALL = 2
/** A change smaller than this is not worth a sentence. */
const TOLD_SHARE = 0.07
/** Heating this much longer than it takes is said, */
const LONG_SHARE = 1.5
/** where the metal then stays warm longer than laying it takes, s: judgement. */
const LONG_WARM_S = 120
const round1 = (value: number) => Math.round(value * 10) / 10
/** What is protected at Take in, and the kind of place it is on the heat bench. */
export const GUARDED: Partial<Record<Job['takeIn']['protect'][number], PlaceKind>> = {
  'lip-seal': 'seal',
  'fluoro-seal': 'fluoro-seal',
  bush: 'bush',
  'finished-bore': 'bearing-seat',
  'finished-face': 'finished-face',
}

/** What Warm decided: how warm, with which torch, and where and how long the flame is on for it. */
export interface WarmDecided {
  readonly targetC: number
  readonly torch: (Torch & { id: string }) | null
  readonly warmth: { readonly need: string; readonly reaches: boolean; readonly minutes: number }
  readonly zones: readonly Pick<WarmZone, 'mend' | 'path' | 'face' | 'onS'>[]
}

/** Where Warm asks for no flame, a minute of it shows where heat goes in this part, s. */
const LOOK_S = 60
/** A flame is timed to so many seconds; one of less than a minute to a second: it would be on half as long again. */
const CLOCK_S = 5
const clockS = (onS: number) => (onS < LOOK_S ? Math.ceil(onS) : CLOCK_S * Math.ceil(onS / CLOCK_S))

/** How long the flame is on as the bench begins, s: as long as Warm says, on the first of its zones. */
function flameS({ warmth: { need, reaches, minutes }, zones: [zone] }: WarmDecided): number {
  const onS = zone ? zone.onS : reaches ? 60 * minutes : null
  return need === 'none' || !onS ? LOOK_S : clockS(onS)
}

/** The flame as Warm sweeps it along the first of its zones. */
const sweptAlong = ({ path, face }: Pick<WarmZone, 'path' | 'face'>) => ({
  kind: 'swept' as const,
  face,
  at: storedPlace(path[0]!),
  to: storedPlace(path.at(-1)!),
  via: path.slice(1, -1).map(place => [...place]),
})

/**
 * A set-up to start from on the part as it is, with what Warm decided: its torch, for its time, on strips, swept where
 * Warm sweeps it; without a place on the part held on the first mend marked, else on the middle of a quarter's top;
 * guards at the far side where nothing is marked.
 */
export function firstSetup(job: Job, decided: WarmDecided): HeatSetup {
  const { lengthMm, widthMm, heightMm, wallMm } = job.takeIn
  const [length, width, wall] = [
    lengthMm.value ?? ASSUMED_LONG_MM,
    widthMm.value ?? ASSUMED_WIDE_MM,
    wallMm.value ?? ASSUMED_WALL_MM,
  ]
  const high = heightMm.value ?? wall
  const { marks } = job.shape
  const onS = flameS(decided)
  const mended = marks.find(mark => mark.kind === 'mend')
  const zone = mended?.at ?? { x: mm(length / 4), y: mm(width / 2), z: mm(high) }
  const guards = job.takeIn.protect
    .flatMap((id, n) =>
      GUARDED[id]
        ? [{ id: `${id}-${n}`, kind: GUARDED[id], at: { x: mm(length - wall / 2), y: mm(width / 2), z: mm(high) } }]
        : [],
    )
    .slice(0, 3)
  const [first] = decided.zones
  return heatSetupSchema.parse({
    cellMm: mm(Math.max(1, round1(wall / CELLS_A_WALL))),
    heat: {
      torch: decided.torch?.id ?? '',
      face: mended?.face ?? 'top',
      at: zone,
      to: { ...zone, x: mm(length / 2) },
      ...(decided.torch && { radiusMm: mm(spreadsToMm(decided.torch)) }),
      ...(first && sweptAlong(first)),
    },
    onS: { typed: showText(onS, 's', 'metric'), value: onS },
    stand: WARMED_ON,
    places: marks.length ? [] : [{ id: 'weld-zone', kind: 'weld-zone', at: zone }, ...guards],
  })
}

/** What a set-up takes from its job and the kit. */
export function surroundingsOf(
  job: Job,
  kit: Kit,
  setup: HeatSetup,
  alloy: string,
  targetC: number,
  trianglesMm?: number[],
): Surroundings {
  const torch =
    kit.torches.find(entry => entry.id === setup.heat.torch) ??
    kit.torches.find(entry => entry.id === job.warm.torch) ??
    kit.torches[0] ??
    null
  const startC = said(job, 'warm').startC
  return {
    alloy,
    startC,
    ambientC: airC(startC),
    targetC,
    trianglesMm,
    torch: torch && { powerW: torch.powerW, efficiencyPct: torch.efficiencyPct, filmWm2K: torch.fitted?.filmWm2K },
  }
}

const guardSentence = (guard: GuardVerdict): Sentence =>
  guard.state === 'over'
    ? [
        `The ${guard.name} passes its `,
        figure(guard.limitC, 'c'),
        ' after ',
        figure(guard.overS!, 's'),
        ' and comes to ',
        figure(guard.hottestC, 'c'),
        ': out with it, or heat otherwise.',
      ]
    : [
        `The ${guard.name} comes to `,
        figure(guard.hottestC, 'c'),
        guard.state === 'near' ? ', close to its ' : ', under its ',
        figure(guard.limitC, 'c'),
        '.',
      ]

/** What a run says, as the bench says it: the headline first. */
export function heatSentences(verdict: HeatVerdict, targetC: number, onS: number): { call: Sentence; why: Sentence[] } {
  const over = verdict.guards.filter(guard => guard.state === 'over')
  const risk = over.length
    ? `, but the ${list(over.map(guard => guard.name))} ${over.length > 1 ? 'are' : 'is'} lost`
    : verdict.guards.length
      ? ', and the guards live'
      : ''
  const call: Sentence =
    verdict.zoneC === null
      ? ['Say where the weld zone is, and this says when it is ready.']
      : verdict.readyS === null
        ? [
            'It never gets to ',
            figure(targetC, 'c'),
            ': the weld zone comes to ',
            figure(verdict.zoneC, 'c'),
            ' in the time given.',
          ]
        : ['Ready after ', figure(verdict.readyS, 's'), ` on this set-up${risk}.`]
  const why: Sentence[] = verdict.guards.map(guardSentence)
  if (verdict.readyS !== null && verdict.readyS > onS) why.unshift(['It gets there only after the heat is off.'])
  if (verdict.readyS !== null && onS > LONG_SHARE * verdict.readyS && (verdict.warmForS ?? 0) > LONG_WARM_S)
    why.unshift([
      'Heated on for ',
      figure(onS, 's'),
      ' it comes to ',
      figure(verdict.zoneC!, 'c'),
      ': take the flame away, or spread it, once the stick melts all round the joint.',
    ])
  if (verdict.warmForS !== null)
    why.push([
      verdict.warmBeyond ? 'Stays warm enough to weld for more than ' : 'Stays warm enough to weld for ',
      figure(verdict.warmForS, 's'),
      ' once the heat is off.',
    ])
  return { call, why }
}

/** What one change would do, against the same run on the same coarse cells. */
export function changeSentence({ name, verdict }: Changed, asIs: HeatVerdict): Sentence {
  const start = `With ${name}: `
  const lost = (of: HeatVerdict) => of.guards.filter(guard => guard.state === 'over').map(guard => guard.name)
  const saved = lost(asIs).filter(guard => !lost(verdict).includes(guard))
  const endangered = lost(verdict).filter(guard => !lost(asIs).includes(guard))
  const tail = `${saved.length ? `; the ${list(saved)} lives` : ''}${endangered.length ? `; the ${list(endangered)} is lost` : ''}.`
  if (verdict.readyS === null) return [start, 'not ready in the time given', tail]
  if (asIs.readyS === null) return [start, 'ready after ', figure(verdict.readyS, 's'), tail]
  const told = (before: number, after: number) => Math.abs(after - before) > TOLD_SHARE * before
  const pieces: Part[][] = []
  if (told(asIs.readyS, verdict.readyS))
    pieces.push(['ready after ', figure(verdict.readyS, 's'), ' instead of ', figure(asIs.readyS, 's')])
  const [warmBefore, warmAfter] = [asIs.warmForS ?? 0, verdict.warmForS ?? 0]
  if (told(warmBefore, warmAfter) && !(asIs.warmBeyond && verdict.warmBeyond))
    pieces.push([
      `stays warm ${verdict.warmBeyond ? 'more than ' : ''}`,
      figure(warmAfter, 's'),
      ' instead of ',
      figure(warmBefore, 's'),
    ])
  if (!pieces.length) return [start, tail === '.' ? 'makes no odds' : 'no quicker', tail]
  return [start, ...pieces.flatMap((piece, n) => (n ? [', ', ...piece] : piece)), tail]
}
