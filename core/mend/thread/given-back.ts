import { weldGroove } from '../../fit/weld-groove'
import { slugAcrossMm } from '../../fit/slug-size'
import { castDeepMm } from '../../thread/cast-depth'
import { insertPrice } from '../../thread/insert-price.table'
import type { Thread } from '../../thread/thread'
import type { Laid, Work } from '../kind'
import {
  DRILL_TAP_MIN,
  FACE_CUT_MIN,
  FREEZE_MIN,
  INSERT_OUT_MIN,
  MILL_FIND_MIN,
  SHRINK_MIN,
  SLUG_BORE_MIN,
  SLUG_TURN_MIN,
  STUD_OUT_MIN,
} from '../minutes.table'
import { filletMm3, ringMm3 } from '../volumes'
import { BOSS_LEG_MM, BRIGHT_MM, CAST_WIDE_MM, PROUD_MM } from './sizes.table'
import type { State, Way } from './states.table'

export interface GivenBack {
  laid: Laid[]
  removedMm3: number
  opening: Work[]
  rebuild: Work[]
  wallMm: number
  /** What the current goes by, where that is a rim and not the wall. */
  rimMm?: number
}

/**
 * The lip round a slug that an arc melts is as good as a wall of this, mm. Common practice (100 to 125 A there), no
 * source.
 */
const LEAST_RIM_MM = 3

export interface ToGiveBack {
  thread: Thread
  deepMm: number
  /** How much of the depth is damaged, and so made anew. */
  damagedMm: number
  /** The hole goes right through: a slug has a rim on both sides. */
  through: boolean
  /** What the body is warmed to for a slug; null where none goes in. */
  hubC: number | null
  bossMm: number
  states: readonly State[]
  /** A slug as it is asked for, where one is pressed in. */
  slug: { slugMm?: number | undefined; chamferMm: number }
  opened: boolean
}

/** What a way of giving a thread back lays, takes away and asks of hand and machine; closed forms. */
export function givenBack(
  way: Way,
  { thread, deepMm, damagedMm, through, hubC, bossMm, states, slug, opened }: ToGiveBack,
): GivenBack {
  const { majorMm } = thread
  const out: Work[] = opened
    ? []
    : [
        ...(states.includes('failed-insert')
          ? [{ code: 'insert-out', trade: 'cut', handMin: INSERT_OUT_MIN } as const]
          : []),
        ...(states.includes('broken-stud') ? [{ code: 'stud-out', trade: 'cut', handMin: STUD_OUT_MIN } as const] : []),
      ]
  const tap: Work = { code: 'drill-tap', trade: 'fit', handMin: 2, machineMin: DRILL_TAP_MIN, cold: true }
  const find = { trade: 'dress', handMin: MILL_FIND_MIN, mill: true, cold: true } as const
  switch (way) {
    case 'weld-and-tap': {
      const holeMm = majorMm + 2 * BRIGHT_MM
      const removedMm3 = opened ? 0 : ringMm3(holeMm, majorMm, damagedMm)
      return {
        wallMm: Math.max(3, (bossMm - majorMm) / 2),
        removedMm3,
        laid: [
          {
            side: 1,
            volumeMm3: ringMm3(holeMm, 0, damagedMm + PROUD_MM),
            runMm: (Math.PI * holeMm) / 2,
            wideMm: holeMm / 2,
            goes: 'round',
          },
        ],
        opening: [...out, ...(opened ? [] : [{ code: 'bore-bright', trade: 'cut', handMin: 3 } as const])],
        rebuild: [{ code: 'face-boss', ...find, machineMin: FACE_CUT_MIN * 3 }, tap],
      }
    }
    case 'pressed-slug': {
      const slugMm = slugAcrossMm(majorMm, slug.slugMm)
      const rim = weldGroove(slug.chamferMm, slug.chamferMm, 0)
      return {
        wallMm: Math.max(3, (bossMm - slugMm) / 2),
        // The arc runs round a lip of the chamfers' depth, not through the boss.
        rimMm: Math.max(LEAST_RIM_MM, rim.deepMm),
        removedMm3: ringMm3(slugMm, majorMm, deepMm),
        laid: (through ? ([1, 2] as const) : ([1] as const)).map(side => ({
          side,
          volumeMm3: rim.areaMm2 * Math.PI * slugMm,
          runMm: Math.PI * slugMm,
          wideMm: rim.wideMm,
          goes: 'round',
        })),
        opening: [
          {
            code: 'turn-slug',
            trade: 'fit',
            handMin: SLUG_TURN_MIN / 3,
            machineMin: (2 * SLUG_TURN_MIN) / 3,
            mill: true,
            makes: true,
            ahead: true,
          },
          { code: 'freeze-slug', trade: 'fit', handMin: 0, aloneMin: FREEZE_MIN, ahead: true },
          ...out,
          { code: 'bore-slug', ...find, machineMin: SLUG_BORE_MIN },
          {
            code: 'shrink-slug',
            trade: 'fit',
            handMin: SHRINK_MIN,
            ...(hubC === null ? {} : { at: { c: hubC, why: 'fit-heat' } }),
          },
        ],
        rebuild: [{ code: 'face-boss', ...find, machineMin: FACE_CUT_MIN * 2 }, tap],
      }
    }
    case 'new-boss':
      return {
        wallMm: Math.max(4, (bossMm - majorMm) / 2),
        removedMm3: 0,
        laid: [
          {
            side: 1,
            volumeMm3: filletMm3(BOSS_LEG_MM, Math.PI * bossMm) * 2,
            runMm: Math.PI * bossMm,
            wideMm: BOSS_LEG_MM * Math.SQRT2,
            goes: 'round',
          },
        ],
        opening: [
          ...out,
          ...(opened || states.includes('gone') ? [] : [{ code: 'cut-boss-off', trade: 'cut', handMin: 6 } as const]),
          { code: 'turn-boss', trade: 'fit', handMin: 3, machineMin: 12, mill: true, makes: true },
          { code: 'set-boss', trade: 'fit', handMin: 6 },
        ],
        rebuild: [{ code: 'face-boss', ...find, machineMin: FACE_CUT_MIN * 2 }, tap],
      }
    case 'cast-on-screw': {
      return {
        wallMm: Math.max(3, (bossMm - majorMm) / 2),
        removedMm3: 0,
        laid: [
          {
            side: 1,
            volumeMm3: ringMm3(majorMm + 2 * CAST_WIDE_MM, majorMm, castDeepMm(majorMm, damagedMm)),
            runMm: Math.PI * (majorMm + CAST_WIDE_MM),
            wideMm: CAST_WIDE_MM,
            goes: 'round',
          },
        ],
        opening: [...out, { code: 'set-screw', trade: 'fit', handMin: 4 }],
        rebuild: [{ code: 'face-by-hand', trade: 'dress', handMin: 4 }],
      }
    }
    case 'wire-insert':
    case 'solid-insert':
      return {
        wallMm: Math.max(3, (bossMm - majorMm) / 2),
        removedMm3: 0,
        laid: [],
        opening: out,
        rebuild: [
          {
            code: way,
            trade: 'fit',
            handMin: way === 'wire-insert' ? 9 : 13,
            machineMin: 4,
            cold: true,
            costs: insertPrice(way, majorMm),
          },
        ],
      }
    case 'longer-bolt':
      return {
        wallMm: Math.max(3, (bossMm - majorMm) / 2),
        removedMm3: 0,
        laid: [],
        opening: out,
        rebuild: [{ code: 'longer-bolt', trade: 'fit', handMin: 4 }],
      }
  }
}
