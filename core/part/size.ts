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
 * Metal and skin of a part from its sizes over all and its wall: a tray (bottom, four walls, open on one side), which
 * goes over into a plate as it gets no higher than its wall and into a solid bar as walls meet. Plane geometry, exact
 * for those; bosses and ribs are left out, so a casting is a tenth to a third light.
 */
export function lumpOfSizes({ lengthMm: l, widthMm: w, heightMm, wallMm: t }: Sizes): Lump {
  const height = heightMm && heightMm > 0 ? heightMm : t
  const bottom = Math.min(t, height)
  const [insideL, insideW] = [Math.max(0, l - 2 * t), Math.max(0, w - 2 * t)]
  return {
    plate: height <= 1.5 * t || l <= 2 * t || w <= 2 * t,
    volumeMm3: l * w * height - insideL * insideW * (height - bottom),
    skinMm2: 2 * l * w + 2 * height * (l + w) + 2 * (height - bottom) * (insideL + insideW),
  }
}

/**
 * Skin of a part of which only the mass and the wall are known: both faces of a sheet of that wall. A thick or solid
 * part has less.
 */
export const skinOfMassMm2 = (massG: number, densityGcm3: number, wallMm: number): number =>
  (((2 * massG) / densityGcm3) * 1000) / wallMm
