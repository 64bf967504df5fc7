import { ref, type Ref } from 'vue'
import { outlinesSvg } from '#core/station/rebuild/drawings'
import { sectionView, viewOf } from '#core/solid/views'
import { download, fileName } from '~/composables/use-files'
import type { Looking, SolidShape } from '~/drawing/use-part-sheet'
import { useJob } from '~/stores/job'

interface Outline {
  layer: string
  pointsMm: [number, number][]
  closed: boolean
}

/** The part as files others read: its skin as STL, a view or a section at 1:1 as DXF or SVG. */
export function useSolidFiles(shape: Ref<SolidShape | null>, looking: Ref<Looking>, cutMm: Ref<number | null>) {
  const store = useJob()
  const name = () => fileName(store.job!.title)
  /** Lines as files take them, counting downwards. */
  function outlines(): Outline[] {
    if (!shape.value) return []
    const { view } = looking.value
    const down = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]): [number, number] => [x, -y])
    if (cutMm.value !== null)
      return sectionView(shape.value, view, cutMm.value).map(ring => ({
        layer: 'SECTION',
        pointsMm: down(ring),
        closed: true,
      }))
    return viewOf(shape.value, view).layers.flatMap((layer, n) =>
      layer.rings.map(ring => ({ layer: `LEVEL_${n + 1}`, pointsMm: down(ring), closed: true })),
    )
  }
  const refused = ref<string | null>(null)
  /** The closed skin: a file's own triangles, else put together where the mesh library runs. */
  async function closedSkin(given: SolidShape): Promise<Float32Array> {
    if (given.kind === 'mesh') return Float32Array.from(given.trianglesMm)
    const answer = await fetch('/api/solid/triangles', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(given),
    })
    if (!answer.ok) throw new Error('the shape could not be put together')
    return new Float32Array(await answer.arrayBuffer())
  }
  async function saveStl() {
    if (!shape.value) return
    let triangles: Float32Array
    try {
      triangles = await closedSkin(shape.value)
      refused.value = null
    } catch {
      refused.value = 'The STL is put together by the bench’s own server, which does not answer now. DXF and SVG go on.'
      return
    }
    const { STLExporter } = await import('three/addons/exporters/STLExporter.js')
    const { BufferAttribute, BufferGeometry, Mesh } = await import('three')
    const geometry = new BufferGeometry()
    geometry.setAttribute('position', new BufferAttribute(triangles, 3))
    geometry.computeVertexNormals()
    const bytes = new STLExporter().parse(new Mesh(geometry), { binary: true })
    download(`${name()}.stl`, new Uint8Array(bytes.buffer as ArrayBuffer), 'model/stl')
  }
  async function saveDxf() {
    const { outlinesDxf } = await import('#core/groove/template')
    download(`${name()}.${looking.value.view}.dxf`, outlinesDxf(outlines()), 'image/vnd.dxf')
  }
  const saveSvg = () =>
    download(`${name()}.${looking.value.view}.svg`, outlinesSvg(outlines(), store.job!.title), 'image/svg+xml')
  return { saveStl, saveDxf, saveSvg, refused }
}
