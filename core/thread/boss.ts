import { NoAnswer, type Step } from '../ask/question'
import { FILLERS } from '../call/filler.table'
import type { Alloy } from '../metal/alloys.table'
import { slugAcrossMm } from '../fit/slug-size'
import { mechanicalOf } from '../metal/mechanical.table'
import { castDeepMm } from './cast-depth'
import { threadInsert } from './insert'
import type { BossMethod } from './methods.table'
import { shearAreaMm2PerMm, threadStrength } from './strength'
import type { Thread } from './thread'

/** Minutes at the bench by method, and the heat it puts into the part. Common practice, no source. */
const WORK: Readonly<Record<BossMethod, { minutes: number; heat: 'none' | 'little' | 'much' }>> = {
  'weld-and-tap': { minutes: 45, heat: 'much' },
  'pressed-slug': { minutes: 60, heat: 'little' },
  'new-boss': { minutes: 75, heat: 'much' },
  'wire-insert': { minutes: 15, heat: 'none' },
  'solid-insert': { minutes: 20, heat: 'none' },
  'cast-on-screw': { minutes: 15, heat: 'little' },
}
/** Torque coefficient: torque = K × load × diameter, plated and lightly oiled; VDI 2230 and most texts, from memory. */
const TORQUE_K = 0.2
/** Load a bolt is tightened to where no torque is given, as a share of what breaks it: common practice, no source. */
const TIGHTENED_SHARE = 0.6
/** Tensile over proof strength: castings and tempered wrought, judgement over the handbook's typical values. */
const UTS_OVER_PROOF = { cast: 1.35, wrought: 1.15 }
/**
 * What a heat-treated slug keeps beside its weld: AWS D1.2 reduced strengths, from memory, 6061-T6 165 of 290 MPa
 * as-welded; the thread lies further in.
 */
const SLUG_KEEPS = 0.75
/** A deposit of a filler that no table holds, MPa: the weakest usual one. */
const PLAIN_DEPOSIT_MPA = 180
/** A weld run round a rim: throat, mm, and share of the deposit's tensile in shear. */
const RIM_THROAT_MM = 4
const SHEAR_SHARE = 1 / Math.sqrt(3)
/** What a thread cast round a screw is worth of the deposit. Common practice, no source. */
const CAST_SHARE = 0.8
/** Strip load over the load it must hold, from which a rebuild is good. Judgement. */
export const GOOD_FACTOR = 1.5

export interface Rebuild {
  method: BossMethod
  stripN: number
  factor: number
  minutes: number
  heat: 'none' | 'little' | 'much'
  wallLeftMm: number
  possible: boolean
  reasons: string[]
}
export interface BossInput {
  thread: Thread
  boltUtsMPa: number
  torqueNm?: number | undefined
  depthMm: number
  bossMm: number
  body: Alloy
  filler: Alloy
  slug: Alloy
}

/** Typical tensile strength of a part's own metal, MPa. */
export const tensileMPa = (alloy: Alloy): number =>
  mechanicalOf(alloy).proofMPa * (alloy.form === 'cast' ? UTS_OVER_PROOF.cast : UTS_OVER_PROOF.wrought)

/**
 * The ways of giving a stripped boss its thread back, compared: strip load of each against what the bolt is tightened
 * to, wall left, minutes, heat.
 *
 * Strip loads by `thread.strength`; load from the torque by K = 0.2. Strengths typical, from memory: factors good to a
 * quarter.
 * @throws NoAnswer where the boss is no larger than its thread
 */
