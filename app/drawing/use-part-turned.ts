import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import { LineMaterial } from 'three/addons/lines/LineMaterial.js'
import { LineSegments2 } from 'three/addons/lines/LineSegments2.js'
import { LineSegmentsGeometry } from 'three/addons/lines/LineSegmentsGeometry.js'
import { onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue'
import type { Triple } from '#core/solid/forms'
import type { Face } from '#core/solid/stored/faces.table'
import { balloonsApart } from './apart'
import type { DrawnMark } from './marks'
import { drawnSkin } from './solid-triangles'
import type { SolidShape } from './use-part-sheet'
import type { WarmDrawn } from './use-warm-colours'
import { warmSkin } from './warm-skin'

/** A mark with a number, where that is put on the picture, px. */
export interface TurnedMark extends DrawnMark {
  left: number
  top: number
}
const TURN_RAD = Math.PI / 18
/** Edges sharper than this are drawn. */
const EDGE_DEG = 24
/** Lines of marks stand out from the edges, px. */
const MARK_PX = 3
const FACE_OF: readonly (readonly [Face, Face])[] = [
  ['left', 'right'],
  ['front', 'back'],
  ['bottom', 'top'],
]

/** A solid on a canvas with its edges drawn, turned by hand or by the arrow keys; drawn only when something changes. */
export function usePartTurned(
  canvas: Ref<HTMLCanvasElement | null>,
  shape: Ref<SolidShape>,
  given: Ref<readonly DrawnMark[]>,
  colours: Ref<{ sheet: string; metal: string; edge: string; mend: string; laid: string }>,
  warm: Ref<WarmDrawn | null>,
  picked: (at: Triple, face: Face) => void,
) {
  const marks = ref<TurnedMark[]>([])
  const failed = ref(false)
  let renderer: WebGLRenderer | undefined
  let controls: OrbitControls | undefined
  const scene = new Scene()
  const camera = new PerspectiveCamera(30, 1, 1, 20_000)
  camera.up.set(0, 0, 1)
  const light = new DirectionalLight(0xffffff, 2.2)
  const material = new MeshLambertMaterial({
    flatShading: true,
    side: DoubleSide,
    polygonOffset: true,
    polygonOffsetFactor: 1,
    polygonOffsetUnits: 1,
  })
  const mesh = new Mesh(new BufferGeometry(), material)
  const skin = warmSkin(material)
  const edges = new LineSegments(new BufferGeometry(), new LineBasicMaterial())
  const lines = new LineSegments2(
    new LineSegmentsGeometry(),
    new LineMaterial({ linewidth: MARK_PX, depthTest: false }),
  )
  scene.add(new AmbientLight(0xffffff, 1.5), light, mesh, edges, lines)
  let wanted = 0

  function draw() {
    wanted = 0
    const element = canvas.value
    if (!renderer || !element) return
    const [wide, high] = [element.clientWidth, element.clientHeight]
    if (!wide || !high) return
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio))
    renderer.setSize(wide, high, false)
    camera.aspect = wide / high
    camera.zoom = Math.min(1, camera.aspect / 1.4)
    camera.updateProjectionMatrix()
    light.position.copy(camera.position).add(new Vector3(0, 0, camera.position.length() * 0.4))
    scene.background = new Color(colours.value.sheet)
    material.color.set(colours.value.metal)
    edges.material.color.set(colours.value.edge)
    lines.material.color.set(colours.value.mend)
    renderer.render(scene, camera)
    const numbered = given.value.filter(mark => mark.number)
    const seen = numbered.map(mark => {
      const at = new Vector3(...mark.path[0]!).project(camera)
      return [((at.x + 1) / 2) * wide, ((1 - at.y) / 2) * high] as const
    })
    const places = balloonsApart(seen, 12, 0, [wide, high])
    marks.value = numbered.map((mark, n) => ({ ...mark, left: places[n]![0], top: places[n]![1] }))
  }
  const wish = () => {
    wanted ||= requestAnimationFrame(draw)
  }

  let framed = ''
  function frameCamera() {
    mesh.geometry.computeBoundingBox()
    const box = mesh.geometry.boundingBox!
    const size = box.getSize(new Vector3())
    const key = size.toArray().map(Math.round).join()
    if (key === framed) return
    framed = key
    const middle = box.getCenter(new Vector3())
    const reach = size.length()
    camera.position.copy(middle).add(new Vector3(-0.7, -1.25, 0.95).multiplyScalar(reach * 0.9))
    camera.near = reach / 100
    camera.far = reach * 20
    controls!.target.copy(middle)
    controls!.update()
  }

  function rebuild() {
    if (!renderer) return
    const { triangles, lines: seen } = drawnSkin(shape.value)
    mesh.geometry.dispose()
    mesh.geometry = new BufferGeometry()
    mesh.geometry.setAttribute('position', new BufferAttribute(triangles, 3))
    mesh.geometry.computeVertexNormals()
    edges.geometry.dispose()
    if (seen) {
      edges.geometry = new BufferGeometry()
      edges.geometry.setAttribute('position', new BufferAttribute(seen, 3))
    } else edges.geometry = new EdgesGeometry(mesh.geometry, EDGE_DEG)
    frameCamera()
    wish()
  }
  function redraw() {
    const points = given.value.flatMap(({ path }) => path.slice(1).flatMap((to, n) => [...path[n]!, ...to]))
    lines.geometry.dispose()
    lines.geometry = new LineSegmentsGeometry()
    lines.visible = points.length > 0
    if (points.length) lines.geometry.setPositions(points)
    wish()
  }
  function colour() {
    if (warm.value) skin.show(warm.value)
    mesh.material = warm.value ? skin.material : material
    wish()
  }
  watch(shape, rebuild)
  watch(warm, colour)
  watch([given, colours], redraw, { deep: true })

  let pressedAt: [number, number] | null = null
  const press = (event: PointerEvent) => {
    pressedAt = [event.clientX, event.clientY]
  }
  function release(event: PointerEvent) {
    if (!pressedAt || Math.hypot(event.clientX - pressedAt[0], event.clientY - pressedAt[1]) > 5) return
    const box = canvas.value!.getBoundingClientRect()
    const ray = new Raycaster()
    ray.setFromCamera(
      new Vector2(((event.clientX - box.left) / box.width) * 2 - 1, 1 - ((event.clientY - box.top) / box.height) * 2),
      camera,
    )
    const hit = ray.intersectObject(mesh)[0]
    if (!hit?.face) return
    // A skin drawn from both sides says nothing of its outside: the side that is seen faces the eye.
    const seen = hit.face.normal.clone()
    if (seen.dot(ray.ray.direction) > 0) seen.negate()
    const normal = seen.toArray()
    const axis = [0, 1, 2].reduce((most, way) => (Math.abs(normal[way]!) > Math.abs(normal[most]!) ? way : most), 0)
    picked([hit.point.x, hit.point.y, hit.point.z], FACE_OF[axis]![normal[axis]! > 0 ? 1 : 0])
  }
  function turn(event: KeyboardEvent) {
    const ways: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    }
    const [round, over] = ways[event.key] ?? [0, 0]
    if ((!round && !over) || !controls) return
    event.preventDefault()
    const from = camera.position.clone().sub(controls.target)
    from.applyAxisAngle(new Vector3(0, 0, 1), round * TURN_RAD)
    const side = new Vector3().crossVectors(from, new Vector3(0, 0, 1)).normalize()
    const tilted = from.clone().applyAxisAngle(side, over * TURN_RAD)
    camera.position.copy(controls.target).add(Math.abs(tilted.clone().normalize().z) < 0.98 ? tilted : from)
    controls.update()
    wish()
  }

  let watcher: ResizeObserver | undefined
  onMounted(() => {
    const element = canvas.value!
    const context = element.getContext('webgl2', { antialias: true })
    if (!context) {
      failed.value = true
      return
    }
    renderer = new WebGLRenderer({ canvas: element, context })
    controls = new OrbitControls(camera, element)
    controls.enablePan = false
    controls.addEventListener('change', wish)
    element.addEventListener('pointerdown', press)
    element.addEventListener('pointerup', release)
    element.addEventListener('keydown', turn)
    watcher = new ResizeObserver(wish)
    watcher.observe(element)
    redraw()
    rebuild()
    colour()
  })
  onBeforeUnmount(() => {
    watcher?.disconnect()
    cancelAnimationFrame(wanted)
    controls?.dispose()
    skin.dispose()
    material.dispose()
    for (const drawn of [mesh, edges, lines]) {
      drawn.geometry.dispose()
      drawn.material.dispose()
    }
    renderer?.dispose()
    renderer = undefined
  })
  return { marks, failed }
}
