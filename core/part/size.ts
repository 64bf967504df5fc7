export interface Sizes {
  lengthMm: number
  widthMm: number
  heightMm?: number | undefined
  wallMm: number
}
export interface Lump {
  volumeMm3: number
  skinMm2: number
  plate: boolean
}

/**
 * Metal and skin of a part from its sizes over all and its wall: a tray (bottom and four walls, open on one side), or a
 * plate where no height worth the name is given. Plane geometry, exact for those two; bosses and ribs are left out, so
 * a casting is a tenth to a third light.
 */
export function lumpOfSizes({ lengthMm: l, widthMm: w, heightMm, wallMm: t }: Sizes): Lump {
  const height = heightMm && heightMm > 0 ? heightMm : t
  const plate = height <= 1.5 * t || l <= 2 * t || w <= 2 * t
  const thin = Math.min(t, height)
  if (plate) return { plate, volumeMm3: l * w * thin, skinMm2: 2 * l * w + 2 * (l + w) * thin }
  return {
    plate,
    volumeMm3: l * w * height - (l - 2 * t) * (w - 2 * t) * (height - t),
    skinMm2:
      l * w +
      2 * height * (l + w) +
      (l - 2 * t) * (w - 2 * t) +
      2 * (height - t) * (l + w - 4 * t) +
      2 * t * (l + w - 2 * t),
  }
}

/**
 * Skin of a part of which only the mass and the wall are known: both faces of a sheet of that wall. A thick or solid
 * part has less.
 */
export const skinOfMassMm2 = (massG: number, densityGcm3: number, wallMm: number): number =>
  (((2 * massG) / densityGcm3) * 1000) / wallMm
