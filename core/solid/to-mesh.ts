import type { CrossSection, Manifold, ManifoldToplevel, Vec3 } from 'manifold-3d'
import { NoAnswer } from '../ask/question'
import type { Assembly } from './assembly'
import type { Axis, Form } from './forms'

type Kernel = Pick<ManifoldToplevel, 'Manifold' | 'CrossSection'>

/** Sides to a full circle. */
const ROUND = 96
/** Triangles that a skin for a file may come to, and its forms bring in: the library takes a few kB for each. */
const MOST_TRIANGLES = 250_000
const tooMany = (what: string, most: number): never => {
  throw new NoAnswer(
    `${what} more than ${most / 1000} thousand triangles: put it together from fewer or simpler pieces`,
  )
}

/** What the library lays out lies outside this language's memory, and stays until it is given back. */
class Held {
  private readonly all = new Set<{ delete(): void }>()
  keep<T extends { delete(): void }>(thing: T): T {
    this.all.add(thing)
    return thing
  }
  /** Everything, or everything but what is handed on. */
  giveBackAll(but?: { delete(): void }) {
    for (const thing of this.all) if (thing !== but) thing.delete()
    this.all.clear()
  }
}

/** About as many triangles as a form has. */
function trianglesIn(form: Form, round: number): number {
  if (form.form === 'block') return 12
  if (form.form === 'round') return 4 * round
  if (form.form === 'prism') return form.rings.reduce((sum, ring) => sum + 4 * ring.length, 0)
  return (round * round) / 2 + 2 * round
}

/** A solid whose own height lies along z, laid along an axis, its two other ways in their cyclic order. */
function laid(solid: Manifold, axis: Axis, held: Held): Manifold {
  if (axis === 2) return solid
  // Columns are where x, y and z of the upright solid go.
  return held.keep(
    solid.transform(
      axis === 0 ? [0, 1, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0, 1] : [0, 0, 1, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1],
    ),
  )
}

function formMesh(form: Form, { Manifold, CrossSection }: Kernel, round: number, held: Held): Manifold {
  const moved = (solid: Manifold, by: Vec3) => held.keep(held.keep(solid).translate(by))
  const swept = (flat: CrossSection, sweep: (section: CrossSection) => Manifold) => sweep(held.keep(flat))
  if (form.form === 'block') {
    const size = form.high.map((value, axis) => value - form.low[axis]!) as unknown as Vec3
    return moved(Manifold.cube(size), [...form.low] as Vec3)
  }
  if (form.form === 'round') {
    const upright = Manifold.cylinder(form.to - form.from, form.radius, form.radius, round)
    return laid(moved(upright, [...form.centre, form.from]), form.axis, held)
  }
  if (form.form === 'prism') {
    const rings = form.rings.map(ring => ring.map(([a, b]): [number, number] => [a, b]))
    const solid = swept(new CrossSection(rings, 'EvenOdd'), flat => flat.extrude(form.to - form.from))
    return laid(moved(solid, [0, 0, form.from]), form.axis, held)
  }
  const ring = held.keep(CrossSection.circle(form.radius, round))
  const solid = swept(ring.translate([form.bendMm, 0]), flat => flat.revolve(round, 90))
  return laid(moved(solid, [...form.centre, form.level]), form.axis, held)
}

/**
 * The skin of a solid in triangles, joined and cut by a mesh library; `round` sides to a full circle. What the library
 * laid out on the way is given back; what is returned is the caller's to give back.
 * @throws NoAnswer where the pieces, or what comes of them, are more triangles than fit
 */
export function meshOf({ pieces }: Pick<Assembly, 'pieces'>, kernel: Kernel, round = ROUND, most = Infinity): Manifold {
  const { Manifold } = kernel
  const forms = pieces.flatMap(({ adds, cuts }) => [...adds, ...cuts])
  if (forms.reduce((sum, form) => sum + trianglesIn(form, round), 0) > most) tooMany('these pieces bring in', most)
  const held = new Held()
  try {
    const joined = (some: readonly Form[]) =>
      held.keep(Manifold.union(some.map(form => formMesh(form, kernel, round, held))))
    let whole: Manifold | null = null
    for (const { cut, adds, cuts } of pieces) {
      const piece = cuts.length ? held.keep(joined(adds).subtract(joined(cuts))) : joined(adds)
      const next: Manifold = !whole ? piece : held.keep(cut ? whole.subtract(piece) : whole.add(piece))
      // Asked for its triangles, the library works out what it has put off, a piece at a time.
      if (next.numTri() > most) tooMany('the skin comes to', most)
      held.giveBackAll(next)
      whole = held.keep(next)
    }
    held.giveBackAll(whole!)
    return whole!
  } finally {
    held.giveBackAll()
  }
}

/** The skin of a solid as triangles, nine 32-bit figures each. @throws NoAnswer as `meshOf` */
export function skinTriangles(assembly: Pick<Assembly, 'pieces'>, kernel: Kernel): Float32Array {
  const solid = meshOf(assembly, kernel, ROUND, MOST_TRIANGLES)
  try {
    const { vertProperties, triVerts, numProp } = solid.getMesh()
    const triangles = new Float32Array(triVerts.length * 3)
    triVerts.forEach((corner, n) =>
      triangles.set(vertProperties.subarray(corner * numProp, corner * numProp + 3), 3 * n),
    )
    return triangles
  } finally {
    solid.delete()
  }
}
