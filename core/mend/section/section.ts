import type { Thread } from '../../thread/thread'
import type { KindId } from '../registry'
import { box, fillet, grooveShape, poly, type DrawnShape, type DrawnSize, type Section } from './shapes'

interface Given {
  readonly values: Readonly<Record<string, unknown>>
  readonly wallMm: number
  readonly otherMm: number
  readonly way: string | null
}

const mm = (values: Given['values'], key: string, usual = 0): number =>
  typeof values[key] === 'number' ? values[key] : usual
/** Metal shown beyond what is mended, as a share of it. */
const BEYOND = 0.9

/** A wall with a groove from one side or both. */
function grooved(
  title: string,
  wallMm: number,
  { sides, deg, root, land, cap }: { sides: number; deg: number; root: number; land: number; cap: number },
): Section {
  const depthMm = Math.max(0.1, (wallMm - land) / sides)
  const groove = { depthMm, includedDeg: deg, rootRadiusMm: root }
  const half = wallMm * (1.2 + BEYOND)
  const shapes: DrawnShape[] = [box('metal', -half, 0, 2 * half, wallMm), grooveShape(0, 0, groove, cap, 1)]
  if (sides === 2) shapes.push(grooveShape(0, wallMm, groove, cap, -1))
  if (land > 0)
    shapes.push(
      poly(
        'gone',
        [
          [0, depthMm],
          [0, sides === 2 ? wallMm - depthMm : wallMm],
        ],
        false,
      ),
    )
  return {
    title,
    shapes,
    sizes: [
      { from: [-half * 0.92, 0], to: [-half * 0.92, depthMm], mm: depthMm },
      { from: [half * 0.92, 0], to: [half * 0.92, wallMm], mm: wallMm },
    ],
  }
}

/** A sheet lapped over another with fillets at its edges. */
function lapped(title: string, belowMm: number, patchMm: number, wideMm: number): Section {
  const leg = Math.min(belowMm, patchMm)
  const shown = Math.min(wideMm, 5 * (belowMm + patchMm))
  const beyond = shown * 0.3 + 2 * leg
  return {
    title,
    shapes: [
      box('metal', -shown / 2 - beyond, 0, shown + 2 * beyond, belowMm),
      box('other', -shown / 2, -patchMm, shown, patchMm),
      fillet(-shown / 2, 0, leg, -1),
      fillet(shown / 2, 0, leg, 1),
    ],
    sizes: [
      { from: [shown / 2, leg * 1.6 + belowMm], to: [shown / 2 + leg, leg * 1.6 + belowMm], mm: leg },
      { from: [shown / 2 + beyond + leg, 0], to: [shown / 2 + beyond + leg, belowMm], mm: belowMm },
    ],
  }
}

function jointed({ values, wallMm, otherMm }: Given): Section {
  const leg = mm(values, 'legMm', Math.min(wallMm, otherMm))
  const two = mm(values, 'sidesWelded', 2) === 2
  const long = 5 * Math.max(wallMm, otherMm) + 2 * leg
  const title = 'Across the joint'
  if (values.joint === 'butt')
    return grooved(title, Math.min(wallMm, otherMm), { sides: 1, deg: 60, root: 1, land: 0, cap: 1 })
  if (values.joint === 'lap') return lapped(title, wallMm, otherMm, long)
  const size: DrawnSize = { from: [otherMm / 2, wallMm * 1.5], to: [otherMm / 2 + leg, wallMm * 1.5], mm: leg }
  if (values.joint === 'corner')
    return {
      title,
      shapes: [
        box('metal', 0, 0, long, wallMm),
        box('other', -otherMm, 0, otherMm, long * 0.8),
        fillet(0, wallMm, leg, 1, -1),
        poly('new', [
          [0, 0],
          [-otherMm, 0],
          [-otherMm / 3, -otherMm / 3],
        ]),
      ],
      sizes: [{ ...size, from: [0, wallMm + leg * 1.6], to: [leg, wallMm + leg * 1.6] }],
    }
  return {
    title,
    shapes: [
      box('metal', -long / 2, 0, long, wallMm),
      box('other', -otherMm / 2, -long * 0.55, otherMm, long * 0.55),
      fillet(otherMm / 2, 0, leg, 1),
      ...(two ? [fillet(-otherMm / 2, 0, leg, -1)] : []),
    ],
    sizes: [size],
  }
}

