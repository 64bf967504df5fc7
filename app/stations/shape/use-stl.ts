import { onMounted, ref } from 'vue'
import { MM_PER_INCH } from '#core/quantity/constants'
import { NoAnswer } from '#core/ask/question'
import { closeMesh, openingWords, type Opening } from '#core/solid/close-mesh'
import { measureMesh } from '#core/solid/measure'
import { cellsOfMesh } from '#core/solid/stored/mesh-cells'
import { isFull, refusalWords } from '~/composables/refusal'
import { db } from '~/db/database'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'

const LONGEST_NAME = 120
/** So many openings that were closed are told one by one. */
const MOST_NAMED = 4
const MOST_TRIANGLES = 1_000_000

/** A part's shape from an STL file: kept beside the job as triangles, its lowest corner moved to the origin. */
export function useStl() {
  const store = useJob()
  const report = ref<string | null>(null)

  /** What was closed, the first few by their places. */
  function closedWords(closed: readonly Opening[]): string {
    if (!closed.length) return ''
    const named = closed.slice(0, MOST_NAMED).map(openingWords).join('; ')
    const rest = closed.length > MOST_NAMED ? `; and ${closed.length - MOST_NAMED} more` : ''
    return ` ${closed.length === 1 ? 'One opening' : `${closed.length} openings`} in its skin closed: ${named}${rest}.`
  }

  /** @param jobId the job it was read for, which may have been left by then */
  async function keep(jobId: string, triangles: Float32Array, name: string) {
    const { trianglesMm: figures, closed } = closeMesh(triangles)
    const low = [Infinity, Infinity, Infinity],
      high = [-Infinity, -Infinity, -Infinity]
    figures.forEach((value, n) => {
      low[n % 3] = Math.min(low[n % 3]!, value)
      high[n % 3] = Math.max(high[n % 3]!, value)
    })
    const size = high.map((value, axis) => value - low[axis]!)
    const moved = figures.map((value, n) => value - low[n % 3]!)
    const id = crypto.randomUUID()
    const { volumeMm3, skinMm2, sizeMm } = measureMesh(moved)
    const cells = cellsOfMesh(Array.from(moved), volumeMm3)
    const mesh = { file: id, name: name.slice(0, LONGEST_NAME), volumeMm3, skinMm2, sizeMm, cells }
    await db.held.put({
      id,
      jobId,
      kind: 'mesh',
      name: name.slice(0, LONGEST_NAME),
      type: 'model/stl',
      bytes: moved.buffer as ArrayBuffer,
    })
    const why = await store.bring(jobId, ['shape', 'mesh'], () => mesh)
    // Refused late, it leaves nothing behind.
    if (why !== null) await db.held.delete([jobId, id])
    report.value =
      why !== null
        ? `${name}: ${why}. Nothing was changed.`
        : `${name}: ${figures.length / 9} triangles, ${size.map(value => Math.round(value * 10) / 10).join(' × ')} mm over all, if the file is in millimetres.${closedWords(closed)}`
  }

  /** A file that was read before parts were kept in cells as well is cut once. */
  onMounted(async () => {
    const mesh = store.job?.shape.mesh
    if (!mesh?.volumeMm3 || mesh.cells) return
    const file = await heldFile(store.job!.id, mesh.file)
    if (!file || store.job?.shape.mesh?.file !== mesh.file) return
    const cells = cellsOfMesh(Array.from(new Float32Array(file.bytes)), mesh.volumeMm3)
    if (cells) store.edit(['shape', 'mesh', 'cells'], cells)
  })

  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const jobId = store.job!.id
    try {
      const { STLLoader } = await import('three/addons/loaders/STLLoader.js')
      const geometry = new STLLoader().parse(await file.arrayBuffer())
      const flat = geometry.index ? geometry.toNonIndexed() : geometry
      const figures = flat.getAttribute('position').array as Float32Array
      if (figures.length < 36 || figures.length % 9 !== 0 || !figures.every(Number.isFinite))
        report.value = `${file.name} holds no closed shape of triangles: not read, nothing was changed.`
      else if (figures.length / 9 > MOST_TRIANGLES)
        report.value = `${file.name} has ${figures.length / 9} triangles, more than a million: save it coarser. Nothing was changed.`
      else await keep(jobId, Float32Array.from(figures), file.name)
    } catch (error) {
      report.value =
        error instanceof NoAnswer
          ? `${file.name}: ${error.message}. Nothing was changed.`
          : isFull(error)
            ? `${file.name}: ${refusalWords(error)}. Nothing was changed.`
            : `${file.name} is not an STL file that can be read. Nothing was changed.`
    }
  }

  async function inches() {
    const jobId = store.job!.id
    const file = await heldFile(jobId, store.job!.shape.mesh!.file)
    if (file)
      await keep(
        jobId,
        new Float32Array(file.bytes).map(value => value * MM_PER_INCH),
        file.name,
      )
  }

  return { report, bringIn, inches, back: () => store.edit(['shape', 'mesh'], null) }
}
