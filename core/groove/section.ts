export interface GrooveShape {
  /** Depth of this side from the surface to the bottom of the root. */
  readonly depthMm: number
  /** Angle between the two flanks. */
  readonly includedDeg: number
  readonly rootRadiusMm: number
}

export interface GrooveSection {
  readonly topWidthMm: number
  /** Metal removed a millimetre of run, without the cap. */
  readonly areaMm2: number
  /** Height above the bottom where the root's arc runs into the flanks. */
  readonly tangentHeightMm: number
}

const halfAngle = (includedDeg: number) => (includedDeg * Math.PI) / 360

/**
 * Half width of a round-bottomed V at a height above its bottom.
 * The arc of the root is tangent to both flanks; an included angle of 0 gives a U slot.
 */
export function halfWidthMm({ includedDeg, rootRadiusMm: r }: GrooveShape, heightMm: number): number {
  const a = halfAngle(includedDeg)
  const tangent = r * (1 - Math.sin(a))
  if (heightMm <= tangent) return Math.sqrt(Math.max(0, r * r - (r - heightMm) ** 2))
  return r * Math.cos(a) + (heightMm - tangent) * Math.tan(a)
}

/**
 * Area of the section below a height, in closed form: a circular segment under the tangent points, a trapezium above
 * them.
 * Plane geometry; checked against numerical integration of `halfWidthMm` (tested to 1e-6).
 */
export function areaBelowMm2(shape: GrooveShape, heightMm: number): number {
  const { rootRadiusMm: r } = shape
  const a = halfAngle(shape.includedDeg)
  const tangent = r * (1 - Math.sin(a))
  const segmentTop = Math.min(heightMm, tangent)
  const phi = r > 0 ? Math.acos(Math.min(1, Math.max(-1, (r - segmentTop) / r))) : 0
  const segment = r * r * (phi - Math.sin(phi) * Math.cos(phi))
  if (heightMm <= tangent) return segment
  return segment + (halfWidthMm(shape, tangent) + halfWidthMm(shape, heightMm)) * (heightMm - tangent)
}

/** Width, area and tangent height of a round-bottomed V groove. */
export function grooveSection(shape: GrooveShape): GrooveSection {
  return {
    topWidthMm: 2 * halfWidthMm(shape, shape.depthMm),
    areaMm2: areaBelowMm2(shape, shape.depthMm),
    tangentHeightMm: shape.rootRadiusMm * (1 - Math.sin(halfAngle(shape.includedDeg))),
  }
}

/** Area under a parabola of the given crown over a width. */
export const capAreaMm2 = (widthMm: number, capMm: number) => (2 / 3) * widthMm * capMm

/** Height above the bottom below which the section has a given area; bisection, to 1e-9 of the depth. */
export function heightOfAreaMm(shape: GrooveShape, areaMm2: number): number {
  let low = 0
  let high = shape.depthMm
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (areaBelowMm2(shape, middle) < areaMm2) low = middle
    else high = middle
  }
  return (low + high) / 2
}
