import {
  BufferAttribute,
  BufferGeometry,
  Color,
  Mesh,
  MeshBasicMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import { onBeforeUnmount, onMounted, ref, shallowRef, watch, type Ref } from 'vue'
import { shiftsDown } from '~/drawing/apart'
import type { Face } from '#core/heat/field/setup'
import type { DrawnPart } from '~/workers/heat'
import { paint } from '~/drawing/heat-colours'
import { SIDE_FACES, surfaceOf, type Cut, type Surface } from './surface'

export interface Marked {
  id: string
  words: string
  figure: string
  at: [number, number, number]
  torch: boolean
}
export interface Looked {
  part: DrawnPart | null
  frame: Int16Array | null
  lowC: number
  highC: number
  cut: Cut | null
  marks: Marked[]
}
/** Where a mark stands on the canvas, and whether its words go to the left so as to stay on it. */
export interface ShownMark extends Marked {
  left: number
  top: number
  flip: boolean
  /** How far its label is moved down from its spot, so that it lies on no other, px. */
  down: number
}

const TURN_RAD = Math.PI / 18
/** Room that a letter and a label's frame take, at most. */
const [LETTER_PX, LABEL_PX] = [8, 19]

/** A solid in cells on a canvas, turned by hand or by the arrow keys, drawn only when something changes. */
export function useSolid(
  canvas: Ref<HTMLCanvasElement | null>,
  looked: Ref<Looked>,
  background: Ref<string>,
  picked: (at: [number, number, number], face: Face) => void,
) {
  const marks = ref<ShownMark[]>([])
  const failed = ref(false)
  const ready = ref(false)
  const surface = shallowRef<Surface | null>(null)
  let renderer: WebGLRenderer | undefined
  let controls: OrbitControls | undefined
  const scene = new Scene()
  const camera = new PerspectiveCamera(32, 1, 1, 20_000)
  camera.up.set(0, 0, 1)
  const mesh = new Mesh(new BufferGeometry(), new MeshBasicMaterial({ vertexColors: true }))
  scene.add(mesh)
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
    // On a canvas narrower than the part is long it stands further off.
    camera.zoom = Math.min(1, camera.aspect / 1.4)
    camera.updateProjectionMatrix()
    scene.background = new Color(background.value)
    renderer.render(scene, camera)
    const shown = looked.value.marks.map(mark => {
      const seen = new Vector3(...mark.at).project(camera)
      return { ...mark, left: ((seen.x + 1) / 2) * wide, top: ((1 - seen.y) / 2) * high, flip: seen.x > 0.35 }
    })
    const downs = shiftsDown(
      shown.map(({ left, top, flip, words, figure }) => {
        const label = (words.length + figure.length) * LETTER_PX + LABEL_PX
        return { left: flip ? left - label : left, top: top - LABEL_PX / 2, wide: label, high: LABEL_PX }
      }),
    )
    marks.value = shown.map((mark, n) => ({ ...mark, down: downs[n]! }))
  }
  const wish = () => {
    wanted ||= requestAnimationFrame(draw)
  }

  function frameCamera(part: DrawnPart) {
    const size = [part.nx, part.ny, part.nz].map((cells, axis) => cells * part.stepMm[axis]!)
    const middle = new Vector3(...size.map((length, axis) => part.originMm[axis]! + length / 2))
    const reach = Math.hypot(...size)
    camera.position.copy(middle).add(new Vector3(-0.75, -1.25, 0.95).multiplyScalar(reach * 0.86))
    camera.near = reach / 100
    camera.far = reach * 20
    controls!.target.copy(middle)
    controls!.update()
  }

  let drawnSize = ''
  watch([() => looked.value.part, () => looked.value.cut, ready], () => {
    const { part, cut } = looked.value
    if (!part || !renderer) return
    surface.value = surfaceOf(part, cut)
    mesh.geometry.dispose()
    mesh.geometry = new BufferGeometry()
    mesh.geometry.setAttribute('position', new BufferAttribute(surface.value.positions, 3))
    mesh.geometry.setIndex(new BufferAttribute(surface.value.indices, 1))
    const size = [part.nx * part.stepMm[0], part.ny * part.stepMm[1], part.nz * part.stepMm[2], ...part.originMm]
      .map(Math.round)
      .join()
    if (size !== drawnSize) frameCamera(part)
    drawnSize = size
  })
  watch(
    [
      surface,
      () => looked.value.frame,
      () => looked.value.lowC,
      () => looked.value.highC,
      () => looked.value.marks,
      background,
    ],
    () => {
      if (!surface.value) return
      const { frame, lowC, highC } = looked.value
      mesh.geometry.setAttribute(
        'color',
        new BufferAttribute(paint(surface.value.slots, surface.value.sides, frame, lowC, highC), 3),
      )
      wish()
    },
  )

  let pressedAt: [number, number] | null = null
  const press = (event: PointerEvent) => {
    pressedAt = [event.clientX, event.clientY]
  }
  function release(event: PointerEvent) {
    if (!pressedAt || !surface.value || Math.hypot(event.clientX - pressedAt[0], event.clientY - pressedAt[1]) > 5)
      return
    const box = canvas.value!.getBoundingClientRect()
    const ray = new Raycaster()
    ray.setFromCamera(
      new Vector2(((event.clientX - box.left) / box.width) * 2 - 1, 1 - ((event.clientY - box.top) / box.height) * 2),
      camera,
    )
    const hit = ray.intersectObject(mesh)[0]
    if (hit?.faceIndex == null) return
    picked([hit.point.x, hit.point.y, hit.point.z], SIDE_FACES[surface.value.sides[Math.floor(hit.faceIndex / 2)]!]!)
  }
  function turn(event: KeyboardEvent) {
    const [round, over] = (
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Record<
        string,
        [number, number]
      >
    )[event.key] ?? [0, 0]
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
    ready.value = true
  })
  onBeforeUnmount(() => {
    watcher?.disconnect()
    cancelAnimationFrame(wanted)
    controls?.dispose()
    mesh.geometry.dispose()
    mesh.material.dispose()
    renderer?.dispose()
  })
  return { marks, failed }
}
