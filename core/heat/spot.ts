/** Images of the source beyond the faces that still count. */
const IMAGES = 60
/** Pieces of the time integral, each by Simpson: within 0.05 % of the half-space's closed form. */
const PIECES = 48

export interface Spot {
  /** What enters the metal, W. */
  absorbedW: number
  /** Deviation of the spot, mm: two thirds of the heat enter within about one and a half of it. */
  sigmaMm: number
  wallMm: number
  conductivityWmK: number
  diffusivityM2s: number
}

/**
 * Rise under the middle of a flame held still on a plate, K, after so many seconds.
 *
 * Green's function of the half-space spread over a Gaussian spot, with images in both faces of a plate that loses
 * nothing and has no edge (Carslaw and Jaeger 1959, 10.4 and 14.9): Q/ρc ∫ (1 + 2Σ e^(−n²h²/aτ)) / (√(πaτ) · 2π(σ² +
 * 2aτ)) dτ. In a thick part it comes to
 * Q / (2kσ√(2π)); in a thin plate it grows as the logarithm of time. Constant properties; neither puddle nor latent
 * heat.
 */
export function spotRise(
  { absorbedW, sigmaMm, wallMm, conductivityWmK: k, diffusivityM2s: a }: Spot,
  seconds: number,
): number {
  if (seconds <= 0) return 0
  const [sigma, h] = [sigmaMm / 1000, wallMm / 1000]
  // With u = √τ the integrand is smooth down to nought.
  const f = (u: number) => {
    const at = a * u * u
    let images = 1
    for (let n = 1; n <= IMAGES; n++) {
      const one = at > 0 ? Math.exp(-((n * h) ** 2) / at) : 0
      if (one < 1e-9) break
      images += 2 * one
    }
    // Past some tens of images the heat has filled the wall evenly: the sum is that of a line through it.
    const filled = at > 0 ? Math.sqrt(Math.PI * at) / h : 1
    return (at > ((IMAGES * h) / 5) ** 2 ? filled : images) / (2 * Math.PI * (sigma ** 2 + 2 * at))
  }
  const end = Math.sqrt(seconds)
  let sum = 0
  for (let piece = 0; piece < PIECES; piece++) {
    // Crowded towards nought, where the spot is still sharp.
    const [low, high] = [end * (piece / PIECES) ** 2, end * ((piece + 1) / PIECES) ** 2]
    sum += ((high - low) / 6) * (f(low) + 4 * f((low + high) / 2) + f(high))
  }
  return (((absorbedW / (k / a)) * 2) / Math.sqrt(Math.PI * a)) * sum
}
