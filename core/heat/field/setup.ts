/** Metal of the part; constant properties. */
export interface Material {
  densityKgm3: number
  specificHeatJkgK: number
  conductivityWmK: number
}

export type Face = 'top' | 'bottom' | 'left' | 'right' | 'front' | 'back'
export type Place = readonly [xMm: number, yMm: number, zMm: number]

export interface Window {
  startS: number
  endS: number
}

/** What heats the part. Powers are what enters the metal, W. */
export type Source = Window &
  (
    | { kind: 'volume'; absorbedW: number }
    | { kind: 'face'; absorbedW: number; face: Face }
    /**
     * A Gaussian spot, flux 1/e² of the peak at the radius; held, or walked along a path at a speed. A torch goes on
     * along a closed path and to and fro on an open one; an arc stops at the end.
     */
    | {
        kind: 'torch' | 'arc'
        absorbedW: number
        face: Face
        atMm: Place
        radiusMm: number
        pathMm?: readonly Place[] | undefined
        speedMmS: number
      }
    /** A jet of hot air: its film falls off as a Gaussian too. */
    | { kind: 'hot-air'; airC: number; filmWm2K: number; face: Face; atMm: Place; radiusMm: number }
    /** Air and walls round the whole part are at this temperature. */
    | { kind: 'oven'; airC: number }
  )

export interface Losses {
  filmWm2K: number
  emissivity: number
  ambientC: number
  /** What the part rests on, through its lowest layer of cells, beside the film of air. */
  contactWm2K: number
  /** Rests on two strips across x, each this wide, instead of on the whole of its bottom. */
  stripMm?: number | undefined
  /** Heat capacity of a backing that warms with the part; left out, it stays at ambient. */
  backingJK?: number | undefined
}
