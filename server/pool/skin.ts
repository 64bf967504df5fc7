import Module, { type ManifoldToplevel } from 'manifold-3d'
import { readInput } from '../../core/ask/ask-text'
import { NoAnswer } from '../../core/ask/question'
import { readIssues } from '../../core/ask/registry'
import { assemble, type Assembled } from '../../core/solid/assembly'
import { shapeSchema } from '../../core/solid/shape.schema'
import { skinTriangles } from '../../core/solid/to-mesh'
import type { Reply } from './lane'

/** The skin's corners, nine figures a triangle; or why there is none. */
export type Skin = { readonly triangles: Float32Array } | { readonly status: 409 | 422; readonly reason: string }

const MB = 1024 * 1024
/** A library's memory never shrinks: past the first the thread is ended with it, past the second it gets no more. */
const MOST_KEPT = 64 * MB
const MOST_HELD = 256 * MB

type Library = ManifoldToplevel & { readonly HEAPU8: Uint8Array }
let kernel: Promise<Library> | null = null

/**
 * No library on this thread grows past the limit from now on: it is told, as on a full machine, that there is no more.
 */
export function limitMemory() {
  const { prototype } = WebAssembly.Memory
  const grow = prototype.grow
  prototype.grow = function limited(pages) {
    if (this.buffer.byteLength + pages * 65_536 > MOST_HELD) throw new RangeError('the limit of memory is reached')
    return grow.call(this, pages)
  }
}

async function started(): Promise<Library> {
  const found = (await Module()) as Library
  found.setup()
  return found
}

const refused = (status: 409 | 422, reason: string): Skin => ({ status, reason })

/** A shape made of pieces, read from the text of a body; or why it is none. */
function readPieces(text: string): Assembled | Skin {
  const read = readInput(text)
  if ('refused' in read) return refused(422, 'the shape is not JSON, or too much of it')
  const parsed = shapeSchema.safeParse(read.input)
  if (!parsed.success) return refused(422, readIssues(parsed.error)[0]!.message)
  if (parsed.data.kind === 'mesh' || parsed.data.kind === 'voxels')
    return refused(422, 'only a shape made of pieces is put together here')
  return parsed.data
}

/** The skin of a shape, given as the text of a body, or why there is none. */
export async function skinOf(text: string): Promise<Omit<Reply<Skin>, 'id'>> {
  const shape = readPieces(text)
  if (!('kind' in shape)) return { found: shape }
  kernel ??= started()
  const library = await kernel
  const spent = () => library.HEAPU8.length > MOST_KEPT
  try {
    return { found: { triangles: skinTriangles(assemble(shape), library) }, spent: spent() }
  } catch (error) {
    if (error instanceof NoAnswer) return { found: refused(409, error.message), spent: spent() }
    // What the library ran into may have left it broken.
    return { found: refused(409, 'these pieces take too much to put together: fewer or simpler ones'), spent: true }
  }
}
