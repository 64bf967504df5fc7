/** A cone cut off, between two diameters over a height, mm³; a cylinder where they are the same. Plane geometry. */
export const coneMm3 = (belowMm: number, aboveMm: number, highMm: number): number =>
  ((Math.PI * highMm) / 12) * (belowMm ** 2 + belowMm * aboveMm + aboveMm ** 2)

/** A dome that is a paraboloid over a circle, mm³: half of the cylinder it stands in. */
export const domeMm3 = (acrossMm: number, highMm: number): number => (Math.PI / 8) * acrossMm ** 2 * highMm

/** A ring between two diameters, mm³. */
export const ringMm3 = (outsideMm: number, insideMm: number, longMm: number): number =>
  (Math.PI / 4) * (outsideMm ** 2 - insideMm ** 2) * longMm

/** A flat fillet of equal legs along a run, mm³. */
export const filletMm3 = (legMm: number, runMm: number): number => (legMm ** 2 / 2) * runMm

/**
 * Ends of a plate are drawn in to this share of its width over a length as long as it is wide, or a third of the plate
 * where that is less. Common practice, no source.
 */
const TAPER_SHARE = 0.4
const TAPER_MOST = 1 / 3

/** Round a plate whose two ends taper, mm. Plane geometry. */
export function taperedRoundMm(longMm: number, wideMm: number): number {
  const taperMm = Math.min(wideMm, longMm * TAPER_MOST)
  const endMm = TAPER_SHARE * wideMm
  return 2 * (longMm - 2 * taperMm) + 4 * Math.hypot(taperMm, (wideMm - endMm) / 2) + 2 * endMm
}
