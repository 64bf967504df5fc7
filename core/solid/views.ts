import { assemble, type Assembled, type Assembly } from './assembly'
import { reach, type Axis, type Flat, type Form, type Triple } from './forms'
import { meshSection, meshSlices } from './mesh-section'
import { measureMesh } from './measure'
import { sectionAt, type Ring } from './section'
import type { Shape } from './shape.schema'

export const VIEWS = {
  plan: { name: 'from above', axis: 2 },
  front: { name: 'from the front', axis: 1 },
  side: { name: 'from the left', axis: 0 },
} as const satisfies Record<string, { name: string; axis: Axis }>
export type ViewId = keyof typeof VIEWS

/** Cuts through what is round the other way, between one edge and the next. */
const CURVED_CUTS = 10
/** Cuts through a file of triangles, whose edges are not known. */
const MESH_CUTS = 28

/** The drawing plane's point of a place in the part: right and up as the view is looked at. */
export function onSheet(view: ViewId, [x, y, z]: Readonly<Triple>): Flat {
  if (view === 'plan') return [x, y]
  return view === 'front' ? [x, z] : [y, z]
}
/** A ring in (u, v) across an axis as it lies on the sheet of the view along that axis. */
const laidOut = (axis: Axis, ring: Ring): Ring => (axis === 1 ? ring.map(([u, v]): Flat => [v, u]) : ring)

/** Heights between which a solid's section keeps its shape, with more of them where it is round the other way. */
function levels({ pieces, originMm, sizeMm }: Assembly, axis: Axis): { at: number[]; edges: Set<number> } {
  const [from, to] = [originMm[axis], originMm[axis] + sizeMm[axis]]
  const forms = pieces.flatMap(piece => [...piece.adds, ...piece.cuts])
  const flat = (form: Form) => form.form === 'block' || form.axis === axis
  const at = forms.flatMap(form => {
    const { low, high } = reach(form)
    if (flat(form)) return [low[axis], high[axis]]
    // Evenly by angle: close together where a round turns over.
    return Array.from(
      { length: CURVED_CUTS + 1 },
      (_, n) => low[axis] + ((high[axis] - low[axis]) * (1 - Math.cos((Math.PI * n) / CURVED_CUTS))) / 2,
    )
  })
  const edges = forms.flatMap(form => {
    const { low, high } = reach(form)
    // What is round shows its outline where it is widest.
    return flat(form) || form.form === 'prism' ? [low[axis], high[axis]] : [(low[axis] + high[axis]) / 2]
  })
  const round = (value: number) => Math.round(value * 1000) / 1000
  const inside = at.filter(value => value > from + 1e-6 && value < to - 1e-6).map(round)
  return {
    at: [from, ...[...new Set(inside)].sort((a, b) => a - b), to],
    edges: new Set([round(from), round(to), ...edges.map(round)]),
  }
}

/** One level of a view, seen from the near side: its outline covers what lies behind it. */
export interface Layer {
  atMm: number
  rings: Ring[]
  /** Its outline is an edge; else it is one of the levels of what is round, and drawn faintly. */
  edge: boolean
}

/** Draws from the far side to the near one: `layers[n]` hides what of the ones before it lies under it. */
export interface View {
  view: ViewId
  layers: Layer[]
  /** Least and greatest on the sheet, mm. */
  low: Flat
  high: Flat
}

const FAR_FIRST: Record<ViewId, 'rising' | 'falling'> = { plan: 'rising', front: 'falling', side: 'falling' }
const sameRings = (a: readonly Ring[], b: readonly Ring[]) => JSON.stringify(a) === JSON.stringify(b)

/**
 * A solid as it is seen along an axis: levels from the far side to the near one, each to be filled and outlined over
 * the ones before, which leaves the visible edges.
 */
export function viewOf(shape: Exclude<Shape, { kind: 'voxels' }>, view: ViewId): View {
  const { axis } = VIEWS[view]
  const { originMm, sizeMm, layers } =
    shape.kind === 'mesh' ? meshLayers(shape.trianglesMm, axis) : pieceLayers(shape, axis)
  const kept = layers.filter(
    (layer, n) => layer.rings.length && (n === 0 || !sameRings(layer.rings, layers[n - 1]!.rings)),
  )
  const end = originMm.map((from, way) => from + sizeMm[way]!) as Triple
  return {
    view,
    layers: (FAR_FIRST[view] === 'rising' ? kept : kept.reverse()).map(layer => ({
      ...layer,
      rings: layer.rings.map(ring => laidOut(axis, ring)),
    })),
    low: onSheet(view, originMm),
    high: onSheet(view, end),
  }
}

function pieceLayers(shape: Assembled, axis: Axis) {
  const assembly = assemble(shape)
  const { at, edges } = levels(assembly, axis)
  const round = (value: number) => Math.round(value * 1000) / 1000
  return {
    ...assembly,
    layers: at.slice(1).map((to, n): Layer => {
      const atMm = (at[n]! + to) / 2
      const edge = edges.has(round(at[n]!)) || edges.has(round(to))
      return { atMm, rings: sectionAt(assembly, axis, atMm), edge }
    }),
  }
}
function meshLayers(trianglesMm: readonly number[], axis: Axis) {
  const { originMm, sizeMm } = measureMesh(trianglesMm)
  const heights = Array.from({ length: MESH_CUTS }, (_, n) => originMm[axis] + ((n + 0.5) / MESH_CUTS) * sizeMm[axis])
  const slices = meshSlices(trianglesMm, axis, heights)
  return { originMm, sizeMm, layers: heights.map((atMm, n): Layer => ({ atMm, rings: slices[n]!, edge: false })) }
}

/** The section of a shape by the plane across a view's axis, on that view's sheet. */
export function sectionView(shape: Exclude<Shape, { kind: 'voxels' }>, view: ViewId, atMm: number): Ring[] {
  const { axis } = VIEWS[view]
  const rings =
    shape.kind === 'mesh' ? meshSection(shape.trianglesMm, axis, atMm) : sectionAt(assemble(shape), axis, atMm)
  return rings.map(ring => laidOut(axis, ring))
}
