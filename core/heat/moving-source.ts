import { NoAnswer, type Step } from '../ask/question'

export interface MovingSource {
  /** What enters the metal, W. */
  powerW: number
  travelMmS: number
  conductivityWmK: number
  diffusivityM2s: number
  startC: number
  /** Along travel, positive ahead of the arc; across; down into the part. */
  xMm: number
  yMm: number
  zMm: number
  /** A plate of this thickness, through which the heat has spread evenly; left out, the part is thick. */
  wallMm?: number | undefined
}

/** Modified Bessel function K₀; Abramowitz and Stegun 9.8.5 and 9.8.6, absolute error under 1e-7. */
export function besselK0(x: number): number {
  if (x <= 2) {
    const t = (x * x) / 4
    const u = (x / 3.75) ** 2
    const i0 =
      1 + u * (3.5156229 + u * (3.0899424 + u * (1.2067492 + u * (0.2659732 + u * (0.0360768 + u * 0.0045813)))))
    return (
      -Math.log(x / 2) * i0 -
      0.57721566 +
      t * (0.4227842 + t * (0.23069756 + t * (0.0348859 + t * (0.00262698 + t * (0.0001075 + t * 0.0000074)))))
    )
  }
  return Math.exp(-x) * scaledK0(x)
}

/**
 * Steady temperature about a moving point source (thick part) or line source (plate of a given wall), constant
 * properties, no losses.
 *
 * Thick: T − T₀ = q / (2πkR) · e^(−v(ξ+R)/2a). Plate: T − T₀ = q / (2πkh) · e^(−vξ/2a) · K₀(vr/2a). ξ is the distance
 * ahead.
 * Source: Rosenthal (1941, 1946). Valid away from the puddle, whose size and latent heat it does not know.
 * @throws NoAnswer at the source itself, where it is infinite
 */
export function movingSource(source: MovingSource): { temperatureC: number; working: Step[] } {
  const { powerW, conductivityWmK: k, diffusivityM2s: a, startC, wallMm } = source
  const [xi, y, z] = [source.xMm / 1000, source.yMm / 1000, source.zMm / 1000]
  const v = source.travelMmS / 1000
  const r = wallMm === undefined ? Math.hypot(xi, y, z) : Math.hypot(xi, y)
  if (r < 1e-5) throw new NoAnswer('at the source itself a point source is infinitely hot: ask for a place beside it')
  // e^(−vξ/2a) and K₀ are taken together: each alone may over- or underflow far behind a fast arc.
  const rise =
    wallMm === undefined
      ? (powerW / (2 * Math.PI * k * r)) * Math.exp((-v * (xi + r)) / (2 * a))
      : v === 0
        ? Infinity
        : (powerW / ((2 * Math.PI * k * wallMm) / 1000)) *
          Math.exp((-v * (xi + r)) / (2 * a)) *
          scaledK0((v * r) / (2 * a))
  if (!Number.isFinite(rise))
    throw new NoAnswer('a source that stands still over a plate without losses heats it without end')
  return {
    temperatureC: startC + rise,
    working: [
      {
        label: 'Distance from the arc',
        formula: wallMm === undefined ? '√(x² + y² + z²)' : '√(x² + y²)',
        value: r * 1000,
        unit: 'mm',
        source: 'geometry',
      },
      {
        label: 'Conductivity',
        formula: 'from the electrical one',
        value: k,
        unit: 'W/(m·K)',
        source: 'Wiedemann–Franz with a lattice part (Smith and Palmer 1935), from memory',
      },
      {
        label: 'Rise',
        formula: wallMm === undefined ? 'q ÷ (2πkR) × e^(−v(ξ + R)/2a)' : 'q ÷ (2πkh) × e^(−vξ/2a) × K₀(vr/2a)',
        value: rise,
        unit: 'K',
        source: 'Rosenthal (1946)',
      },
    ],
  }
}

/** e^x · K₀(x), which stays in range for any x. */
function scaledK0(x: number): number {
  if (x <= 2) return Math.exp(x) * besselK0(x)
  const t = 2 / x
  return (
    (1 / Math.sqrt(x)) *
    (1.25331414 +
      t * (-0.07832358 + t * (0.02189568 + t * (-0.01062446 + t * (0.00587872 + t * (-0.0025154 + t * 0.00053208))))))
  )
}
