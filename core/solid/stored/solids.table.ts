import type { SimpleShape } from '../shape.schema'

/**
 * A piece a part is put together from: its words, and its sizes in order, each with its words and a size to start from,
 * mm (a count for ribs and fins).
 */
interface Row {
  readonly name: string
  readonly sizes: Readonly<Record<string, readonly [label: string, start: number]>>
}

export const SOLIDS = {
  'hollow-box': {
    name: 'hollow housing',
    sizes: { xMm: ['length', 180], yMm: ['width', 120], zMm: ['height', 80], wallMm: ['wall', 6] },
  },
  'flanged-box': {
    name: 'flanged box, open above',
    sizes: {
      xMm: ['length', 200],
      yMm: ['width', 140],
      zMm: ['height', 60],
      wallMm: ['wall', 6],
      flangeMm: ['flange sticks out', 15],
      flangeThickMm: ['flange thick', 10],
    },
  },
  'ribbed-cover': {
    name: 'ribbed cover',
    sizes: {
      xMm: ['length', 220],
      yMm: ['width', 140],
      wallMm: ['wall', 6],
      ribs: ['ribs', 3],
      ribMm: ['rib thick', 5],
      ribHighMm: ['rib high', 15],
    },
  },
  'boss-on-plate': {
    name: 'boss on a plate',
    sizes: {
      xMm: ['length', 120],
      yMm: ['width', 80],
      plateMm: ['plate', 8],
      bossMm: ['boss across', 36],
      bossHighMm: ['boss high', 25],
      holeMm: ['hole', 0],
    },
  },
  'finned-cylinder': {
    name: 'finned cylinder',
    sizes: {
      boreMm: ['bore', 50],
      wallMm: ['wall', 7],
      fins: ['fins', 6],
      finMm: ['fin thick', 3],
      gapMm: ['gap', 6],
      finOutMm: ['fin sticks out', 20],
    },
  },
  plate: { name: 'plate', sizes: { lengthMm: ['length', 150], widthMm: ['width', 100], thickMm: ['thick', 8] } },
  box: { name: 'solid block', sizes: { xMm: ['length', 80], yMm: ['width', 50], zMm: ['height', 40] } },
  bar: { name: 'round bar, lying', sizes: { diameterMm: ['across', 30], lengthMm: ['length', 200] } },
  tube: { name: 'tube, lying', sizes: { outsideMm: ['outside', 50], wallMm: ['wall', 4], lengthMm: ['length', 200] } },
  disc: { name: 'disc or boss', sizes: { diameterMm: ['across', 40], thickMm: ['high', 30] } },
  ring: { name: 'ring', sizes: { outsideMm: ['outside', 140], insideMm: ['inside', 100], thickMm: ['high', 15] } },
  lug: {
    name: 'lug or ear',
    sizes: { longMm: ['long', 50], wideMm: ['wide', 30], thickMm: ['thick', 10], holeMm: ['hole', 12] },
  },
  elbow: { name: 'pipe elbow', sizes: { outsideMm: ['outside', 40], wallMm: ['wall', 4], bendMm: ['bend', 60] } },
  slot: { name: 'slot, round-ended', sizes: { longMm: ['long', 40], wideMm: ['wide', 10], deepMm: ['deep', 20] } },
  fillet: { name: 'fillet in a corner', sizes: { longMm: ['long', 80], radiusMm: ['radius', 6] } },
  outline: { name: 'traced outline', sizes: { thickMm: ['thick', 8] } },
} as const satisfies Record<SimpleShape['kind'], Row>
export type SolidKind = keyof typeof SOLIDS
/** Pieces that are mostly cut out of others, in the words of a bench. */
export const CUT_NAMES: Partial<Record<SolidKind, string>> = {
  disc: 'hole',
  box: 'pocket',
  slot: 'slot',
  bar: 'hole through its length',
  ring: 'ring groove',
}
export const isCount = (key: string): boolean => key === 'ribs' || key === 'fins'
