import type { Manifold, ManifoldToplevel, Vec3 } from 'manifold-3d'
import type { Assembly } from './assembly'
import type { Axis, Form } from './forms'

type Kernel = Pick<ManifoldToplevel, 'Manifold' | 'CrossSection'>

/** A solid whose own height lies along z, laid along an axis, its two other ways in their cyclic order. */
function laid(solid: Manifold, axis: Axis): Manifold {
  if (axis === 2) return solid
  // Columns are where x, y and z of the upright solid go.
  return solid.transform(
    axis === 0 ? [0, 1, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0, 1] : [0, 0, 1, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1],
  )
}

function formMesh(form: Form, { Manifold, CrossSection }: Kernel, round: number): Manifold {
  if (form.form === 'block') {
    const size = form.high.map((value, axis) => value - form.low[axis]!) as unknown as Vec3
    return Manifold.cube(size).translate(form.low)
  }
  if (form.form === 'round') {
    const upright = Manifold.cylinder(form.to - form.from, form.radius, form.radius, round)
    return laid(upright.translate([...form.centre, form.from]), form.axis)
  }
  if (form.form === 'prism') {
    const rings = form.rings.map(ring => ring.map(([a, b]): [number, number] => [a, b]))
    const flat = new CrossSection(rings, 'EvenOdd')
    return laid(flat.extrude(form.to - form.from).translate([0, 0, form.from]), form.axis)
  }
  const ring = CrossSection.circle(form.radius, round).translate([form.bendMm, 0])
  return laid(ring.revolve(round, 90).translate([...form.centre, form.level]), form.axis)
}

/** The skin of a solid in triangles, joined and cut by a mesh library; `round` sides to a full circle. */
export function meshOf({ pieces }: Pick<Assembly, 'pieces'>, kernel: Kernel, round = 96): Manifold {
  const { Manifold } = kernel
  const all = (forms: readonly Form[]) => Manifold.union(forms.map(form => formMesh(form, kernel, round)))
  return pieces.reduce<Manifold>(
    (whole, { cut, adds, cuts }, n) => {
      const piece = cuts.length ? all(adds).subtract(all(cuts)) : all(adds)
      if (n === 0) return piece
      return cut ? whole.subtract(piece) : whole.add(piece)
    },
    undefined as unknown as Manifold,
  )
}
