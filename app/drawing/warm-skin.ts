import { Data3DTexture, LinearFilter, MeshLambertMaterial, RGBAFormat, Vector3 } from 'three'
import { heatColour, shareOfScale } from './heat-colours'
import type { WarmDrawn } from './use-warm-colours'

/** Times that colours are carried on into empty cells: the true skin stands out over stepped cells by one at most. */
const CARRIED_ON = 2

/** Cells as a block of shares 0 … 1 along x, y and z, those without metal filled from their neighbours. */
export function sharesOf(drawn: WarmDrawn): { size: [number, number, number]; shares: Float32Array } {
  const { map, moment } = drawn
  const size = [0, 1, 2].map(axis =>
    map.cells.reduce((most, index, n) => (n % 3 === axis ? Math.max(most, index + 1) : most), 1),
  ) as [number, number, number]
  const [nx, ny, nz] = size
  let shares = new Float32Array(nx * ny * nz).fill(Number.NaN)
  for (const [n, tenths] of moment.tenths.entries()) {
    const [i, j, k] = [map.cells[3 * n]!, map.cells[3 * n + 1]!, map.cells[3 * n + 2]!]
    shares[i + nx * (j + ny * k)] = shareOfScale(tenths / 10, drawn)
  }
  const around = [1, -1].flatMap(way => [way, way * nx, way * nx * ny])
  for (let time = 0; time < CARRIED_ON; time++) {
    const before = shares
    shares = before.map((share, at) => {
      if (!Number.isNaN(share)) return share
      const beside = around.map(step => before[at + step]).filter(value => value !== undefined && !Number.isNaN(value))
      return beside.length ? beside.reduce((sum: number, value) => sum + value!, 0) / beside.length : Number.NaN
    })
  }
  return { size, shares: shares.map(share => (Number.isNaN(share) ? 0 : share)) }
}

/** A material that takes each point's colour from the warmth of the part there, whatever its triangles. */
export function warmSkin(like: MeshLambertMaterial) {
  const material = new MeshLambertMaterial()
  material.copy(like)
  const uniforms = {
    warmth: { value: null as Data3DTexture | null },
    warmFrom: { value: new Vector3() },
    warmSize: { value: new Vector3(1, 1, 1) },
  }
  material.onBeforeCompile = shader => {
    Object.assign(shader.uniforms, uniforms)
    shader.vertexShader = shader.vertexShader
      .replace('#include <common>', '#include <common>\nvarying vec3 placeMm;')
      .replace('#include <begin_vertex>', '#include <begin_vertex>\nplaceMm = position;')
    shader.fragmentShader = shader.fragmentShader
      .replace(
        '#include <common>',
        '#include <common>\nuniform mediump sampler3D warmth;\nuniform vec3 warmFrom;\nuniform vec3 warmSize;\nvarying vec3 placeMm;',
      )
      .replace('#include <color_fragment>', 'diffuseColor.rgb = texture(warmth, (placeMm - warmFrom) / warmSize).rgb;')
  }
  return {
    material,
    show(drawn: WarmDrawn) {
      const { size, shares } = sharesOf(drawn)
      const colours = new Uint8Array(4 * shares.length)
      // Light is added up in linear figures.
      for (const [n, share] of shares.entries())
        colours.set([...heatColour(share).map(channel => Math.round(255 * channel ** 2.2)), 255], 4 * n)
      uniforms.warmth.value?.dispose()
      const texture = new Data3DTexture(colours, ...size)
      texture.format = RGBAFormat
      texture.minFilter = LinearFilter
      texture.magFilter = LinearFilter
      texture.needsUpdate = true
      uniforms.warmth.value = texture
      uniforms.warmFrom.value.set(...drawn.map.originMm)
      uniforms.warmSize.value.set(
        ...(size.map((count, axis) => count * drawn.map.stepMm[axis]!) as [number, number, number]),
      )
    },
    dispose() {
      uniforms.warmth.value?.dispose()
      material.dispose()
    },
  }
}
