import { grooved } from '../grooved'
import { drawn, mendKind, PLAIN, type KindInput, type MendWork } from '../kind'
import { HOLE_PREP_MIN, LOCATE_MIN, PATCH_CUT_MIN, WINDOW_CUT_MIN } from '../minutes.table'
import { cutting, finishing, wipe } from '../steps'
import { coneMm3, domeMm3 } from '../volumes'
import { coneOf, diameterOf, throughOf } from './cone'
import { cut, section, sketch } from './drawing'
import { fields } from './fields'
import { wrongCorners } from './pocket'
import { words } from './words'

/**
 * A hole that carries nothing and is wider than this many of its walls, and than so much, takes a patch: filled solid
 * it would draw the wall in. Common practice that a thin wall takes a patch, no source; the figures are judgement.
 */
const PATCH_WALLS = 4
const PATCH_FROM_MM = 16

type Input = KindInput<typeof fields>

/** The way asked for, or the one that suits; a blind hole has nothing that a patch could be let into. */
function wayOf({ values, bodies: [body], part }: Input): 'filled' | 'patched' {
  if (!throughOf(values)) return 'filled'
  const isWide = diameterOf(values) > Math.max(PATCH_FROM_MM, PATCH_WALLS * body.wallMm)
  return values.way ?? (part.does !== 'cyclic' && isWide ? 'patched' : 'filled')
}

/** A disc of the part's own wall, a bevel all round it. */
function patched({ values, bodies: [body], part, opened, finish }: Input): MendWork {
  const { laid, removedMm3, refused } = grooved(cut({ ...drawn(values, [body]), way: 'patched' })!)
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
            { code: values.plated ? 'drill-plating' : 'open-hole', trade: 'cut' as const, handMin: HOLE_PREP_MIN },
            { code: 'true-hole', trade: 'cut' as const, handMin: WINDOW_CUT_MIN },
            { code: 'cut-disc', trade: 'cut' as const, handMin: PATCH_CUT_MIN - WINDOW_CUT_MIN, makes: true },
            ...cutting('bevel-disc', removedMm3),
          ]),
      wipe,
      { code: 'tack-disc', trade: 'fit', handMin: LOCATE_MIN },
    ],
    rebuild: finishing(finish, laid),
    checks: ['look', ...(part.does === 'static' ? [] : ['dye'])],
  }
}

/** A plain hole, plated or not, through or blind: filled as a cone under a dome, or a round patch let in. */
export const hole = mendKind({
  id: 'hole',
  name: 'hole to fill',
  fields,
  words,
  check: ({ pocket }) => {
    const message = wrongCorners(pocket)
    return message === null ? null : { reading: 'pocket', message }
  },
  finish: 'rough',
  coverable: true,
  backed: true,
  sketch,
  cut,
  section,
  plan: input => {
    if (wayOf(input) === 'patched') return patched(input)
    const { values, bodies, opened, finish } = input
    const [body] = bodies
    const { acrossMm: across, mouthMm, deepMm } = coneOf(values, body.wallMm)
    const volumeMm3 = coneMm3(across, mouthMm, deepMm) + domeMm3(mouthMm, values.capMm)
    const removedMm3 = coneMm3(across, mouthMm, deepMm) - coneMm3(diameterOf(values), diameterOf(values), deepMm)
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
              { code: values.plated ? 'drill-plating' : 'open-hole', trade: 'cut' as const, handMin: HOLE_PREP_MIN },
              ...cutting('cone', removedMm3),
            ]),
        wipe,
      ],
      rebuild: finishing(finish, laid),
      checks: ['look'],
    }
  },
})
