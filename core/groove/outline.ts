import { halfWidthMm, type GrooveShape } from './section'

export interface OutlinePoint {
  xMm: number
  heightMm: number
}

/** The groove's edge as a polyline from the left lip down round the root to the right lip; heights from the bottom. */
export function grooveOutline(shape: GrooveShape, points = 24): OutlinePoint[] {
  const right = Array.from({ length: points + 1 }, (_, index) => {
    const heightMm = shape.depthMm * (index / points) ** 1.6
    return { xMm: halfWidthMm(shape, heightMm), heightMm }
  })
  return [
    ...right
      .slice(1)
      .reverse()
      .map(({ xMm, heightMm }) => ({ xMm: -xMm, heightMm })),
    { xMm: 0, heightMm: 0 },
    ...right,
  ]
}

/**
 * The included angle that gives a half width at the lips, for dragging a lip; bisection over 0 to 160°, to a thousandth
 * of a degree.
 */
export function includedDegForHalfWidth(depthMm: number, rootRadiusMm: number, wantedHalfWidthMm: number): number {
  let low = 0
  let high = 160
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (halfWidthMm({ depthMm, rootRadiusMm, includedDeg: middle }, depthMm) < wantedHalfWidthMm) low = middle
    else high = middle
  }
  return (low + high) / 2
}
