import { grooved } from '../grooved'
import { mendKind, PLAIN, type KindInput, type MendWork } from '../kind'
import { HOLE_PREP_MIN, LOCATE_MIN, PATCH_CUT_MIN } from '../minutes.table'
import { cutting, dressing, wipe } from '../steps'
import { coneMm3, domeMm3 } from '../volumes'
import { fields } from './fields'
import { words } from './words'

/**
 * Opened to this included angle from the side it is filled from, degrees; a plated one is drilled out one size, mm.
 * Common practice, no source.
 */
const OPEN_DEG = 60
const ONE_SIZE_MM = 0.5
const BLIND_SHARE = 2 / 3
/**
 * A hole that carries nothing and is wider than this many of its walls, and than so much, takes a patch: filled solid
 * it would draw the wall in. Common practice that a thin wall takes a patch, no source; the figures are judgement.
 */
const PATCH_WALLS = 4
const PATCH_FROM_MM = 16
const PATCH_BEVEL = { sides: 1, includedDeg: 70, rootRadiusMm: 1, landMm: 0, capMm: 1 } as const

type Input = KindInput<typeof fields>

/** The way asked for, or the one that suits; a blind hole has nothing that a patch could be let into. */
function wayOf({ values, bodies: [body], part }: Input): 'filled' | 'patched' {
  if (!values.through) return 'filled'
  const isWide = values.diameterMm > Math.max(PATCH_FROM_MM, PATCH_WALLS * body.wallMm)
  return values.way ?? (part.does !== 'cyclic' && isWide ? 'patched' : 'filled')
}

/** A disc of the part's own wall, a bevel all round it. */
function patched({ values, bodies: [body], part, opened }: Input): MendWork {
  const { laid, removedMm3, refused } = grooved({
    ...PATCH_BEVEL,
    wallMm: body.wallMm,
    runMm: Math.PI * values.diameterMm,
  })
  return {
    ...PLAIN,
    wallMm: body.wallMm,
    joint: 'butt',
    laid: laid.map(one => ({ ...one, goes: 'round' })),
    removedMm3: opened ? 0 : removedMm3,
    refused,
    way: 'patched',
    opening: [
      ...(opened
        ? []
        : [
            { code: values.plated ? 'drill-plating' : 'open-hole', handMin: HOLE_PREP_MIN },
            { code: 'cut-disc', handMin: PATCH_CUT_MIN },
            ...cutting('bevel-disc', removedMm3),
          ]),
      wipe,
      { code: 'tack-disc', handMin: LOCATE_MIN },
    ],
    rebuild: [dressing(part.seat ? 'seat' : 'blend', laid)],
    checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
  }
}

/** A plain hole, plated or not, through or blind: filled as a cone under a dome, or a round patch let in. */
export const hole = mendKind({
  id: 'hole',
  name: 'hole to fill',
  fields,
  words,
  plan: input => {
    if (wayOf(input) === 'patched') return patched(input)
    const { values, bodies, part, opened } = input
    const [body] = bodies
    const deepMm = values.through ? body.wallMm : values.deepMm || BLIND_SHARE * body.wallMm
    const across = values.diameterMm + (values.plated ? ONE_SIZE_MM : 0)
    const mouthMm = across + 2 * deepMm * Math.tan(((OPEN_DEG / 2) * Math.PI) / 180)
    const volumeMm3 = coneMm3(across, mouthMm, deepMm) + domeMm3(mouthMm, values.capMm)
    const removedMm3 = coneMm3(across, mouthMm, deepMm) - coneMm3(values.diameterMm, values.diameterMm, deepMm)
    // Rings that close in: the mean of them is half way from the wall of the hole to its middle.
    const laid = [
      {
        side: 1 as const,
        volumeMm3,
        runMm: (Math.PI * (across + mouthMm)) / 4,
        wideMm: mouthMm / 2,
        goes: 'round' as const,
      },
    ]
    return {
      ...PLAIN,
      wallMm: body.wallMm,
      joint: 'groove',
      laid,
      removedMm3: opened ? 0 : removedMm3,
      opening: [
        ...(opened
          ? []
          : [
              { code: values.plated ? 'drill-plating' : 'open-hole', handMin: HOLE_PREP_MIN },
              ...cutting('cone', removedMm3),
            ]),
        wipe,
      ],
      rebuild: [dressing(part.seat ? 'seat' : 'rough', laid)],
      checks: ['look'],
    }
  },
})
