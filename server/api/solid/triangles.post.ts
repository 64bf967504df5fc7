import Module, { type ManifoldToplevel } from 'manifold-3d'
import { NoAnswer } from '../../../core/ask/question'
import { assemble } from '../../../core/solid/assembly'
import { shapeSchema } from '../../../core/solid/shape.schema'
import { meshOf } from '../../../core/solid/to-mesh'
import { readLimited } from '../../limits/read-body'

/** Largest shape that is put together, bytes: an outline of thousands of points fits. */
const LARGEST_BODY = 512 * 1024
let kernel: Promise<ManifoldToplevel> | null = null
async function started(): Promise<ManifoldToplevel> {
  const found = await Module()
  found.setup()
  return found
}

/** The closed skin of a solid in triangles, nine 32-bit figures each, for files that other programs read. */
export default defineEventHandler(async event => {
  const refuse = (status: number, reason: string) => {
    setResponseStatus(event, status)
    return { error: { kind: 'invalid-input', issues: [{ path: 'shape', message: reason }] } }
  }
  const body = await readLimited(event, LARGEST_BODY)
  if (body === null) return refuse(413, 'the shape is larger than 512 kB')
  let given: unknown
  try {
    given = JSON.parse(body)
  } catch {
    return refuse(422, 'the shape is not JSON')
  }
  const parsed = shapeSchema.safeParse(given)
  if (!parsed.success) return refuse(422, parsed.error.issues[0]!.message)
  if (parsed.data.kind === 'mesh' || parsed.data.kind === 'voxels')
    return refuse(422, 'only a shape made of pieces is put together here')
  try {
    kernel ??= started()
    const solid = meshOf(assemble(parsed.data), await kernel)
    const { vertProperties, triVerts, numProp } = solid.getMesh()
    solid.delete()
    const triangles = new Float32Array(triVerts.length * 3)
    triVerts.forEach((corner, n) =>
      triangles.set(vertProperties.subarray(corner * numProp, corner * numProp + 3), 3 * n),
    )
    setResponseHeader(event, 'content-type', 'application/octet-stream')
    return new Uint8Array(triangles.buffer)
  } catch (error) {
    if (error instanceof NoAnswer) return refuse(409, error.message)
    throw error
  }
})
