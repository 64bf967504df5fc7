import encodeQR from 'qr'

/** A dark rectangle on white paper, mm, Y down from the leaf's top left corner. */
export interface Dark {
  readonly xMm: number
  readonly yMm: number
  readonly wideMm: number
  readonly highMm: number
}
export type CardPoint = readonly [xMm: number, yMm: number]

export interface CardCode {
  /** What the code says: card, leaf and corner. */
  readonly text: string
  /** Its corners without the quiet zone, clockwise from its own top left. */
  readonly cornersMm: readonly CardPoint[]
}

/** One flat leaf of a card: it is seen as a plane of its own. */
export interface CardLeaf {
  readonly id: string
  readonly wideMm: number
  readonly highMm: number
  readonly codes: readonly CardCode[]
  /** Where two dark squares touch corner to corner: the points a picture is measured by. */
  readonly marks: readonly CardMark[]
  readonly dark: readonly Dark[]
  /** The line whose length is checked with a ruler after printing. */
  readonly rulerMm: readonly [from: CardPoint, to: CardPoint]
}
export interface CardMark {
  readonly atMm: CardPoint
  /** How far its squares reach from the point. */
  readonly reachMm: number
  /** 1 where the dark squares lie top left and bottom right, −1 where they lie the other way. */
  readonly way: 1 | -1
}

export const CARD_IDS = ['S', 'M', 'L', 'F'] as const
export type CardId = (typeof CARD_IDS)[number]

/** The cards there are; one layout at several scales, the folded one with a second leaf hinged on its long edge. */
export const CARDS: Record<CardId, { name: string; scale: number; leaves: readonly string[] }> = {
  S: { name: 'small, 45 × 30 mm', scale: 0.5, leaves: ['A'] },
  M: { name: 'middle, 90 × 60 mm', scale: 1, leaves: ['A'] },
  L: { name: 'large, 180 × 120 mm', scale: 2, leaves: ['A'] },
  F: { name: 'folded round an edge, twice 90 × 60 mm', scale: 1, leaves: ['A', 'B'] },
}

/** At scale 1. The quiet zone of four modules that a code wants round it is kept clear by the places below. */
const WIDE_MM = 90
const HIGH_MM = 60
const MODULE_MM = 1
const MODULES = 21
const EDGE_MM = 3
const MARKS: readonly { atMm: CardPoint; reachMm: number }[] = [
  ...[31, 40, 50, 59].flatMap(x => [
    { atMm: [x, 7] as const, reachMm: 3 },
    { atMm: [x, 53] as const, reachMm: 3 },
  ]),
  ...[7, 17, 73, 83].map(x => ({ atMm: [x, 30] as const, reachMm: 2 })),
]
/** Its ends scale with the card; its ticks stand a millimetre apart on every card. */
const RULER = { y: 40, from: 30, to: 60, longEvery: 5, tickMm: 1.5, longMm: 3, lineMm: 0.2 }

/** The dark modules of a code of version 1 with the strongest correction (ISO/IEC 18004), as rows of booleans. */
export function codeModules(text: string): boolean[][] {
  const withBorder = encodeQR(text, 'raw', { ecc: 'high', encoding: 'alphanumeric', version: 1, border: 1 })
  return withBorder.slice(1, -1).map(row => row.slice(1, -1))
}

export const codeText = (card: CardId, leaf: string, corner: number) => `WS-${card}${leaf}${corner}`

/** Card, leaf and corner of a code's text; null where it is no card of ours. */
export function readCodeText(text: string): { card: CardId; leaf: string; corner: number } | null {
  const found = /^WS-([SMLF])([AB])([0-3])$/.exec(text)
  return found ? { card: found[1] as CardId, leaf: found[2]!, corner: Number(found[3]) } : null
}

const side = MODULE_MM * MODULES
const CODE_PLACES_MM: readonly CardPoint[] = [
  [EDGE_MM, EDGE_MM],
  [WIDE_MM - EDGE_MM - side, EDGE_MM],
  [WIDE_MM - EDGE_MM - side, HIGH_MM - EDGE_MM - side],
  [EDGE_MM, HIGH_MM - EDGE_MM - side],
]