export function compareBoss({ thread, boltUtsMPa, torqueNm, depthMm, bossMm, body, filler, slug }: BossInput): {
  ranked: Rebuild[]
  loadN: number
  working: Step[]
} {
  if (bossMm <= thread.majorMm)
    throw new NoAnswer(`a boss of ${bossMm} mm is no larger than ${thread.designation} itself: there is no wall`)
  const bolt = threadStrength(thread, depthMm, boltUtsMPa, 1)
  const loadN =
    torqueNm === undefined ? TIGHTENED_SHARE * bolt.boltBreakN : (torqueNm * 1000) / (TORQUE_K * thread.majorMm)
  const deposit = FILLERS.find(entry => entry.name === filler.name)?.utsMPa ?? PLAIN_DEPOSIT_MPA
  const own = tensileMPa(body)
  const strip = (metalMPa: number, of: Thread = thread, deep = depthMm) =>
    shearAreaMm2PerMm(of).body * deep * metalMPa * SHEAR_SHARE
  const boltStrip = bolt.boltStripN
  const made = (method: BossMethod, stripN: number, outsideMm: number, needsMm: number, reasons: string[]): Rebuild => {
    const wallLeftMm = (bossMm - outsideMm) / 2
    const possible = wallLeftMm >= needsMm
    const holds = Math.min(stripN, boltStrip)
    return {
      method,
      stripN: holds,
      factor: holds / loadN,
      ...WORK[method],
      wallLeftMm,
      possible,
      reasons: possible
        ? reasons
        : [`leaves ${Math.max(0, wallLeftMm).toFixed(1)} mm of wall and wants ${needsMm.toFixed(1)}`, ...reasons],
    }
  }
  const rim = (diameterMm: number) => Math.PI * diameterMm * RIM_THROAT_MM * deposit * SHEAR_SHARE
  const slugMm = slugAcrossMm(thread.majorMm)
  const rows: Rebuild[] = [
    made('weld-and-tap', strip(deposit), thread.majorMm, 0, ['soft weld metal holds the thread', 'no size is lost']),
    made('pressed-slug', Math.min(strip(tensileMPa(slug) * SLUG_KEEPS), rim(slugMm) * 2), slugMm, 2.5, [
      'wrought metal holds the thread',
      'the press carries, the weld at both rims seals',
    ]),
    made('new-boss', Math.min(strip(tensileMPa(slug) * SLUG_KEEPS), rim(bossMm) * 1.5), thread.majorMm, 0, [
      'all new metal',
      'must be set true before it is welded',
    ]),
  ]
  if (thread.flankDeg === 60 && thread.taperDeg === 0) {
    for (const kind of ['wire', 'solid'] as const) {
      const { outsideMm, leastWallMm, tapPitchMm } = threadInsert(thread, kind)
      const outside: Thread = {
        ...thread,
        majorMm: outsideMm,
        pitchMm: tapPitchMm,
        pitchDiameterMm: outsideMm - 0.6495 * tapPitchMm,
        minorInternalMm: outsideMm - 1.0825 * tapPitchMm,
      }
      rows.push(
        made(`${kind}-insert`, strip(own, outside), outsideMm, leastWallMm, [
          kind === 'wire' ? 'no heat, quick, the wider thread holds more' : 'no heat, takes much unscrewing',
          'only in sound metal that is straight',
        ]),
      )
    }
  }
  const castMm = castDeepMm(thread.majorMm, depthMm)
  rows.push({
    ...made('cast-on-screw', strip(deposit * CAST_SHARE, thread, castMm), thread.majorMm, 0, [
      'no drill or tap: aluminium does not stick to a stainless screw',
      'only for damage at the mouth',
    ]),
    possible: depthMm <= thread.majorMm * 1.5,
  })
  // Those that hold well by how little they ask, then the rest by how much they hold.
  const HEAT_MIN = { none: 0, little: 10, much: 25 }
  const rank = (row: Rebuild) =>
    (row.possible ? 0 : 1e6) + (row.factor >= GOOD_FACTOR ? row.minutes + HEAT_MIN[row.heat] : 1e3 - row.factor)
  const ranked = rows
    .toSorted((a, b) => rank(a) - rank(b))
    .map(row => ({
      ...row,
      reasons: [
        ...row.reasons,
        row.factor >= GOOD_FACTOR
          ? `holds ${row.factor.toFixed(1)} times the load`
          : `holds only ${row.factor.toFixed(1)} times the load`,
      ],
    }))
  return {
    ranked,
    loadN,
    working: [
      {
        label: 'Load it must hold',
        formula:
          torqueNm === undefined ? `${TIGHTENED_SHARE} of what breaks the bolt` : `torque ÷ (${TORQUE_K} × diameter)`,
        value: loadN,
        unit: 'N',
        source: torqueNm === undefined ? 'common practice, no source' : 'VDI 2230, K from memory',
      },
      {
        label: 'Weld metal',
        formula: `${filler.name}, as laid`,
        value: deposit,
        unit: 'MPa',
        source: 'AWS A5.10 typical values, from memory',
      },
      {
        label: 'Body',
        formula: `${body.name}, typical`,
        value: own,
        unit: 'MPa',
        source: 'ASM Handbook vol. 2, from memory',
      },
      {
        label: 'Slug',
        formula: `${slug.name} × ${SLUG_KEEPS} kept beside its weld`,
        value: tensileMPa(slug) * SLUG_KEEPS,
        unit: 'MPa',
        source: 'AWS D1.2 reduced strength, from memory',
      },
      ...ranked.map((row): Step => ({
        label: row.method,
        formula: 'thread.strength at this depth',
        value: row.stripN,
        unit: 'N',
        source: 'FED-STD-H28/2B, from memory',
      })),
    ],
  }
}
