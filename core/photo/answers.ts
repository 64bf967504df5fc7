import { z } from 'zod'
import { of, placeMm, plain } from '../ask/output'

/** A place in a picture, px. */
const placePx = z.tuple([of.px, of.px])

/** What `photo.measure` answers. */
export const photoMeasure = z.strictObject({
  lengthMm: of.mm,
  uncertaintyMm: of.mm,
  areaMm2: of.mm2,
  areaUncertaintyMm2: of.mm2,
  pointsMm: z.array(placeMm),
  misfitMm: of.mm,
})

/** What `photo.cardFace` answers. */
export const photoCardFace = z.strictObject({
  name: z.string(),
  leaves: z.array(
    z.strictObject({
      id: z.string(),
      wideMm: of.mm,
      highMm: of.mm,
      rulerMm: z.tuple([placeMm, placeMm]),
      dark: z.array(z.array(plain)),
    }),
  ),
})

const seenLeaf = {
  card: z.string(),
  leaf: z.string(),
  cornersPx: z.array(placePx),
  known: z.array(z.strictObject({ px: z.array(of.px), mm: placeMm })),
  mmPerPx: of.mmPx,
  tiltDeg: of.deg,
  lengthPct: of.pct,
  misfitPx: of.px,
  marks: plain,
}

/** What `photo.card` answers: the leaf seen best, and each that is seen. */
export const photoCard = z.strictObject({
  ...z.strictObject(seenLeaf).partial().shape,
  found: z.boolean(),
  why: z.string().nullable(),
  mmPerPx: of.mmPx.nullable(),
  tiltDeg: of.deg.nullable(),
  leaves: z.array(z.strictObject(seenLeaf)),
})

/** What `photo.trace` answers. */
export const photoTrace = z.strictObject({ path: z.array(placePx), contrast: plain, seenPct: of.pct, lengthPx: of.px })

/** What `photo.thread` answers. */
export const photoThread = z.strictObject({
  pitchMm: of.mm,
  uncertaintyMm: of.mm,
  majorMm: of.mm.nullable(),
  majorUncertaintyMm: of.mm.nullable(),
  flankDeg: of.deg.nullable(),
  flankUncertaintyDeg: of.deg.nullable(),
  turns: plain,
  depthMm: of.mm,
  taperDeg: of.deg.nullable(),
  softShare: plain,
  sides: plain,
})

/** What `photo.blue` answers. */
export const photoBlue = z.strictObject({
  sharePct: of.pct,
  uncertaintyPct: of.pct,
  patches: z.array(z.strictObject({ sharePct: of.pct, atPx: placePx })),
  even: plain,
  outline: z.enum(['given', 'found', 'whole']),
  facePx: of.px,
})

/** What `photo.outline` answers. */
export const photoOutline = z.strictObject({ outer: z.array(placePx), holes: z.array(z.array(placePx)), share: plain })