/** A boss in section with what each way of giving its thread back lays or puts in. */
function bossed({ values, wallMm, way }: Given): Section {
  const thread = values.thread as Thread
  const r = thread.majorMm / 2
  const R = mm(values, 'bossMm', 2.5 * thread.majorMm) / 2
  const deep = mm(values, 'deepMm')
  const floor = deep + Math.max(2, wallMm * 0.6)
  const half = (sign: 1 | -1, inner: number): DrawnShape => box('metal', sign > 0 ? inner : -R, 0, R - inner, floor)
  const title = `Across the boss, ${thread.designation}`
  const sizes: DrawnSize[] = [
    { from: [-R, -r * 0.9], to: [R, -r * 0.9], mm: 2 * R },
    { from: [R + r * 0.7, 0], to: [R + r * 0.7, deep], mm: deep },
  ]
  const base = (inner: number): DrawnShape[] => [
    half(-1, inner),
    half(1, inner),
    box('metal', -inner, deep, 2 * inner, floor - deep),
  ]
  switch (way) {
    case 'weld-and-tap':
      return { title, sizes, shapes: [...base(r + 1), box('new', -r - 1, -1.5, 2 * (r + 1), deep + 1.5)] }
    case 'pressed-slug': {
      const s = 1.7 * r
      return {
        title,
        sizes,
        shapes: [
          half(-1, s),
          half(1, s),
          box('other', -s, 0, 2 * s, deep),
          poly('new', [
            [-s - 2, 0],
            [-s + 2, 0],
            [-s, 2.5],
          ]),
          poly('new', [
            [s - 2, 0],
            [s + 2, 0],
            [s, 2.5],
          ]),
          box('metal', -s, deep, 2 * s, floor - deep),
        ],
      }
    }
    case 'new-boss':
      return {
        title,
        sizes,
        shapes: [
          box('metal', -2 * R, deep, 4 * R, wallMm),
          box('other', -R, 0, R - r, deep),
          box('other', r, 0, R - r, deep),
          fillet(R, deep, 5, 1),
          fillet(-R, deep, 5, -1),
        ],
      }
    case 'cast-on-screw':
      return {
        title,
        sizes,
        shapes: [
          ...base(r),
          box('other', -r, -deep * 0.3, 2 * r, deep),
          box('new', -r - 3, 0, 3, r * 1.2),
          box('new', r, 0, 3, r * 1.2),
        ],
      }
    case 'wire-insert':
    case 'solid-insert': {
      const wall = way === 'wire-insert' ? r * 0.25 : r * 0.5
      return {
        title,
        sizes,
        shapes: [
          ...base(r + wall),
          box('other', -r - wall, 0.5, wall, deep * 0.9),
          box('other', r, 0.5, wall, deep * 0.9),
        ],
      }
    }
    default:
      return { title, sizes, shapes: base(r) }
  }
}