/** Everything dark in a code, and every point in it where four modules meet like a chequer. */
function codeAt(text: string, [x, y]: CardPoint): { dark: Dark[]; marks: CardMark[] } {
  const modules = codeModules(text)
  const at = (row: number, column: number) => modules[row]?.[column] ?? false
  const dark: Dark[] = []
  const marks: CardMark[] = []
  for (let row = 0; row < MODULES; row++)
    for (let column = 0; column < MODULES; column++) {
      // Modules side by side are one rectangle, so that no printer leaves a light line between them.
      if (at(row, column) && !at(row, column - 1)) {
        let long = 1
        while (at(row, column + long)) long++
        dark.push({
          xMm: x + column * MODULE_MM,
          yMm: y + row * MODULE_MM,
          wideMm: long * MODULE_MM,
          highMm: MODULE_MM,
        })
      }
      const [a, b, c, d] = [at(row, column), at(row, column + 1), at(row + 1, column), at(row + 1, column + 1)]
      if (row + 1 < MODULES && column + 1 < MODULES && a === d && b === c && a !== b)
        marks.push({
          atMm: [x + (column + 1) * MODULE_MM, y + (row + 1) * MODULE_MM],
          reachMm: MODULE_MM,
          way: a ? 1 : -1,
        })
    }
  return { dark, marks }
}

function ruler(scale: number): { dark: Dark[]; line: readonly [CardPoint, CardPoint] } {
  const { longEvery, tickMm, longMm, lineMm } = RULER
  const [y, from, to] = [RULER.y * scale, RULER.from * scale, RULER.to * scale]
  const ticks = Array.from({ length: to - from + 1 }, (_, n) => n)
  return {
    dark: [
      { xMm: from - lineMm / 2, yMm: y - lineMm / 2, wideMm: to - from + lineMm, highMm: lineMm },
      ...ticks.map(n => ({
        xMm: from + n - lineMm / 2,
        yMm: y,
        wideMm: lineMm,
        highMm: n % longEvery === 0 ? longMm : tickMm,
      })),
    ],
    line: [
      [from, y],
      [to, y],
    ],
  }
}

const scaled = (scale: number, [x, y]: CardPoint): CardPoint => [x * scale, y * scale]

/** A leaf of a card, everything on it in mm. */
export function cardLeaf(card: CardId, leaf: string): CardLeaf {
  const { scale } = CARDS[card]
  const codes = CODE_PLACES_MM.map((place, corner) => ({ place, text: codeText(card, leaf, corner) }))
  const drawn = codes.map(({ place, text }) => codeAt(text, place))
  const measure = ruler(scale)
  const own = MARKS.map((mark): CardMark => ({ ...mark, way: 1 }))
  const squares = MARKS.flatMap(({ atMm: [x, y], reachMm }): Dark[] =>
    [-reachMm, 0].map(off => ({ xMm: x + off, yMm: y + off, wideMm: reachMm, highMm: reachMm })),
  )
  return {
    id: leaf,
    wideMm: WIDE_MM * scale,
    highMm: HIGH_MM * scale,
    codes: codes.map(({ place: [x, y], text }) => ({
      text,
      cornersMm: (
        [
          [x, y],
          [x + side, y],
          [x + side, y + side],
          [x, y + side],
        ] as CardPoint[]
      ).map(point => scaled(scale, point)),
    })),
    marks: [...own, ...drawn.flatMap(code => code.marks)].map(mark => ({
      ...mark,
      atMm: scaled(scale, mark.atMm),
      reachMm: mark.reachMm * scale,
    })),
    dark: [
      ...[...drawn.flatMap(code => code.dark), ...squares].map(rect => ({
        xMm: rect.xMm * scale,
        yMm: rect.yMm * scale,
        wideMm: rect.wideMm * scale,
        highMm: rect.highMm * scale,
      })),
      ...measure.dark,
    ],
    rulerMm: measure.line,
  }
}
