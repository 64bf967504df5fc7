/** Surface tension, N/m, and density, kg/m³, of molten aluminium: Smithells Metals Reference Book, from memory. */
const TENSION_NM = 0.87
const MELT_KGM3 = 2380
const GRAVITY_MS2 = 9.81
/**
 * Force of a TIG arc, N for each A²: about 40 mN at 300 A. Source: Lin and Eagar, Welding Journal 64, 1985, from
 * memory; good to about a half.
 */
const ARC_NA2 = 4.4e-7

/**
 * How far a round of metal that is molten right through hangs in its middle, mm: a membrane of two skins, each under
 * the melt's tension, that carries the melt's weight and the arc (Young and Laplace; small deflection, w = p a² ÷ 4τ).
 * @param radiusMm of what is molten through
 * @param thickMm of the melt there
 * @param currentA of the arc that stands on it
 */
export function sagMm(radiusMm: number, thickMm: number, currentA: number): number {
  const [a, h] = [radiusMm / 1000, thickMm / 1000]
  const tau = 2 * TENSION_NM
  const weight = (MELT_KGM3 * GRAVITY_MS2 * h * a * a) / (4 * tau)
  const arc = (ARC_NA2 * currentA * currentA) / (4 * Math.PI * tau)
  return 1000 * (weight + arc)
}

/** Times its thickness that a melt right through may be wide. Common practice, no source; judgement in the figure. */
const FALLS_TIMES = 3
/** √(tension ÷ (density × gravity)) of the melt, mm: past a few of these no skin carries it, however thick. */
const CAPILLARY_MM = 1000 * Math.sqrt(TENSION_NM / (MELT_KGM3 * GRAVITY_MS2))
const FALLS_CAPILLARIES = 2
const BACKED_TIMES = 2

/** How wide metal may be molten right through before it falls out, mm; with something behind it, twice that. */
export const fallsWideMm = (thickMm: number, isBacked: boolean): number =>
  (isBacked ? BACKED_TIMES : 1) * Math.min(FALLS_TIMES * thickMm, FALLS_CAPILLARIES * CAPILLARY_MM)