const SECTIONS: Readonly<Record<KindId, (given: Given) => Section>> = {
  crack: ({ values, wallMm }) =>
    grooved('Across it', wallMm, {
      sides: mm(values, 'sides', 1),
      deg: mm(values, 'includedDeg', 70),
      root: mm(values, 'rootRadiusMm', 2),
      land: values.keepBreak === true ? Math.max(2, mm(values, 'landMm')) : mm(values, 'landMm'),
      cap: mm(values, 'capMm', 1.5),
    }),
  break: ({ values, wallMm }) =>
    grooved('Across the break', wallMm, {
      sides: mm(values, 'sides', 2),
      deg: mm(values, 'includedDeg', 70),
      root: mm(values, 'rootRadiusMm', 2),
      land: values.keepBreak === false ? 0 : Math.min(mm(values, 'landMm', 2), wallMm / 3),
      cap: mm(values, 'capMm', 1.5),
    }),
  hole: ({ values, wallMm, way }) => {
    if (way === 'patched')
      return grooved('Across the bevel round the disc', wallMm, { sides: 1, deg: 70, root: 1, land: 0, cap: 1 })
    const [r, deep] = [
      mm(values, 'diameterMm') / 2,
      values.through === false ? mm(values, 'deepMm') || (wallMm * 2) / 3 : wallMm,
    ]
    const R = r + deep * Math.tan(Math.PI / 6)
    const cap = mm(values, 'capMm', 1.5)
    const half = R * (1 + BEYOND) + wallMm
    return {
      title: 'Across the hole',
      shapes: [
        box('metal', -half, 0, 2 * half, wallMm),
        poly('new', [
          [-r, deep],
          [r, deep],
          [R, 0],
          [R / 2, -cap * 0.75],
          [0, -cap],
          [-R / 2, -cap * 0.75],
          [-R, 0],
        ]),
      ],
      sizes: [
        { from: [-r, wallMm * 1.35], to: [r, wallMm * 1.35], mm: 2 * r },
        { from: [half * 0.9, 0], to: [half * 0.9, wallMm], mm: wallMm },
      ],
    }
  },
  edge: ({ values }) => {
    const [wide, high, proud] = [mm(values, 'wideMm'), mm(values, 'highMm'), mm(values, 'proudMm', 1.5)]
    return {
      title: 'Across the edge',
      shapes: [
        box('metal', -wide / 2, 0, wide, high * 1.5),
        box('new', -wide / 2 - proud, -high - proud, wide + 2 * proud, high + proud),
        poly(
          'gone',
          [
            [-wide / 2, 0],
            [-wide / 2, -high],
            [wide / 2, -high],
            [wide / 2, 0],
          ],
          false,
        ),
      ],
      sizes: [
        { from: [-wide / 2, high * 1.8], to: [wide / 2, high * 1.8], mm: wide },
        { from: [wide / 2 + proud + wide * 0.3, -high], to: [wide / 2 + proud + wide * 0.3, 0], mm: high },
      ],
    }
  },
  turned: ({ values }) => {
    const [D, wide, deep, proud] = [
      mm(values, 'turnedMm'),
      mm(values, 'wideMm'),
      mm(values, 'deepMm'),
      mm(values, 'proudMm', 1.5),
    ]
    const half = wide * 1.4 + deep
    const shown = Math.min(D / 2, deep * 3)
    return {
      title: 'Along the axis, the upper half',
      shapes: [
        poly('metal', [
          [-half, 0],
          [-wide / 2, 0],
          [-wide / 2, deep],
          [wide / 2, deep],
          [wide / 2, 0],
          [half, 0],
          [half, shown],
          [-half, shown],
        ]),
        box('new', -wide / 2, -proud, wide, deep + proud),
      ],
      sizes: [
        { from: [-wide / 2, -proud * 2.6], to: [wide / 2, -proud * 2.6], mm: wide },
        { from: [half * 0.9, 0], to: [half * 0.9, deep], mm: deep },
      ],
    }
  },
  window: ({ values, wallMm }) =>
    grooved('Across the edge of the patch', Math.min(wallMm, mm(values, 'patchMm', wallMm)), {
      sides: 1,
      deg: mm(values, 'includedDeg', 70),
      root: mm(values, 'rootRadiusMm', 1),
      land: 0,
      cap: mm(values, 'capMm', 1),
    }),
  overlay: ({ values, wallMm }) =>
    lapped('Across the patch', wallMm, mm(values, 'patchMm', wallMm), mm(values, 'wideMm')),
  plate: ({ values, wallMm }) => lapped('Across the plate', wallMm, mm(values, 'plateMm'), mm(values, 'wideMm')),
  joint: jointed,
  thread: bossed,
  boss: bossed,
  face: ({ values, wallMm }) => {
    const wide = mm(values, 'wideMm') || Math.sqrt(mm(values, 'areaMm2'))
    const low = mm(values, 'lowMm')
    return {
      title: 'Across the face',
      shapes: [
        box('metal', -wide / 2, low, wide, Math.max(wallMm, low * 3)),
        box('new', -wide / 2, -1.5, wide, low + 1.5),
        poly(
          'gone',
          [
            [-wide / 2, 0],
            [wide / 2, 0],
          ],
          false,
        ),
      ],
      sizes: [
        { from: [-wide / 2, -3.2], to: [wide / 2, -3.2], mm: wide },
        { from: [wide / 2 + 2, 0], to: [wide / 2 + 2, low], mm: low },
      ],
    }
  },
  bore: ({ values, wallMm }) => {
    const r = (mm(values, 'boreMm') || 20) / 2
    const [deep, low] = [mm(values, 'deepMm', r), mm(values, 'lowMm')]
    const side = (sign: 1 | -1): DrawnShape[] => [
      box('metal', sign > 0 ? r + low : -r - low - wallMm, 0, wallMm, deep),
      box('new', sign > 0 ? r - 1.5 : -r - low, 0, low + 1.5, deep),
      poly(
        'gone',
        [
          [sign * r, 0],
          [sign * r, deep],
        ],
        false,
      ),
    ]
    return {
      title: 'Across the bore',
      shapes: [...side(1), ...side(-1)],
      sizes: [
        { from: [-r, -r * 0.25], to: [r, -r * 0.25], mm: 2 * r },
        { from: [r + low + wallMm * 1.4, 0], to: [r + low + wallMm * 1.4, deep], mm: deep },
      ],
    }
  },
  bent: ({ values, wallMm }) => {
    const [bent, over] = [mm(values, 'bentMm'), mm(values, 'overMm')]
    const thick = Math.min(wallMm, over / 6)
    return {
      title: 'Along it',
      shapes: [
        poly('metal', [
          [-over, 0],
          [0, 0],
          [over, bent],
          [over, bent + thick],
          [0, thick],
          [-over, thick],
        ]),
        poly(
          'gone',
          [
            [0, 0],
            [over, 0],
          ],
          false,
        ),
      ],
      sizes: [
        { from: [over * 1.06, 0], to: [over * 1.06, bent], mm: bent },
        { from: [0, thick + bent + over * 0.12], to: [over, thick + bent + over * 0.12], mm: over },
      ],
    }
  },
}

/** A mend in section, to scale, out of the values it is planned with. */
export const sectionOf = (kind: KindId, given: Given): Section => SECTIONS[kind](given)
