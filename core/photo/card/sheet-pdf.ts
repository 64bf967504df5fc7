import { PDFDocument, StandardFonts, rgb, type PDFPage } from 'pdf-lib'
import { NoAnswer } from '../../ask/question'
import { PAPER_MM, PT_PER_MM, type Paper } from '../../quantity/paper'
import { ENGLISH, type Sayer } from '../../words/say'
import { CARDS, cardLeaf, type CardId, type CardLeaf } from './layout'

const MARGIN_MM = 10
const GAP_MM = 8
const WORDS_MM = 24
const RULE_MM = 100
const BLACK = rgb(0, 0, 0)
const FAINT = rgb(0.6, 0.6, 0.6)

function drawLeaf(page: PDFPage, leaf: CardLeaf, xMm: number, topMm: number): void {
  for (const { xMm: x, yMm: y, wideMm, highMm } of leaf.dark)
    page.drawRectangle({
      x: (xMm + x) * PT_PER_MM,
      y: (topMm - y - highMm) * PT_PER_MM,
      width: wideMm * PT_PER_MM,
      height: highMm * PT_PER_MM,
      color: BLACK,
    })
  page.drawRectangle({
    x: xMm * PT_PER_MM,
    y: (topMm - leaf.highMm) * PT_PER_MM,
    width: leaf.wideMm * PT_PER_MM,
    height: leaf.highMm * PT_PER_MM,
    borderColor: FAINT,
    borderWidth: 0.3,
  })
}

/**
 * As many scale cards of one size as a sheet takes, each at its own size, with its line to lay a rule on and a thin
 * line to cut along; the folded card's two leaves hang together at their fold.
 * @throws NoAnswer where the sheet is too small
 */
export async function cardSheetPdf(card: CardId, sheet: Paper, say: Sayer = ENGLISH): Promise<Uint8Array> {
  const [wide, high] = PAPER_MM[sheet]
  const leaves = CARDS[card].leaves.map(leaf => cardLeaf(card, leaf))
  const [cardWide, cardHigh] = [leaves[0]!.wideMm, leaves.reduce((sum, leaf) => sum + leaf.highMm, 0)]
  const across = Math.floor((wide - 2 * MARGIN_MM + GAP_MM) / (cardWide + GAP_MM))
  const down = Math.floor((high - 2 * MARGIN_MM - WORDS_MM + GAP_MM) / (cardHigh + GAP_MM))
  if (across < 1 || down < 1) throw new NoAnswer('the card does not fit on this paper')
  const document = await PDFDocument.create()
  document.setTitle(say(`Scale card, ${CARDS[card].name}`))
  const page = document.addPage([wide * PT_PER_MM, high * PT_PER_MM])
  const font = await document.embedFont(StandardFonts.Helvetica)
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const [x, top] = [MARGIN_MM + column * (cardWide + GAP_MM), high - MARGIN_MM - row * (cardHigh + GAP_MM)]
      let below = 0
      for (const leaf of leaves) {
        drawLeaf(page, leaf, x, top - below)
        below += leaf.highMm
      }
    }
  page.drawRectangle({
    x: MARGIN_MM * PT_PER_MM,
    y: (MARGIN_MM + 16) * PT_PER_MM,
    width: RULE_MM * PT_PER_MM,
    height: 0.3 * PT_PER_MM,
    color: BLACK,
  })
  for (const end of [0, RULE_MM])
    page.drawRectangle({
      x: (MARGIN_MM + end - 0.1) * PT_PER_MM,
      y: (MARGIN_MM + 15) * PT_PER_MM,
      width: 0.2 * PT_PER_MM,
      height: 3 * PT_PER_MM,
      color: BLACK,
    })
  const [from, to] = leaves[0]!.rulerMm
  const words = [
    `Scale card, ${CARDS[card].name}. Print at 100 %, not fitted to the page.`,
    `Prove it with a rule: this line is ${RULE_MM} mm long, the one on each card ${Math.round(to[0] - from[0])} mm. A card that is out makes every length wrong.`,
    'Stick it on something stiff and flat, clean, not glossy. Lay it in the plane of what is measured.',
    ...(leaves.length > 1 ? ['Fold it along the line between its two leaves and lay it round the edge.'] : []),
  ]
  words.forEach((text, n) => {
    page.drawText(say(text), {
      x: MARGIN_MM * PT_PER_MM,
      y: (MARGIN_MM + 12 - 4 * n) * PT_PER_MM,
      size: 8,
      font,
      color: BLACK,
    })
  })
  return document.save({ useObjectStreams: false })
}
